import { findCycle } from '../../../base/find-cycle'
import type { Plan } from '../../../sequence/types'
import { OrderError } from '../../../sequence/plan-in-order'
import { operationOrder } from '../../../sequence/move-step'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { stepTitle } from '../../views/step-title'
import { changedPlan } from '../plan/change-plan'
import { pastOf } from '../plan/past'
import { countInLedger } from '../steps/count-in-ledger'
import { canBeAnew, comesApart } from './comes-apart'
import { forgetDone } from './forget-done'
import { orderAgain } from './order-again'
import { putAway } from './put-away'
import { withLinksOfNow } from './links-of-now'
import { backPartId, firstId, leftBehind, withAgain } from './with-again'
import type { ApartAgain } from './with-again'

export interface AgainEvents {
  /** Something went wrong or was found bad, and a step is done anew: what is over it comes off again. */
  'apart-again': ApartAgain & {
    at: string
    utcOffsetMinutes: number
    /** Told with what follows from how the car stands at that moment; older acts know nothing of it. */
    asItStands?: true
  }
}

/** What came apart once more. */
export interface AgainState {
  again: ApartAgain[]
}

export const nothingAgain = (): AgainState => ({ again: [] })

export const again: Chapter<AgainEvents> = {
  'apart-again': {
    words: (state, { payload }) => `Apart again: ${stepTitle(state.procedure!, state.plan!, payload.stepId)}`,
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notApartAgain(state, payload),
    apply: (state, { payload }) => {
      if (!state.plan || !state.procedure) return
      const { at: _at, utcOffsetMinutes: _offset, asItStands, ...entry } = payload
      const { circumstances, plan, clock } = plannedAgain(state, payload)
      forgetDone(state, entry)
      if (entry.opens.length === 0)
        for (const [item, count] of leftBehind(state.procedure, entry.repeats)) countInLedger(state, item, -count)
      state.procedure = withAgain(state.procedure, entry)
      if (asItStands) state.procedure = withLinksOfNow(state)
      state.procedure = putAway(state, state.procedure, operationOrder(plan))
      Object.assign(state, { circumstances, plan, clock })
      state.again = [...state.again, entry]
    },
  },
}

/** The plan with what comes apart once more, from the state before it. @throws OrderError where no order is left */
function plannedAgain(
  state: JobState,
  payload: AgainEvents['apart-again'],
): Pick<JobState, 'circumstances' | 'clock'> & { plan: Plan } {
  const { at, utcOffsetMinutes, asItStands, ...entry } = payload
  const left = operationOrder(state.plan!).filter(id => !state.done[id] || entry.repeats.includes(id))
  const next: JobState = { ...state, procedure: withAgain(state.procedure!, entry) }
  forgetDone(next, entry)
  if (asItStands) next.procedure = withLinksOfNow(next)
  const there = new Set(next.procedure!.operations.map(({ id }) => id))
  const order = orderAgain(left, entry, next.procedure!.links, id => there.has(id))
  const circumstances = { ...state.circumstances, arrivals: arrivalsOf(state, entry) }
  const plan = changedPlan(
    next,
    { circumstances, order, at, utcOffsetMinutes, lowerBoundMinutes: 0, proven: false },
    payload,
  )
  const minutes = pastOf(next)?.steps.at(-1)?.finishMinutes ?? 0
  return { circumstances, plan, clock: { at, utcOffsetMinutes, minutes } }
}

function arrivalsOf(state: JobState, { againId, away, parts }: ApartAgain): { partId: string; at: string }[] {
  const dated = [
    ...parts.flatMap(({ partId, until }) => (until ? [{ partId, at: until }] : [])),
    ...(away?.until ? [{ partId: backPartId(againId), at: away.until }] : []),
  ]
  return [
    ...state.circumstances.arrivals.filter(({ partId }) => !dated.some(entry => entry.partId === partId)),
    ...dated,
  ]
}

/** Why it cannot come apart again as it is told; `null` when it can. */
function notApartAgain(state: JobState, payload: AgainEvents['apart-again']): Refusal | null {
  const { procedure, plan } = state
  if (!procedure || !plan) return refuse('type', 'The job has no plan yet.')
  const target = procedure.operations.find(({ id }) => id === payload.stepId)
  if (!target || target.again !== undefined)
    return refuse('payload.stepId', `The work of this job has no step "${payload.stepId}" to be done again.`)
  if (!canBeAnew(state, target))
    return refuse('payload.stepId', 'Taking apart is not repeated by itself: name the step of the way back.')
  if (state.again.some(({ againId }) => againId === payload.againId))
    return refuse('payload.againId', 'This is in the plan already.')
  if (payload.troubleId !== null && !state.troubles.some(({ troubleId }) => troubleId === payload.troubleId))
    return refuse('payload.troubleId', 'No such trouble on this job.')
  const { opens, repeats } = comesApart(state, payload.stepId)
  if (!isSame(opens, payload.opens))
    return refuse('payload.opens', 'What lies over it stands otherwise by now. Look again.')
  if (!isSame(repeats, payload.repeats))
    return refuse('payload.repeats', 'What is done of it stands otherwise by now. Look again.')
  if (opens.length + repeats.length + payload.parts.length === 0 && !payload.away)
    return refuse('payload.stepId', 'Nothing lies over it, and it waits for nothing: it can be done as it is.')
  const larger = withAgain(procedure, payload)
  const ids = larger.operations.map(({ id }) => id)
  if (findCycle(ids, larger.links)) return refuse('payload.stepId', 'It waits for something that waits for it.')
  try {
    plannedAgain(state, payload)
    return null
  } catch (error) {
    if (error instanceof OrderError) return refuse('payload.stepId', error.because)
    throw error
  }
}

const isSame = (one: string[], other: string[]) => one.length === other.length && one.every(id => other.includes(id))

/** After the work was expanded anew: what came apart once more is in it again. */
export function apartAgainIn(state: JobState): void {
  for (const entry of state.again) if (state.procedure) state.procedure = withAgain(state.procedure, entry)
}

/** The steps of which something is kept from the first time: the id it is kept under → the step. */
export const firstTimes = (state: JobState): Map<string, string> =>
  new Map(state.again.flatMap(({ againId, repeats }) => repeats.map(id => [firstId(againId, id), id] as const)))
