import { byId } from '../../../base/by-id'
import type { Operation } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'

/** Why a step is not done on this car, and who says so. */
export interface LeftOutStep {
  stepId: string
  title: string
  reason: string
  at: string
  personId: string
}

/** The step itself and the one that undoes it. */
const bothOf = ({ operations }: Procedure, stepId: string) =>
  new Set(operations.filter(({ id, undoes }) => id === stepId || undoes === stepId).map(({ id }) => id))

/** The procedure without a step and the one that undoes it; nothing waits for them. */
export function withoutStep(procedure: Procedure, stepId: string): Procedure {
  const gone = bothOf(procedure, stepId)
  return {
    ...procedure,
    operations: procedure.operations.filter(({ id }) => !gone.has(id)),
    links: procedure.links.filter(({ before, after }) => !gone.has(before) && !gone.has(after)),
  }
}

/** Takes a step that this car has not out of a job: what it would have brought about holds, and its bolts are nowhere. */
export function leaveOut(state: JobState, stepId: string): void {
  const procedure = state.procedure!
  const operation = byId(procedure.operations, stepId)
  if (!operation) return
  state.facts = [...state.facts, ...operation.gives.filter(fact => !state.facts.includes(fact))]
  for (const board of Object.values(state.boards))
    if (board.bolts.some(bolt => bolt.offWith === stepId))
      state.boards[board.group] = { ...board, bolts: board.bolts.filter(bolt => bolt.offWith !== stepId) }
  for (const [id, count] of Object.entries(operation.takesOff))
    liftUnmapped(state, byId(procedure.items, id)?.group, count)
  state.procedure = withoutStep(procedure, stepId)
}

/** Bolts that no map ties to a step: so many fewer are there. */
function liftUnmapped(state: JobState, group: string | undefined, count: number): void {
  const board = group === undefined ? undefined : state.boards[group]
  if (!board || byId(state.procedure!.groups, board.group)?.board) return
  const free = board.bolts.filter(bolt => bolt.offWith === null && bolt.stand === 'untouched').slice(-count)
  state.boards[board.group] = { ...board, bolts: board.bolts.filter(bolt => !free.includes(bolt)) }
}

const thingsOf = ({ procedure }: JobState, { takesOff }: Pick<Operation, 'takesOff'>) =>
  Object.keys(takesOff).flatMap(id => byId(procedure!.items, id) ?? [])

/** Why a step cannot be left out; `null` when it can. */
export function notToBeLeftOut(state: JobState, stepId: string): Refusal | null {
  const cannot = (reason: string) => refuse('payload.stepId', reason)
  const operation = state.procedure && byId(state.procedure.operations, stepId)
  if (!operation) return cannot(`The work of this job has no step "${stepId}".`)
  if (state.done[stepId]) return cannot('This step is done already.')
  if (Object.keys(operation.putsBack).length > 0)
    return cannot(
      'It puts back what comes off. Leave out the step that takes it off, or settle it in the list of what is off.',
    )
  const held = thingsOf(state, operation).find(({ state: way }) => way === 'propped')
  if (held) return cannot('It holds weight or keeps something from falling: what comes after it relies on that.')
  const relied = state.procedure!.facts.find(({ id, kind }) => kind === 'safety' && operation.gives.includes(id))
  if (relied) return cannot(`Others are safe only after it. ${relied.because}`)
  if (operation.safety || operation.phase === 'prove') return cannot('The car does not go on the road without it.')
  return null
}
