import { noCircumstances, pastOf, planSetting } from '../../core/job'
import type { Circumstances } from '../../core/job'
import { moveStep, operationOrder, withoutPin, withPin } from '../../core/sequence'
import type { Plan } from '../../core/sequence'
import { utcOffsetMinutes } from '../lib/utc-offset'

/** What a mechanic may do to a plan: move and pin steps, change the circumstances, have it worked out again. */
export function usePlanEdits() {
  const { store, state } = useJob()
  const messages = useMessages()
  const t = useTerms()
  const progress = ref<{ share: number, minutes: number } | null>(null)
  let wanted: Circumstances = noCircumstances
  const done = computed(() => new Set(Object.keys(state.value.done)))
  const pinned = computed(() => new Set(state.value.circumstances.pins.map(pin => pin.stepId)))

  const worker = usePlannerWorker((answer) => {
    if (answer.kind === 'progress') progress.value = { share: answer.share, minutes: answer.minutes }
    else if (answer.kind === 'failed') {
      progress.value = null
      messages.say(answer.reason, 'refused')
    }
    else if (answer.kind === 'planned') {
      progress.value = null
      write(wanted, operationOrder(answer.plan), answer.plan)
      for (const dropped of answer.plan.droppedPins) messages.say(`A pin could not be kept. ${t(dropped.because)}`, 'refused')
    }
  })

  function write(circumstances: Circumstances, order: string[], bound: Pick<Plan, 'lowerBoundMinutes' | 'proven'>): boolean {
    return store.write('plan-changed', {
      circumstances, order: order.filter(id => !done.value.has(id)), at: new Date().toISOString(), utcOffsetMinutes: utcOffsetMinutes(),
      lowerBoundMinutes: bound.lowerBoundMinutes, proven: bound.proven,
    })
  }

  /** Puts a step to another place and keeps it there; the others keep their order. A forbidden move is answered with its sentence. */
  function move(stepId: string, place: number): boolean {
    const plan = state.value.plan!
    if (operationOrder(plan).indexOf(stepId) === place) return false
    const moved = moveStep(state.value.procedure!, plan, stepId, place, done.value)
    if ('because' in moved) {
      messages.say(moved.because, 'refused')
      return false
    }
    const after = moved.order[moved.order.indexOf(stepId) - 1] ?? null
    const pins = withPin(state.value.circumstances.pins, { stepId, after })
    return write({ ...state.value.circumstances, pins }, moved.order, { lowerBoundMinutes: plan.lowerBoundMinutes, proven: false })
  }

  /** Holds a step where it stands, or lets it go again. */
  function togglePin(stepId: string) {
    const plan = state.value.plan!
    const order = operationOrder(plan)
    const { pins } = state.value.circumstances
    const next = pinned.value.has(stepId) ? withoutPin(pins, stepId) : withPin(pins, { stepId, after: order[order.indexOf(stepId) - 1] ?? null })
    write({ ...state.value.circumstances, pins: next }, order, { lowerBoundMinutes: plan.lowerBoundMinutes, proven: plan.proven && next.length === 0 })
  }

  /** Works the order out again, pins kept; with other circumstances if given. */
  function replan(change: Partial<Circumstances> = {}) {
    // A change made while the last one is still being planned adds to it.
    wanted = { ...(progress.value ? wanted : state.value.circumstances), ...change }
    progress.value = { share: 0, minutes: state.value.plan!.totals.minutes }
    const past = pastOf(state.value)
    const clock = { at: new Date().toISOString(), utcOffsetMinutes: utcOffsetMinutes(), minutes: past?.steps.at(-1)?.finishMinutes ?? 0 }
    worker.ask({ kind: 'plan', procedure: state.value.procedure!, setting: planSetting(wanted, state.value.procedure!.hands, clock), past })
  }

  function cancel() {
    worker.cancel()
    progress.value = null
    messages.say('Stopped. The plan stays as it was.')
  }

  return { move, togglePin, replan, cancel, progress, pinned, done }
}
