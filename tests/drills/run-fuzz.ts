import { startAppWithSupplier } from '../support/app-with-supplier'
import { fuzz } from './fuzz'

/** `npm run fuzz`: 100 000 requests over all routes; ELDRIN_FUZZ_REQUESTS and ELDRIN_FUZZ_SEED change that. */
const requests = Number(process.env.ELDRIN_FUZZ_REQUESTS ?? 100_000)
const seed = Number(process.env.ELDRIN_FUZZ_SEED ?? Math.floor(Math.random() * 1_000_000))
/** Where the server's memory ends above where it was after a quarter of the requests by more, it is not level. */
const LEVEL_MB = 120
const DELAY_MS = 200

const { app, database, end } = await startAppWithSupplier({ env: { ELDRIN_CHECK_SECONDS: '2', ELDRIN_DEMO: '' } })
try {
  const report = await fuzz(app, database, { requests, seed })
  console.log(`seed ${seed}: ${report.requests} requests; answers ${JSON.stringify(report.byStatus)}`)
  console.log(
    `5xx: ${report.broken}; half written: ${report.halfWritten}; memory ${report.memoryMb[0]} → ${report.memoryMb[1]} MB; somebody else waited ${report.others99Ms} ms for 99 in 100, ${report.othersMostMs} ms at most (a server with nothing to do on this machine: ${report.idleMostMs} ms), of which the server ran ${report.heldUpMostMs} ms at most for others`,
  )
  for (const example of report.examples) console.log(example)
  const fails = [
    report.broken > 0,
    report.halfWritten > 0,
    report.memoryMb[1] - report.memoryMb[0] > LEVEL_MB,
    report.othersMostMs > DELAY_MS,
  ]
  process.exitCode = fails.some(Boolean) ? 1 : 0
} finally {
  await end()
}
