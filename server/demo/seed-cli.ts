/** Seeds the demo into an empty database; leaves one that has it as it is. `--no-jobs` leaves the Yard empty; ELDRIN_DEMO_NOW (ISO 8601) is the moment its jobs are told from. */
import { fileURLToPath } from 'node:url'
import { openDatabase } from '../db/client'
import { keptShelf } from '../kept-shelf'
import { loadPacks, PackFileError } from '../load-packs'
import { hasDemo, seedDemo } from './seed'

const shipped = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url))
const { db, close } = openDatabase((process.env.DATABASE_OWNER_URL ?? process.env.DATABASE_URL)!, 2)
try {
  if (!(await hasDemo(db))) {
    const folder = process.env.ELDRIN_PACKS ?? shipped('packs')
    const shelf = keptShelf(shipped('.output/packs-read'), folder) ?? loadPacks(folder)
    await seedDemo(
      db,
      shelf,
      !process.argv.includes('--no-jobs'),
      process.env.ELDRIN_DEMO_NOW ? Date.parse(process.env.ELDRIN_DEMO_NOW) : Date.now(),
    )
    console.log('Demo garage written.')
  }
} catch (error) {
  if (!(error instanceof PackFileError)) throw error
  console.error(`Eldrin does not start. ${error.message}`)
  process.exitCode = 1
} finally {
  await close()
}
