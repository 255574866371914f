/** Reads and checks every pack; prints what it found or the first fault with file, path and reason. */
import { fileURLToPath } from 'node:url'
import { expandPack } from '../core/packs'
import { planJob } from '../core/sequence'
import { loadPacks, PackFileError } from '../server/load-packs'

try {
  const { packs } = loadPacks(process.env.PACKS_DIR ?? fileURLToPath(new URL('../packs', import.meta.url)))
  for (const pack of packs.values()) {
    const procedure = expandPack(pack)
    const { totals, authored } = planJob(procedure)
    console.log(`${pack.id}: ${procedure.operations.length} operations, ${procedure.links.length} links, `
      + `${Math.round(totals.minutes)} min planned (${Math.round(authored.minutes)} as written), ${totals.placeChanges} place changes (${authored.placeChanges}), up ${totals.timesRaised} times`)
  }
}
catch (error) {
  if (!(error instanceof PackFileError)) throw error
  console.error(error.message)
  process.exitCode = 1
}
