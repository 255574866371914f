const indexes = new WeakMap<readonly { id: string }[], Map<string, { id: string }>>()

/**
 * The entry of a list that has an id; `undefined` where none has. The first one, where several do.
 * @param list is indexed the first time it is asked, and must not be changed afterwards; another list is made instead
 */
export function byId<T extends { id: string }>(list: readonly T[], id: string): T | undefined {
  let index = indexes.get(list)
  if (!index) {
    index = new Map()
    for (const entry of list) if (!index.has(entry.id)) index.set(entry.id, entry)
    indexes.set(list, index)
  }
  return index.get(id) as T | undefined
}
