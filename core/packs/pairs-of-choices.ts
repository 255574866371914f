import type { Pack } from '../pack/pack'

/**
 * Combinations of options in which every pair of choices of every two of them stands together at least once; the others keep their default.
 * @param optionIds the options that bear on what is looked at; all of the pack's where none are named
 */
export function pairsOfChoices(pack: Pick<Pack, 'options'>, optionIds?: Set<string>): Record<string, string>[] {
  const asked = pack.options.filter(({ id }) => optionIds?.has(id) ?? true)
  const usual = Object.fromEntries(pack.options.map(option => [option.id, option.default]))
  const pairs = new Set<string>()
  const key = (a: string, x: string, b: string, y: string) => (a < b ? `${a}=${x} ${b}=${y}` : `${b}=${y} ${a}=${x}`)
  for (const [index, one] of asked.entries())
    for (const other of asked.slice(index + 1))
      for (const x of one.choices) for (const y of other.choices) pairs.add(key(one.id, x.id, other.id, y.id))
  const rows: Record<string, string>[] =
    asked.length === 1 ? asked[0]!.choices.map(({ id }) => ({ [asked[0]!.id]: id })) : []
  while (pairs.size > 0 || rows.length === 0) {
    const chosen: Record<string, string> = {}
    const seed = /^(\S+)=(\S+) (\S+)=(\S+)$/.exec([...pairs][0] ?? '')
    if (seed) Object.assign(chosen, { [seed[1]!]: seed[2]!, [seed[3]!]: seed[4]! })
    for (const option of asked) {
      if (option.id in chosen) continue
      const fresh = (choice: string) =>
        Object.entries(chosen).filter(([id, other]) => pairs.has(key(option.id, choice, id, other))).length
      chosen[option.id] = option.choices.reduce(
        (best, choice) => (fresh(choice.id) > fresh(best.id) ? choice : best),
        option.choices[0]!,
      ).id
    }
    for (const [id, x] of Object.entries(chosen))
      for (const [other, y] of Object.entries(chosen)) if (id < other) pairs.delete(key(id, x, other, y))
    rows.push(chosen)
  }
  return rows.map(chosen => ({ ...usual, ...chosen }))
}
