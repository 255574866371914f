/** `npm run advisories`: asks the registry what is known against the packages that Eldrin runs on, and says so when it cannot. */
import { spawnSync } from 'node:child_process'

const PATIENCE_MS = 60_000
const { stdout } = spawnSync('npm', ['audit', '--omit=dev', '--json'], { encoding: 'utf8', timeout: PATIENCE_MS })
let report = null
try {
  report = JSON.parse(stdout)
} catch {
  // Said below.
}
const counts = report?.metadata?.vulnerabilities
if (!counts) {
  console.log(`Not checked: the registry gave no answer to that (${report?.message ?? 'none at all'}).`)
  process.exit(2)
}
for (const [name, { severity, range }] of Object.entries(report.vulnerabilities ?? {}))
  console.log(`${severity}: ${name} ${range}`)
console.log(`${counts.total} known, ${counts.high + counts.critical} of them grave.`)
process.exit(counts.high + counts.critical > 0 ? 1 : 0)
