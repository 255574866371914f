import { fileURLToPath } from 'node:url'
import { loadPacks, packsDigest } from '../../server/load-packs'

export const packsFolder = fileURLToPath(new URL('../../packs', import.meta.url))

/** The packs that ship, read; `bin/test` has looked them through. */
export const shelf = loadPacks(packsFolder, packsDigest(packsFolder))
