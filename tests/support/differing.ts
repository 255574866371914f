import { packs } from '../../core'
import { applies } from '../../core/packs/applies'

/** One of every lot of combinations that expand to the same work: under which the same operations, links, positions and reaches apply. */
export function differing(pack: packs.Pack): Record<string, string>[] {
  const things = [...pack.modules.flatMap(module => [...module.operations, ...module.links]), ...pack.links, ...pack.positions, ...pack.reach]
  const whens = [...new Map(things.filter(thing => thing.when.length > 0).map(thing => [JSON.stringify(thing.when), thing.when])).values()]
  return [...new Map(packs.optionCombinations(pack).map(options => [whens.map(when => applies(when, options) ? 1 : 0).join(''), options])).values()]
}
