import { nowIso } from '../device/clock'
import { noCircumstances } from '../../core/job'
import type { Circumstances } from '../../core/job'
import { moveStep, operationOrder, withoutPin, withPin } from '../../core/sequence'
import type { Plan } from '../../core/sequence'
import { minutesText } from '../words/durations'
import { utcOffsetMinutes } from '../words/utc-offset'

/** Less than this is no shorter order, and no better proof. */
const LEAST_TOLD = 0.05

/** What a mechanic may do to a plan: move and pin steps, change the circumstances, have it worked out again. */
export function usePlanEdits() {
  const { store, state } = useJob()
  const messages = useMessages()
  const t = useTerms()
  const progress = ref<{ share: number; minutes: number } | null>(null)
  /** The plan that is looked through now, and what is proven of it so far. */
  const proving = shallowRef<{ plan: Plan; lowerBoundMinutes: number } | null>(null)
  let wanted: Circumstances = noCircumstances
  const done = computed(() => new Set(Object.keys(state.value.done)))
  const pinned = computed(() => new Set(state.value.circumstances.pins.map(pin => pin.stepId)))

  const worker = usePlannerWorker()
  const { stands, asPlanned } = usePlanStands()

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
    // A change made while the last one is still being planned, or kept, adds to it.
    wanted = { ...(progress.value ? wanted : store.ahead.circumstances), ...change }
    progress.value = { share: 0, minutes: state.value.plan!.totals.minutes }
    // It ends the looking for a shorter one.
    proving.value = null
    const { past, setting } = stands(wanted)
    try {
      const plan = await worker.ask((planner, heard) =>
        planner.plan(
          posted(state.value.procedure!),
          posted(setting),
          posted(past),
          heard((share: number, minutes: number) => {
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

  /** Says what was proven of the plan that stands; the plan may have become another one meanwhile, of which it says nothing. */
  function keepProof(plan: Plan, lowerBoundMinutes: number) {
    if (lowerBoundMinutes <= state.value.plan!.lowerBoundMinutes + LEAST_TOLD) return
    const { minutes } = plan.totals
    store.write('plan-proven', {
      order: operationOrder(plan),
      minutes,
      lowerBoundMinutes: Math.min(minutes, lowerBoundMinutes),
    })
  }

  /** Looks for a shorter order for as long as it takes, and keeps what is proven. */
  async function prove() {
    const before = state.value.plan!
    const { circumstances } = state.value
    const { past, setting } = asPlanned()
    const order = operationOrder(before)
    progress.value = { share: 0, minutes: before.totals.minutes }
    proving.value = { plan: before, lowerBoundMinutes: before.lowerBoundMinutes }
    try {
      const found = await worker.ask((planner, heard) =>
        planner.prove(
          posted(state.value.procedure!),
          posted(setting),
          // What was done in another order than planned has moved the rest, and what was known of it is known no more.
          posted({ order, past, lowerBoundMinutes: past ? 0 : before.lowerBoundMinutes }),
          heard((share: number, lowerBoundMinutes: number) => {
            progress.value = { share, minutes: before.totals.minutes }
            if (!past) proving.value = { plan: before, lowerBoundMinutes }
          }),
        ),
      )
      progress.value = null
      proving.value = null
      const isOther = operationOrder(found).join(' ') !== order.join(' ')
      if (state.value.plan !== before) messages.say('The plan has become another one meanwhile.')
      else if (!isOther && !past) {
        keepProof(before, found.lowerBoundMinutes)
        messages.say(found.proven ? 'Proven: no order is shorter.' : 'Looked through: no shorter order was found.')
      } else if (write(circumstances, operationOrder(found), found)) {
        const saved = before.totals.minutes - found.totals.minutes
        messages.say(
          !isOther
            ? 'Looked through: no shorter order was found.'
            : past || saved < LEAST_TOLD
              ? 'A shorter order for what is left.'
              : `A shorter order: ${minutesText(saved)} less.`,
        )
      }
    } catch (error) {
      progress.value = null
      proving.value = null
      messages.say((error as Error).message, 'refused')
    }
  }

  function cancel() {
    worker.cancel()
    progress.value = null
    if (proving.value) keepProof(proving.value.plan, proving.value.lowerBoundMinutes)
    proving.value = null
    messages.say('Stopped. The plan stays as it was.')
  }

  return { move, togglePin, replan, prove, cancel, progress, proving, pinned, done }
}
