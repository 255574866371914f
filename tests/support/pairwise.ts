import type { Pack } from '../../core/packs'

/** Combinations of options in which every choice of every option stands at least once. */
export function everyChoice({ options }: Pack): { options: Record<string, string> }[] {
  const most = Math.max(1, ...options.map(({ choices }) => choices.length))
  return Array.from({ length: most }, (_, row) => ({
    options: Object.fromEntries(
      options.map(({ id, choices }, column) => [id, choices[(row + column) % choices.length]!.id]),
    ),
  }))
}

/** Combinations of options in which every pair of choices of every two options stands together at least once. */
export function pairwise(pack: Pack): { options: Record<string, string> }[] {
  const pairs = new Set<string>()
  const key = (a: string, x: string, b: string, y: string) => (a < b ? `${a}=${x} ${b}=${y}` : `${b}=${y} ${a}=${x}`)
  for (const [index, one] of pack.options.entries()) {
    for (const other of pack.options.slice(index + 1)) {
      for (const x of one.choices) for (const y of other.choices) pairs.add(key(one.id, x.id, other.id, y.id))
    }
  }
  const rows: { options: Record<string, string> }[] = []
  while (pairs.size > 0 || rows.length === 0) {
    const options: Record<string, string> = {}
    const seed = /^(\S+)=(\S+) (\S+)=(\S+)$/.exec([...pairs][0] ?? '')
    if (seed) Object.assign(options, { [seed[1]!]: seed[2]!, [seed[3]!]: seed[4]! })
    for (const option of pack.options) {
      if (option.id in options) continue
      const fresh = (choice: string) =>
        Object.entries(options).filter(([id, chosen]) => pairs.has(key(option.id, choice, id, chosen))).length
      options[option.id] = option.choices.reduce(
        (best, choice) => (fresh(choice.id) > fresh(best.id) ? choice : best),
        option.choices[0]!,
      ).id
    }
    for (const [id, x] of Object.entries(options))
      for (const [other, y] of Object.entries(options)) if (id < other) pairs.delete(key(id, x, other, y))
    rows.push({ options })
  }
  return rows
}
