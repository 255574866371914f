import { simulate } from '../physics'
import type { PackFault } from './check-pack'
import { optionsIn } from './combinations'
import { expandPack } from './expand-pack'
import type { OperationSource } from '../pack/operations'
import type { Pack } from '../pack/pack'
import { underEvery } from './under-every'

/**
 * Loads that hang, and a car that moves over what stands under it: the order as written is worked off under every combination of the
 * options that bear on what holds something.
 */
export function checkLoads(pack: Pack): PackFault[] {
  const loads = pack.modules.flatMap(module => module.loads ?? [])
  if (loads.length === 0) return []
  const groups = new Set(loads.flatMap(({ heldBy }) => heldBy.flatMap(({ bolts }) => bolts?.group ?? [])))
  const items = new Set([
    ...loads.flatMap(({ out, heldBy }) => [out, ...heldBy.flatMap(({ prop, fitted = [] }) => [prop, ...fitted])]),
    ...pack.modules.flatMap(module =>
      module.items.filter(({ group }) => group !== undefined && groups.has(group)).map(({ id }) => id),
    ),
  ])
  const bears = (operation: OperationSource) =>
    Object.keys({ ...operation.takesOff, ...operation.putsBack }).some(item => items.has(item))
  const whens = pack.modules.flatMap(module => module.operations.filter(bears).map(({ when }) => when))
  return underEvery(pack, optionsIn([...whens, ...pack.positions.map(({ when }) => when)]), 'loads', choices => {
    const procedure = expandPack(pack, choices)
    const [breach] = simulate(
      procedure,
      procedure.operations.map(({ id }) => id),
    )
    return breach ? { path: `loads[${breach.what}]`, reason: `after step "${breach.step}": ${breach.because}` } : null
  })
}
