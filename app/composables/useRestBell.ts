import { nowMs } from '../device/clock'

/** A rest that runs somewhere: how it is called when it is over. */
export interface Rest {
  key: string
  what: string
  until: string
}

/** The longest that a timer of the browser can wait, in ms. */
const LONGEST = 2 ** 31 - 1

/** Tells when a rest is over: on the page, by a buzz, and by a notice of the system where that was allowed. */
export function useRestBell(rests: Ref<Rest[]>) {
  const messages = useMessages()
  const timers = new Map<string, ReturnType<typeof setTimeout>>()
  function ring(rest: Rest) {
    messages.say(rest.what)
    navigator.vibrate?.([200, 100, 200])
    if ('Notification' in window && Notification.permission === 'granted')
      new Notification('Eldrin', { body: rest.what, tag: rest.key })
  }
  watch(
    rests,
    list => {
      const wanted = new Map(list.map(rest => [`${rest.key} ${rest.until}`, rest]))
      for (const [key, timer] of timers) {
        if (wanted.has(key)) continue
        clearTimeout(timer)
        timers.delete(key)
      }
      for (const [key, rest] of wanted) {
        const left = Date.parse(rest.until) - nowMs()
        if (!timers.has(key) && left > 0 && left < LONGEST)
          timers.set(
            key,
            setTimeout(() => ring(rest), left),
          )
      }
    },
    { immediate: true },
  )
  onBeforeUnmount(() => timers.forEach(clearTimeout))
}
