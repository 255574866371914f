import type { packs } from '../../core'
import { applies } from '../../core/packs/applies'
import { seededRandom } from '../../core/base/random'

const SHORT = 110
const LONG = 20_000

/**
 * Combinations of options drawn at random, the same every time, no two of which expand to the same work: under each other operations, links,
 * positions or reaches apply. Over a hundred, in a long proof (`ELDRIN_LONG=1`) many thousands; fewer where a pack has no more.
 * In a third of them no part is renewed that need not be, in a third any, in a third each.
 */
export function drawn(pack: packs.Pack): Record<string, string>[] {
  const key = whatApplies(pack)
  const random = seededRandom(pack.id.length * 7919)
  const wanted = process.env.ELDRIN_LONG ? LONG : SHORT
  const found = new Map<string, Record<string, string>>()
  for (let draw = 0; draw < wanted * 4 && found.size < wanted; draw++) {
    const options = Object.fromEntries(
      pack.options.map(({ id, choices, default: usual, renews }) => {
        const any = Math.floor(random() * choices.length)
        if (renews === undefined || draw % 3 === 1) return [id, choices[any]!.id]
        return [id, draw % 3 === 0 ? usual : choices[Math.max(1, any)]!.id]
      }),
    )
    found.set(key(options), options)
  }
  return [...found.values()]
}

/** What of a pack applies under a combination, as a key. */
function whatApplies(pack: packs.Pack): (options: Record<string, string>) => string {
  const things = [
    ...pack.modules.flatMap(module => [...module.operations, ...module.links]),
    ...pack.links,
    ...pack.positions,
    ...pack.reach,
  ]
  const whens = [
    ...new Map(
      things.filter(thing => thing.when.length > 0).map(thing => [JSON.stringify(thing.when), thing.when]),
    ).values(),
  ]
  return options => whens.map(when => (applies(when, options) ? 1 : 0)).join('')
}
