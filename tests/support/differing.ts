import { packs } from '../../core'
import { applies } from '../../core/packs/applies'

/** One of every lot of combinations that expand to the same work: under which the same operations, links, positions and reaches apply. */
export function differing(pack: packs.Pack): Record<string, string>[] {
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
  return [
    ...new Map(
      packs
        .optionCombinations(pack)
        .map(options => [whens.map(when => (applies(when, options) ? 1 : 0)).join(''), options]),
    ).values(),
  ]
}

const SHORT = 500

/** All of a list in a long proof (`ELDRIN_LONG=1`), else a share of it, evenly spread from the first to the last. */
export function evenShare<T>(list: T[]): T[] {
  if (process.env.ELDRIN_LONG || list.length <= SHORT) return list
  return Array.from({ length: SHORT }, (_, index) => list[Math.round((index * (list.length - 1)) / (SHORT - 1))]!)
}
