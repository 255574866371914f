import { byId } from '../../base/by-id'
import type { JobState } from '../chapters'
import { blockersOf } from './blockers'
import type { Blocker } from './blockers'

/**
 * What stands in somebody's way of doing a step now: what stands in everybody's, and what they left half done.
 * Nothing comes between two steps of which the second follows at once, for whoever did the first; who works beside them goes on.
 */
export function blockersFor(state: JobState, stepId: string, personId: string): Blocker[] {
  return [...leftHalfDone(state, stepId, personId), ...blockersOf(state, stepId)]
}

/**
 * Steps that follow at once on one that this person did. One that waits for something itself stands in nobody's way, nor in that of what
 * the plan puts before it: work that came apart in between, say.
 */
function leftHalfDone(state: JobState, stepId: string, personId: string): Blocker[] {
  const { procedure, plan, done } = state
  if (!procedure || !plan) return []
  const place = (id: string) => (plan.order.includes(id) ? plan.order.indexOf(id) : Infinity)
  const open = procedure.links.filter(link => link.atOnce && done[link.before] && !done[link.after])
  if (open.some(({ after }) => after === stepId)) return []
  return open
    .filter(({ before, after }) => done[before]!.personId === personId && place(after) < place(stepId))
    .filter(({ after }) => blockersOf(state, after).length === 0)
    .map(({ after, kind, because }) => ({
      stepId: after,
      title: byId(procedure.operations, after)!.title,
      kind,
      because,
    }))
}
