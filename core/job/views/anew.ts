import { groupsSetBy } from '../../packs/check-fasteners'
import type { Operation } from '../../pack/operations'
import { stepMinutes } from '../../sequence/step-minutes'
import type { JobState } from '../chapters'
import { canBeAnew, comesApart } from '../chapters/again/comes-apart'
import type { ComesApart } from '../chapters/again/comes-apart'

/** What something that went wrong is about: a step, or a group of bolts. */
export interface About {
  stepId: string | null
  group?: string
}

/** The steps that may have to be done anew, the likeliest first: the step itself, whatever sets the group, whatever undoes it, then all done. */
export function anewSteps(state: JobState, { stepId, group }: About): Operation[] {
  const operations = (state.procedure?.operations ?? []).filter(operation => canBeAnew(state, operation))
  const sets = (operation: Operation) =>
    group !== undefined && (groupsSetBy(operation).includes(group) || putsBackGroup(state, operation, group))
  const rank = (operation: Operation) =>
    operation.id === stepId ? 0 : sets(operation) ? 1 : operation.undoes === stepId ? 2 : 3
  return operations
    .filter(operation => state.done[operation.id] || rank(operation) < 3)
    .sort((a, b) => rank(a) - rank(b))
}

const putsBackGroup = (state: JobState, { putsBack }: Operation, group: string) =>
  Object.keys(putsBack).some(item => state.procedure!.items.find(({ id }) => id === item)?.group === group)

/** What comes apart again for a step, and the minutes of it, there and back. */
export function anewMinutes(state: JobState, stepId: string): ComesApart & { minutes: number } {
  const apart = comesApart(state, stepId)
  const again = new Set([...apart.opens, ...apart.repeats])
  const planned = new Map(state.plan?.steps.map(step => [step.id, step]))
  const minutes = [...again].reduce((sum, id) => {
    const step = planned.get(id)
    return sum + (step ? stepMinutes(step) : 0)
  }, 0)
  return { ...apart, minutes }
}
