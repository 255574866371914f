import { join } from 'node:path'
import { keptShelf } from '../kept-shelf'
import { loadPacks } from '../load-packs'
import type { PackShelf } from '../load-packs'

let shelf: PackShelf | undefined

/**
 * The packs, read once; the folder is `ELDRIN_PACKS` or `packs` beside the place the server is started from. They are read and looked through
 * unless they are those that were when the server was built.
 */
export function useShelf(): PackShelf {
  if (shelf) return shelf
  const folder = process.env.ELDRIN_PACKS ?? join(process.cwd(), 'packs')
  return (shelf = keptShelf(join(process.cwd(), '.output', 'packs-read'), folder) ?? loadPacks(folder))
}
