import { setClockRight } from '../device/clock'

/** The server's clock as this device can tell it, by which two devices keep the same beat. */
export function useServerClock() {
  const offsetMs = ref(0)
  const known = ref(false)
  onMounted(async () => {
    const found = await setClockRight()
    if (found === null) return
    offsetMs.value = found
    known.value = true
  })
  return { known, offsetMs, now: () => Date.now() + offsetMs.value }
}
