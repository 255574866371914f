import type { Procedure } from '../../pack/pack'
import { operationOrder } from '../../sequence/move-step'
import { simulate } from '../../physics'
import type { Breach } from '../../physics'
import type { JobState } from '../chapters'
import { standing } from './holding'

/**
 * What would go wrong if the rest were done in this order, from how the car stands now.
 * @param procedure the work, where it is another than the job's own
 */
export function breachesAhead(state: JobState, order: string[], procedure = state.procedure!): Breach[] {
  const steps = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const soiledBy = new Map<string, string>()
  const done = Object.entries(state.done).sort(([, a], [, b]) => Date.parse(a.at) - Date.parse(b.at))
  for (const [id] of done) {
    const { soils = [], washes = [], title = '' } = steps.get(id) ?? {}
    for (const surface of soils) soiledBy.set(surface, title)
    for (const surface of washes) soiledBy.delete(surface)
  }
  return simulate(procedure, order, { car: standing({ ...state, procedure }), stance: state.car, soiledBy })
}

/** The first breach of an order that the plan as it stands does not lead to as well; `null` where there is none. */
export function newBreach(state: JobState, order: string[], procedure: Procedure = state.procedure!): Breach | null {
  const left = (ids: string[]) => ids.filter(id => !state.done[id])
  const found = breachesAhead(state, left(order), procedure)
  if (found.length === 0) return null
  const known = breachesAhead(state, left(operationOrder(state.plan!)))
  return found.find(({ rule, what }) => !known.some(other => other.rule === rule && other.what === what)) ?? null
}
