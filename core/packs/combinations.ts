import type { When } from '../pack/kinds'
import type { Pack } from '../pack/pack'

/** Every combination of the choices of a pack's options. */
export function optionCombinations(pack: Pack): Record<string, string>[] {
  return combinationsOf(
    pack,
    pack.options.map(option => option.id),
  )
}

/** Every combination of some options; the others keep their default, which does not matter to who asks. */
export function combinationsOf(pack: Pack, optionIds: Iterable<string>): Record<string, string>[] {
  const wanted = new Set(optionIds)
  return pack.options.reduce<Record<string, string>[]>(
    (all, option) =>
      all.flatMap(chosen =>
        (wanted.has(option.id) ? option.choices.map(choice => choice.id) : [option.default]).map(choice => ({
          ...chosen,
          [option.id]: choice,
        })),
      ),
    [{}],
  )
}

/** How many combinations of some options there are. */
export function countCombinations(pack: Pack, optionIds: Set<string>): number {
  return pack.options.reduce((product, option) => product * (optionIds.has(option.id) ? option.choices.length : 1), 1)
}

/** The options that decide whether something applies. */
export function optionsIn(whens: When[]): Set<string> {
  return new Set(whens.flat().flatMap(entry => Object.keys(entry)))
}
