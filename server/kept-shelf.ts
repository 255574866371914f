import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { deserialize, serialize } from 'node:v8'
import { packsDigest } from './load-packs'
import type { PackShelf } from './load-packs'

interface Kept {
  digest: string
  shelf: PackShelf
}

/** Keeps packs as they were read and looked through, for every start of the server after it. */
export function keepShelf(file: string, folder: string, shelf: PackShelf): void {
  writeFileSync(file, serialize({ digest: packsDigest(folder), shelf } satisfies Kept))
}

/** Packs that were kept, where the folder still says the same; `null` where it says something else, or nothing readable was kept. */
export function keptShelf(file: string, folder: string): PackShelf | null {
  if (!existsSync(file)) return null
  try {
    const kept = deserialize(readFileSync(file)) as Kept
    return kept.digest === packsDigest(folder) ? kept.shelf : null
  } catch {
    return null
  }
}
