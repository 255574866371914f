import type { Operation } from '../../../pack/operations'
import type { JobState } from '../../chapters'
import { whyOurs } from './not-to-be-taken-over'

/**
 * Steps that make sense only while it is whole, when others have done these: what is looked at, driven or measured before, and, as acts
 * of today tell it, a mark, a soak or a wait for something that is off by now.
 * @param stepIds what others did, done by now
 */
export function tooLate(state: JobState, stepIds: readonly string[], asItStands: boolean): Operation[] {
  return state.procedure!.operations.filter(
    operation =>
      !state.done[operation.id] &&
      operation.undoes === undefined &&
      Object.keys(operation.putsBack).length === 0 &&
      whyOurs(state, operation) === null &&
      (isOfTheWhole(state, operation, stepIds) || (asItStands && isOnlyFor(state, operation, stepIds))),
  )
}

function isOfTheWhole({ procedure, facts }: JobState, step: Operation, stepIds: readonly string[]): boolean {
  const comesBefore = procedure!.links.some(
    ({ kind, before, after }) => kind !== 'habit' && before === step.id && stepIds.includes(after),
  )
  const isWhole = step.phase === 'test' || step.whole === true || step.needs.some(fact => !facts.includes(fact))
  return comesBefore && isWhole
}

/** A step of the way in that takes nothing off and makes nothing true, and whatever it was for is done. What is covered stays open without it. */
function isOnlyFor({ procedure, done }: JobState, step: Operation, stepIds: readonly string[]): boolean {
  if (!['make-safe', 'strip'].includes(step.phase)) return false
  if (Object.keys(step.takesOff).length + step.gives.length + step.ends.length > 0) return false
  const links = procedure!.links.filter(({ before }) => before === step.id)
  return (
    links.some(({ after }) => stepIds.includes(after)) &&
    links.every(({ kind, after }) => kind !== 'clean' && done[after])
  )
}
