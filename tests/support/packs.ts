import { fileURLToPath } from 'node:url'
import { loadPacks } from '../../server/load-packs'

export const packsFolder = fileURLToPath(new URL('../../packs', import.meta.url))

/** The packs that ship, read and checked. */
export const shelf = loadPacks(packsFolder)
