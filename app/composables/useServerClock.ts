/** How often the server is asked; the quickest answer is the truest. */
const ASKS = 4

/** The server's clock as this device can tell it: its own clock, set right by half of the quickest round trip. */
export function useServerClock() {
  const offsetMs = ref(0)
  const known = ref(false)
  onMounted(async () => {
    let quickest = Infinity
    for (let ask = 0; ask < ASKS; ask++) {
      const sent = Date.now()
      try {
        const { now } = await $fetch<{ now: string }>('/api/clock')
        const took = Date.now() - sent
        if (took >= quickest) continue
        quickest = took
        offsetMs.value = Date.parse(now) - (sent + took / 2)
        known.value = true
      } catch {
        return
      }
    }
  })
  return { known, offsetMs, now: () => Date.now() + offsetMs.value }
}
