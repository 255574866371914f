import { stepOnBoards } from './boards'
import type { JobEvent } from './events'
import type { JobState } from './state'
import { stopTimer } from './timers'

/** What a finished step changes: the ledger, the facts, where the car and the mechanic are. */
export function applyStepDone(state: JobState, { id, payload, deviceTime, personId }: JobEvent<'step-done'>): void {
  const { stepId } = payload
  const planned = state.plan?.steps.find(step => step.id === stepId)
  if (!planned || !state.procedure || state.done[stepId]) return
  state.done[stepId] = { at: deviceTime, personId, eventId: id }
  stopTimer(state, stepId, deviceTime)
  state.place = planned.place
  if (planned.kind === 'operation') {
    const operation = state.procedure.operations.find(entry => entry.id === stepId)!
    changeLedger(state, operation.takesOff, 1)
    changeLedger(state, operation.putsBack, -1)
    stepOnBoards(state, operation)
    state.facts = [...state.facts.filter(fact => !operation.ends.includes(fact)), ...operation.gives.filter(fact => !state.facts.includes(fact))]
    return
  }
  const target = planned.kind === 'raise' ? 'raised' : 'ground'
  if (state.car !== target) {
    changeLedger(state, state.procedure.positions[state.car].takesOff, -1)
    changeLedger(state, state.procedure.positions[target].takesOff, 1)
  }
  state.car = target
}

function changeLedger(state: JobState, counts: Record<string, number>, sign: 1 | -1): void {
  for (const [item, count] of Object.entries(counts)) {
    const left = (state.ledger[item] ?? 0) + sign * count
    if (left === 0) delete state.ledger[item]
    else state.ledger[item] = left
  }
}
