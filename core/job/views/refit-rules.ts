import type { Link, Operation } from '../../pack/operations'
import type { JobState } from '../chapters'

/** A reason of the refit that the strip does not have, or has otherwise. */
export interface WayBackRule {
  link: Link
  /** Titles of the step that comes first and of the one that waits for it. */
  first: Operation
  then: Operation
  stand: 'kept' | 'now' | 'to come'
}

/** Kinds whose reasons are the refit's own; what is only the strip the other way round is left out. */
const OWN = new Set<Link['kind']>(['safety', 'reaction', 'clean', 'habit'])

/**
 * The rules of the way back, each with its reason, in the order of the plan: what stays loose until all is in, what waits
 * for the ground, what goes on before a jack leaves. A rule is `now` when its second step can be next.
 */
export function refitRules(state: JobState): WayBackRule[] {
  const { procedure, plan } = state
  if (!procedure || !plan) return []
  const byId = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const place = new Map(plan.order.map((id, index) => [id, index]))
  const back = (id: string) => ['refit', 'fill', 'prove'].includes(byId.get(id)?.phase ?? '')
  const mirrored = new Set(procedure.links.map(link => `${link.after}.refit ${link.before}.refit ${link.because}`))
  return procedure.links
    .filter(
      link =>
        OWN.has(link.kind) &&
        back(link.before) &&
        back(link.after) &&
        !mirrored.has(`${link.before} ${link.after} ${link.because}`),
    )
    .map((link): WayBackRule => ({
      link,
      first: byId.get(link.before)!,
      then: byId.get(link.after)!,
      stand: state.done[link.after] ? 'kept' : state.done[link.before] ? 'now' : 'to come',
    }))
    .sort(
      (a, b) =>
        (place.get(a.then.id) ?? 0) - (place.get(b.then.id) ?? 0) ||
        (place.get(a.first.id) ?? 0) - (place.get(b.first.id) ?? 0),
    )
}
