import { nowDate } from '../device/clock'
import { useIntervalFn } from '@vueuse/core'
import { calendarFrom } from '../../core/job'
import { finishBy, oddsBy, stepsToRun } from '../../core/sequence'
import type { FinishTimes } from '../../core/sequence'
import { darkToday } from '../drawing/dark-today'
import { utcOffsetMinutes } from '../words/utc-offset'

const AGAIN_MS = 120_000

/** When the job will be finished, with odds: drawn in a worker from the estimates of the steps left, from now on. */
export function useFinishTimes() {
  const { state } = useJob()
  const garage = useGarageStore()
  const times = shallowRef<FinishTimes | null>(null)
  const from = ref(nowDate())
  const worker = usePlannerWorker()

  async function draw() {
    const { plan, procedure, done, circumstances } = state.value
    if (!plan || !procedure) return
    from.value = nowDate()
    const now = from.value.getTime()
    const minutesTo = (at: string) => (Date.parse(at) - now) / 60_000
    const steps = stepsToRun(
      procedure,
      plan.setting,
      plan.steps.filter(step => !done[step.id]),
      new Map(Object.entries(done).map(([id, record]) => [id, -minutesTo(record.at)])),
      new Map(circumstances.arrivals.map(arrival => [arrival.partId, minutesTo(arrival.at)])),
    )
    const calendar = calendarFrom(circumstances.hours, from.value.toISOString(), utcOffsetMinutes(from.value))
    // Without an answer what was shown stays; it is asked again before long.
    const drawn = await worker.ask(planner => planner.finish(posted(steps), posted(calendar))).catch(() => null)
    if (drawn) times.value = drawn
  }
  watch(() => [state.value.plan, Object.keys(state.value.done).length, state.value.circumstances], draw, {
    immediate: true,
  })
  useIntervalFn(draw, AGAIN_MS)

  const moment = (share: number) =>
    times.value && new Date(from.value.getTime() + finishBy(times.value, share) * 60_000)
  const dark = computed(() => (garage.garage?.location ? darkToday(garage.garage.location, from.value) : null))
  return {
    evenOdds: computed(() => moment(0.5)),
    eightInTen: computed(() => moment(0.8)),
    /** When it gets dark today, and how likely the job is done by then; `null` without a place or after dark. */
    beforeDark: computed(() => {
      if (!times.value || !dark.value || dark.value <= from.value) return null
      return { at: dark.value, odds: oddsBy(times.value, (dark.value.getTime() - from.value.getTime()) / 60_000) }
    }),
    times,
    from,
  }
}
