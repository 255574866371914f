import { nowDate } from '../device/clock'
import { useIntervalFn } from '@vueuse/core'
import { actualMinutes, calendarFrom } from '../../core/job'
import { paceSoFar } from '../../core/job/views/pace-so-far'
import { finishBy, oddsBy, paceOnTop, stepMinutes, stepsToRun, troubleOdds } from '../../core/sequence'
import type { FinishTimes } from '../../core/sequence'
import { darkOn } from '../drawing/dark-on'
import { utcOffsetMinutes } from '../words/utc-offset'

const AGAIN_MS = 120_000
/** So much of a job says how its car goes, and by so much it is worth a word. Common practice, no source. */
const TELLS_FROM_MINUTES = 30
const SLOWER = 1.12

/** When the job will be finished, with odds: drawn in a worker from the estimates of the steps left, from now on, and from how this car has gone so far. */
export function useFinishTimes() {
  const { store, state } = useJob()
  const garage = useGarageStore()
  const times = shallowRef<FinishTimes | null>(null)
  /** What all of the job takes in half of the cases; `null` until it is drawn. */
  const medianMinutes = ref<number | null>(null)
  const from = ref(nowDate())
  const worker = usePlannerWorker()

  async function draw() {
    const { plan, procedure, done, circumstances } = state.value
    if (!plan || !procedure) return
    from.value = nowDate()
    const now = from.value.getTime()
    const minutesTo = (at: string) => (Date.parse(at) - now) / 60_000
    const left = plan.steps.filter(step => !done[step.id])
    const steps = stepsToRun(
      procedure,
      plan.setting,
      left,
      new Map(Object.entries(done).map(([id, record]) => [id, -minutesTo(record.at)])),
      new Map(circumstances.arrivals.map(arrival => [arrival.partId, minutesTo(arrival.at)])),
    )
    const calendar = calendarFrom(circumstances.hours, from.value.toISOString(), utcOffsetMinutes(from.value))
    // Without an answer what was shown stays; it is asked again before long.
    const [first] = left
    const { operations, pace, ladders } = procedure
    const ids = left.map(({ id }) => id)
    const soFar = {
      ...(pace
        ? {
            pace: paceOnTop(
              pace,
              operations.map(({ minutes, learned }) => ({ minutes, from: learned?.from ?? minutes })),
            ),
          }
        : {}),
      observed: paceSoFar(store.log, state.value),
      troubles: troubleOdds(ladders, plan.steps.length, ids, pace?.troublesPerJob),
      elapsedMinutes: first ? (actualMinutes(state.value, first.id, from.value.toISOString()) ?? 0) : 0,
    }
    const drawn = await worker
      .ask(planner => planner.finish(posted(steps), posted(calendar), posted(soFar)))
      .catch(() => null)
    if (!drawn) return
    times.value = drawn.times
    const spent = plan.steps
      .filter(step => done[step.id])
      .reduce((sum, step) => sum + stepMinutes(step) + step.setupMinutes, 0)
    medianMinutes.value = spent + drawn.medianLeft
  }
  watch(() => [state.value.plan, Object.keys(state.value.done).length, state.value.circumstances], draw, {
    immediate: true,
  })
  useIntervalFn(draw, AGAIN_MS)

  /** What the odds rest on, in a few words. */
  const because = computed(() => {
    const jobs = state.value.procedure?.pace?.n ?? 0
    const [soFar] = paceSoFar(store.log, state.value)
    const ratio = soFar && soFar.plannedMinutes >= TELLS_FROM_MINUTES ? soFar.actualMinutes / soFar.plannedMinutes : 1
    const ours = jobs === 0 ? 'by common practice' : `by ${jobs} ${jobs === 1 ? 'job' : 'jobs'} of ours`
    const car =
      ratio > SLOWER
        ? ', and this car goes slower than planned'
        : ratio < 1 / SLOWER
          ? ', and this car goes quicker'
          : ''
    return ours + car
  })
  const moment = (share: number) =>
    times.value && new Date(from.value.getTime() + finishBy(times.value, share) * 60_000)
  const dark = computed(() => (garage.garage?.location ? darkOn(from.value, garage.garage.location) : null))
  return {
    evenOdds: computed(() => moment(0.5)),
    eightInTen: computed(() => moment(0.8)),
    /** When it gets dark today, and how likely the job is done by then; `null` without a place or after dark. */
    beforeDark: computed(() => {
      if (!times.value || !dark.value || dark.value <= from.value) return null
      return { at: dark.value, odds: oddsBy(times.value, (dark.value.getTime() - from.value.getTime()) / 60_000) }
    }),
    times,
    medianMinutes,
    from,
    because,
  }
}
