import { nowIso } from '../device/clock'
import { proxy } from 'comlink'
import { noCircumstances, pastOf, planSetting } from '../../core/job'
import type { Circumstances } from '../../core/job'
import { moveStep, operationOrder, withoutPin, withPin } from '../../core/sequence'
import type { Plan } from '../../core/sequence'
import { utcOffsetMinutes } from '../words/utc-offset'

/** What a mechanic may do to a plan: move and pin steps, change the circumstances, have it worked out again. */
export function usePlanEdits() {
  const { store, state } = useJob()
  const messages = useMessages()
  const t = useTerms()
  const progress = ref<{ share: number; minutes: number } | null>(null)
  let wanted: Circumstances = noCircumstances
  const done = computed(() => new Set(Object.keys(state.value.done)))
  const pinned = computed(() => new Set(state.value.circumstances.pins.map(pin => pin.stepId)))

  const worker = usePlannerWorker()

  function write(
    circumstances: Circumstances,
    order: string[],
    bound: Pick<Plan, 'lowerBoundMinutes' | 'proven'>,
  ): boolean {
    return store.write('plan-changed', {
      circumstances,
      order: order.filter(id => !done.value.has(id)),
      at: nowIso(),
      utcOffsetMinutes: utcOffsetMinutes(),
      lowerBoundMinutes: bound.lowerBoundMinutes,
      proven: bound.proven,
    })
  }

  /** Puts a step to another place and keeps it there; the others keep their order. A forbidden move is answered with its sentence. */
  function move(stepId: string, place: number): boolean {
    const plan = store.ahead.plan!
    if (operationOrder(plan).indexOf(stepId) === place) return false
    const moved = moveStep(store.ahead.procedure!, plan, stepId, place, done.value)
    if ('because' in moved) {
      messages.say(moved.because, 'refused')
      return false
    }
    const after = moved.order[moved.order.indexOf(stepId) - 1] ?? null
    const pins = withPin(store.ahead.circumstances.pins, { stepId, after })
    return write({ ...store.ahead.circumstances, pins }, moved.order, {
      lowerBoundMinutes: plan.lowerBoundMinutes,
      proven: false,
    })
  }

  /** Holds a step where it stands, or lets it go again. */
  function togglePin(stepId: string) {
    const plan = store.ahead.plan!
    const order = operationOrder(plan)
    const { pins } = store.ahead.circumstances
    const next = store.ahead.circumstances.pins.some(pin => pin.stepId === stepId)
      ? withoutPin(pins, stepId)
      : withPin(pins, { stepId, after: order[order.indexOf(stepId) - 1] ?? null })
    write({ ...store.ahead.circumstances, pins: next }, order, {
      lowerBoundMinutes: plan.lowerBoundMinutes,
      proven: plan.proven && next.length === 0,
    })
  }

  /** Works the order out again, pins kept; with other circumstances if given. */
  async function replan(change: Partial<Circumstances> = {}) {
    // A change made while the last one is still being planned adds to it.
    wanted = { ...(progress.value ? wanted : state.value.circumstances), ...change }
    progress.value = { share: 0, minutes: state.value.plan!.totals.minutes }
    const past = pastOf(state.value)
    const clock = {
      at: nowIso(),
      utcOffsetMinutes: utcOffsetMinutes(),
      minutes: past?.steps.at(-1)?.finishMinutes ?? 0,
    }
    const setting = planSetting(wanted, state.value.procedure!.hands, clock)
    try {
      const plan = await worker.ask(planner =>
        planner.plan(
          posted(state.value.procedure!),
          posted(setting),
          posted(past),
          proxy((share, minutes) => {
            progress.value = { share, minutes }
          }),
        ),
      )
      progress.value = null
      write(wanted, operationOrder(plan), plan)
      for (const dropped of plan.droppedPins) messages.say(`A pin could not be kept. ${t(dropped.because)}`, 'refused')
    } catch (error) {
      progress.value = null
      messages.say((error as Error).message, 'refused')
    }
  }

  function cancel() {
    worker.cancel()
    progress.value = null
    messages.say('Stopped. The plan stays as it was.')
  }

  return { move, togglePin, replan, cancel, progress, pinned, done }
}
