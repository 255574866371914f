import { nowIso } from '../device/clock'
import { useIntervalFn } from '@vueuse/core'

/** The time as an ISO string, moving on every second while something on the screen looks at it. */
export function useSeconds() {
  const now = ref(nowIso())
  useIntervalFn(() => {
    now.value = nowIso()
  }, 1000)
  return now
}
