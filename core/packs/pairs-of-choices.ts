import type { Pack } from '../pack/pack'

/**
 * Combinations of options in which every pair of choices of every two of them stands together at least once; the others keep their default.
 * @param optionIds the options that bear on what is looked at; all of the pack's where none are named
 */
export function pairsOfChoices(pack: Pick<Pack, 'options'>, optionIds?: Set<string>): Record<string, string>[] {
  const asked = pack.options.filter(({ id }) => optionIds?.has(id) ?? true)
  const usual = Object.fromEntries(pack.options.map(option => [option.id, option.default]))
  /** Pairs that stood in no row yet, each as the choices it makes. */
  const open = new Map<string, Record<string, string>>()
  const key = (a: string, x: string, b: string, y: string) => (a < b ? `${a}=${x} ${b}=${y}` : `${b}=${y} ${a}=${x}`)
  for (const [index, one] of asked.entries())
    for (const other of asked.slice(index + 1))
      for (const x of one.choices)
        for (const y of other.choices) open.set(key(one.id, x.id, other.id, y.id), { [one.id]: x.id, [other.id]: y.id })
  const rows: Record<string, string>[] =
    asked.length === 1 ? asked[0]!.choices.map(({ id }) => ({ [asked[0]!.id]: id })) : []
  while (open.size > 0 || rows.length === 0) {
    const [first] = open.values()
    const chosen = { ...first }
    for (const option of asked) {
      if (option.id in chosen) continue
      const fresh = (choice: string) =>
        Object.entries(chosen).filter(([id, other]) => open.has(key(option.id, choice, id, other))).length
      chosen[option.id] = option.choices.reduce(
        (best, choice) => (fresh(choice.id) > fresh(best.id) ? choice : best),
        option.choices[0]!,
      ).id
    }
    for (const [id, x] of Object.entries(chosen))
      for (const [other, y] of Object.entries(chosen)) if (id < other) open.delete(key(id, x, other, y))
    rows.push(chosen)
  }
  return rows.map(chosen => ({ ...usual, ...chosen }))
}
