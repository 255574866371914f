import type { When } from '../pack/kinds'
import type { PackOption } from '../pack/options'
import type { Pack } from '../pack/pack'

/** Every combination of the choices of a pack's options. */
export function optionCombinations(pack: Pack): Record<string, string>[] {
  return combinationsOf(
    pack,
    pack.options.map(option => option.id),
  )
}

/**
 * Every combination of some options; the others keep their default, which does not matter to who asks.
 *
 * Work that renews a part stands beside that of other parts and takes none of it away, so that of many such options not every combination
 * is wanted: no part, all by their first way, all by their second, and so on.
 */
export function combinationsOf(pack: Pack, optionIds: Iterable<string>): Record<string, string>[] {
  const { ways, together } = sorted(pack, new Set(optionIds))
  const usual = Object.fromEntries(pack.options.map(option => [option.id, option.default]))
  return ways.reduce<Record<string, string>[]>(
    (all, option) => all.flatMap(chosen => option.choices.map(({ id }) => ({ ...chosen, [option.id]: id }))),
    Array.from({ length: most(together) }, (_, at) => ({ ...usual, ...allAt(together, at) })),
  )
}

/** How many combinations of some options there are. */
export function countCombinations(pack: Pack, optionIds: Set<string>): number {
  const { ways, together } = sorted(pack, optionIds)
  return ways.reduce((product, option) => product * option.choices.length, most(together))
}

/** So few options of parts are taken in every combination. */
const FEW = 4

function sorted(pack: Pack, wanted: Set<string>): { ways: PackOption[]; together: PackOption[] } {
  const asked = pack.options.filter(option => wanted.has(option.id))
  const parts = asked.filter(option => option.renews !== undefined)
  return parts.length <= FEW
    ? { ways: asked, together: [] }
    : { ways: asked.filter(option => option.renews === undefined), together: parts }
}

const most = (options: PackOption[]) => Math.max(1, ...options.map(option => option.choices.length))

const allAt = (options: PackOption[], at: number) =>
  Object.fromEntries(options.map(({ id, choices }) => [id, choices[Math.min(at, choices.length - 1)]!.id]))

/** The options that decide whether something applies. */
export function optionsIn(whens: When[]): Set<string> {
  return new Set(whens.flat().flatMap(entry => Object.keys(entry)))
}
