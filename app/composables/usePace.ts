import { useIntervalFn } from '@vueuse/core'
import { cycleSeconds, PACE_LEAD_SECONDS, paceAt } from '../../core/hydraulics/bleed-pace'
import { wayNow } from '../../core/job'
import { deviceId } from '../log/ids'

/**
 * The spoken count of a bleeding: which word is due, on every device at the same moment. The device that started it counts a
 * stroke at the end of every round of words, and stops where the round is full or the log refuses one.
 */
export function usePace(stepId: Ref<string>) {
  const { store, state } = useJob()
  const clock = useServerClock()
  const speech = useSpeech()
  const way = computed(() => wayNow(state.value, stepId.value))
  const elapsed = ref<number | null>(null)
  const begun = computed(() => state.value.bleeding[stepId.value]?.pace ?? null)
  /** A count whose device went away runs no longer than its round. */
  const pace = computed(() =>
    begun.value && way.value && (elapsed.value ?? 0) <= cycleSeconds(way.value.calls) * (way.value.perRound + 1)
      ? begun.value
      : null,
  )
  const own = computed(() => pace.value?.deviceId === deviceId())
  const moment = computed(() =>
    pace.value && way.value && elapsed.value !== null ? paceAt(way.value.calls, elapsed.value) : null,
  )
  /** Seconds until the first word. */
  const leadSeconds = computed(() =>
    pace.value && elapsed.value !== null && elapsed.value < 0 ? Math.ceil(-elapsed.value) : 0,
  )

  function tick() {
    elapsed.value = begun.value ? (clock.now() - Date.parse(begun.value.since)) / 1000 : null
    if (own.value && moment.value) countUpTo(moment.value.cycles)
  }
  function countUpTo(cycles: number) {
    const round = () => store.ahead.bleeding[stepId.value]!.rounds.at(-1)!
    while (pace.value && round().strokes - pace.value.strokesBefore < cycles) {
      const refused = !store.write('stroke-counted', { stepId: stepId.value })
      if (!refused && round().strokes < way.value!.perRound) continue
      stop()
      speech.say(refused ? 'Stop. Look at the reservoir.' : 'Stop. Look at the hose.')
    }
  }
  function start() {
    store.write('pace-started', {
      stepId: stepId.value,
      at: new Date(clock.now() + PACE_LEAD_SECONDS * 1000).toISOString(),
    })
  }
  function stop() {
    if (pace.value) store.write('pace-stopped', { stepId: stepId.value })
  }
  useIntervalFn(tick, 100)
  watch(
    () => moment.value && `${moment.value.cycles}/${moment.value.index}`,
    now => {
      if (now) speech.say(moment.value!.call.say)
    },
  )
  return { way, pace, own, moment, leadSeconds, speech, start, stop }
}
