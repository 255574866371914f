import { join } from 'node:path'
import { loadPacks } from '../load-packs'
import type { PackShelf } from '../load-packs'

let shelf: PackShelf | undefined

/** The packs, read once; the folder is `ELDRIN_PACKS` or `packs` beside the place the server is started from. */
export function useShelf(): PackShelf {
  return (shelf ??= loadPacks(process.env.ELDRIN_PACKS ?? join(process.cwd(), 'packs')))
}
