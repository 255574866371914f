import { operationOrder } from '../../../sequence/move-step'
import { OrderError } from '../../../sequence/plan-in-order'
import type { JobState } from '../../chapters'
import { changedPlan } from '../plan/change-plan'
import type { Circumstances } from '../plan/circumstances'
import { pastOf } from '../plan/past'

/**
 * Another day for parts: the steps keep their order, and the plan is timed anew from the steps done.
 * @param event the payload it follows from, by which the plan is remembered
 * @param at when that was, ISO 8601; `arrivesAt` is `null` for parts that are here
 */
export function setArrival(
  state: JobState,
  event: object,
  partIds: string[],
  arrivesAt: string | null,
  at: string,
): void {
  if (partIds.length === 0) return
  const arrivals = [
    ...state.circumstances.arrivals.filter(entry => !partIds.includes(entry.partId)),
    ...(arrivesAt ? partIds.map(partId => ({ partId, at: arrivesAt })) : []),
  ]
  retime(state, event, { ...state.circumstances, arrivals }, at)
}

function retime(state: JobState, event: object, circumstances: Circumstances, at: string): void {
  state.circumstances = circumstances
  if (!state.plan || !state.clock) return
  const { utcOffsetMinutes } = state.clock
  const order = operationOrder(state.plan).filter(id => !state.done[id])
  try {
    state.plan = changedPlan(
      state,
      { circumstances, order, at, utcOffsetMinutes, lowerBoundMinutes: 0, proven: false },
      event,
    )
    state.clock = { at, utcOffsetMinutes, minutes: pastOf(state)?.steps.at(-1)?.finishMinutes ?? 0 }
  } catch (error) {
    // An order that a person bent by hand may not be timed anew; the day of the part is kept all the same.
    if (!(error instanceof OrderError) && !(error instanceof RangeError)) throw error
  }
}

/** Parts that are not here yet, with the first step left that uses each. */
export function partsAwaited(state: JobState): { partId: string; name: string; at: string; stepId: string }[] {
  return state.circumstances.arrivals.flatMap(({ partId, at }) => {
    const part = state.procedure?.parts.find(entry => entry.id === partId)
    const stepId = state.plan?.order.find(
      id =>
        !state.done[id] && (state.procedure!.operations.find(operation => operation.id === id)?.parts[partId] ?? 0) > 0,
    )
    return part && stepId ? [{ partId, name: part.name, at, stepId }] : []
  })
}
