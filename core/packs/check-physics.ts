import type { OperationSource } from '../pack/operations'
import type { Pack } from '../pack/pack'
import type { Cleanliness } from '../pack/surfaces'
import { simulate } from '../physics'
import type { BreachRule } from '../physics'
import { groupsSetBy } from './check-fasteners'
import type { PackFault } from './check-pack'
import { optionsIn } from './combinations'
import { expandPack } from './expand-pack'
import { pairsOfChoices } from './pairs-of-choices'
import { choicesLabel } from './under-every'

/** Where a pack says of what is told by a breach. */
const saidIn: Record<BreachRule, string> = {
  held: 'loads',
  settled: 'loads',
  height: 'items',
  clean: 'surfaces',
  shut: 'items',
}

/**
 * What hangs, what stands in the way of a car that moves, what is covered dirty and what flies into an opening: the order as written is worked
 * off under every pair of the choices that bear on it.
 */
export function checkPhysics(pack: Pack): PackFault[] {
  const operations = pack.modules.flatMap(module => module.operations)
  const bearing = operations.filter(bearsOn(pack))
  if (bearing.length === 0) return []
  const relevant = optionsIn([...bearing, ...pack.positions].map(({ when }) => when))
  for (const choices of pairsOfChoices(pack, relevant)) {
    const fault = firstBreach(pack, choices)
    if (fault) return [{ ...fault, reason: fault.reason + choicesLabel(choices, relevant) }]
  }
  return []
}

/** A step and what its refit says for itself. */
const sidesOf = (step: OperationSource): Cleanliness[] =>
  step.refit.kind === 'mirror' ? [step, step.refit.override] : [step]

/** Whether a step bears on what holds something heavy, stands on the floor, has to be clean or may not gape. */
function bearsOn(pack: Pack): (step: OperationSource) => boolean {
  const loads = pack.modules.flatMap(module => module.loads ?? [])
  const ledger = [...pack.items, ...pack.modules.flatMap(module => module.items)]
  const openings = pack.modules.flatMap(module => module.operations.flatMap(({ wantsShut = [] }) => wantsShut))
  const groups = new Set(loads.flatMap(({ heldBy }) => heldBy.flatMap(({ bolts }) => bolts?.group ?? [])))
  const items = new Set([
    ...loads.flatMap(({ out, heldBy }) => [out, ...heldBy.flatMap(({ prop, fitted = [] }) => [prop, ...fitted])]),
    ...ledger.filter(({ group }) => group !== undefined && groups.has(group)).map(({ id }) => id),
    ...ledger.filter(({ foot }) => foot === 'floor').map(({ id }) => id),
    ...openings,
    ...ledger.filter(({ covers }) => covers !== undefined && openings.includes(covers)).map(({ id }) => id),
  ])
  return step =>
    Object.keys({ ...step.takesOff, ...step.putsBack }).some(item => items.has(item)) ||
    groupsSetBy(step).some(group => groups.has(group)) ||
    step.settles !== undefined ||
    sidesOf(step).some(({ soils, washes, wantsClean, wantsShut }) => soils ?? washes ?? wantsClean ?? wantsShut)
}

function firstBreach(pack: Pack, choices: Record<string, string>): PackFault | null {
  const procedure = expandPack(pack, choices)
  const order = procedure.operations.map(({ id }) => id)
  const [breach] = simulate(procedure, order)
  if (!breach) return null
  return { path: `${saidIn[breach.rule]}[${breach.what}]`, reason: `at step "${breach.step}": ${breach.because}` }
}
