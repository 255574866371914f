import { byId } from '../../../base/by-id'
import { awayOf, homeOf } from '../../../pack/bay'
import type { JobEvent, JobState } from '../../chapters'
import { carryOut, changeLedger } from './carry-out'
import { stopTimer } from './timers'

/** What a finished step changes: the ledger, the facts, where the car and the mechanic are. */
export function applyStepDone(state: JobState, { id, payload, deviceTime, personId }: JobEvent<'step-done'>): void {
  const { stepId } = payload
  const planned = state.plan && byId(state.plan.steps, stepId)
  if (!planned || !state.procedure || state.done[stepId]) return
  state.done[stepId] = { at: deviceTime, personId, eventId: id }
  stopTimer(state, stepId, deviceTime)
  state.place = planned.place
  if (planned.kind === 'operation') return carryOut(state, byId(state.procedure.operations, stepId)!, deviceTime)
  const target = planned.kind === 'raise' ? awayOf(state.procedure) : homeOf(state.procedure)
  if (state.car !== target) {
    changeLedger(state, state.procedure.positions[state.car]!.takesOff, -1)
    changeLedger(state, state.procedure.positions[target]!.takesOff, 1)
  }
  state.car = target
}
