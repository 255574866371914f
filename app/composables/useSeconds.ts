import { useIntervalFn } from '@vueuse/core'

/** The time as an ISO string, moving on every second while something on the screen looks at it. */
export function useSeconds() {
  const now = ref(new Date().toISOString())
  useIntervalFn(() => {
    now.value = new Date().toISOString()
  }, 1000)
  return now
}
