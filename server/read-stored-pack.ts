import { createHash } from 'node:crypto'
import type { ReadPack } from '../contracts/read-pack'
import { apart } from './apart'
import type { PackShelf } from './load-packs'

/** So many texts are remembered; a garage has a handful of its own layouts. */
const REMEMBERED = 40
const known = new Map<string, Promise<ReadPack>>()

/**
 * Reads the text of a layout in a process of its own and remembers what came of it, since the same text is read the same way.
 * @throws Refused when reading it takes too long or too much memory
 */
export function readPackText(yaml: string, shelf: PackShelf): Promise<ReadPack> {
  const mark = createHash('sha256').update(yaml).digest('base64')
  const before = known.get(mark)
  if (before) return before
  const reading = apart('read-pack', { yaml, terms: shelf.terms })
  known.set(mark, reading)
  reading.catch(() => known.delete(mark))
  if (known.size > REMEMBERED) known.delete(known.keys().next().value!)
  return reading
}
