/**
 * Checks the packs that ship, or the pack files named; prints what it found, or what is wrong with file, path and reason.
 * npm run packs:check [-- file.yaml …]
 * With --keep it keeps what was read and looked through for the built server, which then does not do so at every start.
 */
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { readPack } from '../contracts/read-pack'
import { expandPack } from '../core/packs'
import type { Pack } from '../core/packs'
import { planJob } from '../core/sequence'
import { keepShelf } from '../server/kept-shelf'
import { loadPacks, PackFileError } from '../server/load-packs'

function tell(pack: Pack) {
  const procedure = expandPack(pack)
  const { totals, authored } = planJob(procedure)
  console.log(
    `${pack.id}: ${procedure.operations.length} operations, ${procedure.links.length} links, ` +
      `${Math.round(totals.minutes)} min planned (${Math.round(authored.minutes)} as written), ${totals.placeChanges} place changes (${authored.placeChanges}), up ${totals.timesRaised} times`,
  )
}

try {
  const folder = process.env.PACKS_DIR ?? fileURLToPath(new URL('../packs', import.meta.url))
  const shelf = loadPacks(folder)
  const { packs, terms } = shelf
  const files = process.argv.slice(2).filter(argument => argument !== '--keep')
  if (process.argv.includes('--keep'))
    keepShelf(fileURLToPath(new URL('../.output/packs-read', import.meta.url)), folder, shelf)
  if (files.length === 0) for (const pack of packs.values()) tell(pack)
  for (const file of files) {
    const { pack, problems } = readPack(readFileSync(file, 'utf8'), terms)
    if (pack) tell(pack)
    for (const { line, path, reason } of problems) {
      console.error(`${file}:${line}: ${path ? `${path}: ` : ''}${reason}`)
      process.exitCode = 1
    }
  }
} catch (error) {
  if (!(error instanceof PackFileError)) throw error
  console.error(error.message)
  process.exitCode = 1
}
