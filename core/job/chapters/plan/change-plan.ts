import { planInOrder } from '../../../sequence/plan-in-order'
import type { Plan } from '../../../sequence/types'
import type { EventPayloads, JobState } from '../../chapters'
import { planSetting } from './circumstances'
import { pastOf } from './past'

const memory = new WeakMap<object, { key: string; plan: Plan }>()

/**
 * The plan that a change leads to: the order given, timed from the steps done.
 * Remembered per event, since every tap reduces the log again.
 * @param event what it is remembered by, where the change follows from something else than itself
 * @throws OrderError when the order leaves a step out or breaks a link
 */
export function changedPlan(state: JobState, payload: EventPayloads['plan-changed'], event: object = payload): Plan {
  const key = `${JSON.stringify(payload.circumstances)} ${payload.order.length} ${state.procedure!.operations.length} ${state.procedure!.packId} ${JSON.stringify(state.procedure!.options)} ${Object.keys(state.done).join(' ')} ${state.car} ${state.place}`
  const known = memory.get(event)
  if (known?.key === key) return known.plan
  const past = pastOf(state)
  const clock = {
    at: payload.at,
    utcOffsetMinutes: payload.utcOffsetMinutes,
    minutes: past?.steps.at(-1)?.finishMinutes ?? 0,
  }
  const { order, lowerBoundMinutes, proven } = payload
  const plan = planInOrder(
    state.procedure!,
    planSetting(payload.circumstances, state.procedure!.hands, clock),
    order,
    { lowerBoundMinutes, proven },
    past,
  )
  memory.set(event, { key, plan })
  return plan
}
