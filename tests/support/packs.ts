import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { keptShelf } from '../../server/kept-shelf'
import { loadPacks, packsDigest } from '../../server/load-packs'

const root = fileURLToPath(new URL('../..', import.meta.url))
export const packsFolder = join(root, 'packs')

/** Tests of the built application take the packs as the build has kept them; elsewhere there may be no build yet. */
const kept = process.env.TEST_PG_URL ? keptShelf(join(root, '.output/packs-read'), packsFolder) : null

/** The packs that ship, read; `bin/test` has looked them through. */
export const shelf = kept ?? loadPacks(packsFolder, packsDigest(packsFolder))
