/**
 * A cycle among links, if there is one.
 * @returns the ids along the cycle, the first one again at the end, or `null`
 */
export function findCycle(ids: string[], links: { before: string; after: string }[]): string[] | null {
  const following = new Map<string, string[]>(ids.map(id => [id, []]))
  for (const link of links) following.get(link.before)?.push(link.after)
  const finished = new Set<string>()
  const path: string[] = []
  const onPath = new Set<string>()

  function visit(id: string): string[] | null {
    if (finished.has(id)) return null
    if (onPath.has(id)) return [...path.slice(path.indexOf(id)), id]
    path.push(id)
    onPath.add(id)
    for (const next of following.get(id) ?? []) {
      const cycle = visit(next)
      if (cycle) return cycle
    }
    path.pop()
    onPath.delete(id)
    finished.add(id)
    return null
  }

  for (const id of ids) {
    const cycle = visit(id)
    if (cycle) return cycle
  }
  return null
}
