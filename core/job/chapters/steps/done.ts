import { byId } from '../../../base/by-id'
import type { JobEvent, JobState } from '../../chapters'
import { noteFetched } from '../again/fetched'
import { countsOnBoard, stepOnBoards } from '../bolts/boards'
import { countInLedger } from './count-in-ledger'
import { noteNewParts } from './note-new-parts'
import { stopTimer } from './timers'

/** What a finished step changes: the ledger, the facts, where the car and the mechanic are. */
export function applyStepDone(state: JobState, { id, payload, deviceTime, personId }: JobEvent<'step-done'>): void {
  const { stepId } = payload
  const planned = state.plan && byId(state.plan.steps, stepId)
  if (!planned || !state.procedure || state.done[stepId]) return
  state.done[stepId] = { at: deviceTime, personId, eventId: id }
  stopTimer(state, stepId, deviceTime)
  state.place = planned.place
  if (planned.kind === 'operation') {
    const operation = byId(state.procedure.operations, stepId)!
    changeLedger(state, operation.takesOff, 1)
    changeLedger(state, operation.putsBack, -1)
    stepOnBoards(state, operation)
    noteNewParts(state, operation, deviceTime)
    noteFetched(state, stepId)
    state.facts = [
      ...state.facts.filter(fact => !operation.ends.includes(fact)),
      ...operation.gives.filter(fact => !state.facts.includes(fact)),
    ]
    return
  }
  const target = planned.kind === 'raise' ? 'raised' : 'ground'
  if (state.car !== target) {
    changeLedger(state, state.procedure.positions[state.car].takesOff, -1)
    changeLedger(state, state.procedure.positions[target].takesOff, 1)
  }
  state.car = target
}

/** Bolts of a board are counted there, one by one. */
function changeLedger(state: JobState, counts: Record<string, number>, sign: 1 | -1): void {
  for (const [id, count] of Object.entries(counts)) {
    const item = byId(state.procedure!.items, id)
    if (!item || !countsOnBoard(state, item)) countInLedger(state, id, sign * count)
  }
}
