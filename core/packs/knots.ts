/**
 * Groups of steps from each of which every other can be reached along links: where cycles can be, if anywhere.
 * Tarjan 1972, strongly connected components; from memory.
 * @returns step id → number of its group; steps that stand in no cycle are left out
 */
export function knots(links: { before: string; after: string }[]): Map<string, number> {
  const following = new Map<string, string[]>()
  for (const { before, after } of links) {
    const list = following.get(before)
    if (list) list.push(after)
    else following.set(before, [after])
  }
  const index = new Map<string, number>()
  const low = new Map<string, number>()
  const stack: string[] = []
  const onStack = new Set<string>()
  const found = new Map<string, number>()
  let groups = 0

  function visit(id: string): void {
    index.set(id, index.size)
    low.set(id, index.get(id)!)
    stack.push(id)
    onStack.add(id)
    for (const next of following.get(id) ?? []) {
      if (!index.has(next)) {
        visit(next)
        low.set(id, Math.min(low.get(id)!, low.get(next)!))
      } else if (onStack.has(next)) low.set(id, Math.min(low.get(id)!, index.get(next)!))
    }
    if (low.get(id) !== index.get(id)) return
    const group = stack.splice(stack.indexOf(id))
    for (const member of group) {
      onStack.delete(member)
      if (group.length > 1) found.set(member, groups)
    }
    groups++
  }
  for (const id of following.keys()) if (!index.has(id)) visit(id)
  return found
}
