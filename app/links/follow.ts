const AGAIN_MS = 1_500
/** The server says every 20 s that it is there; a stream that is silent for longer than two of those is dead, whatever the browser thinks. */
const SILENT_MS = 45_000
/** How often it is looked at; a phone that slept wakes into one of these looks. */
const LOOK_MS = 5_000
/** What tells that the page, the phone or the signal is back. */
const WAKES = [
  ['visibilitychange', 'document'],
  ['resume', 'document'],
  ['pageshow', 'window'],
  ['online', 'window'],
] as const

/**
 * Follows a stream of server-sent events and comes back when it breaks, falls silent, or the device was asleep.
 * @param address called at each connection, so that it can name the last event had
 * @param onParted called when the server's log does not lead to that event; afterwards it comes back
 * @returns a function that ends it
 */
export function follow(
  address: () => string,
  onMessage: (data: string) => void,
  onConnected: (connected: boolean) => void,
  onParted: () => Promise<unknown> = async () => {},
): () => void {
  let source: EventSource | null = null
  let again: ReturnType<typeof setTimeout> | undefined
  let ended = false
  let heardAt = 0

  function connect() {
    clearTimeout(again)
    heardAt = Date.now()
    const own = new EventSource(address())
    source = own
    const hear = () => {
      heardAt = Date.now()
    }
    own.onopen = () => {
      hear()
      onConnected(true)
    }
    own.onmessage = event => {
      hear()
      onMessage(event.data as string)
    }
    own.addEventListener('still-here', hear)
    own.addEventListener(
      'parted',
      () =>
        void onParted()
          .catch(() => {})
          .finally(() => source === own && lose(AGAIN_MS)),
    )
    own.onerror = () => {
      if (source === own) lose(AGAIN_MS)
    }
  }
  function lose(againMs: number) {
    source?.close()
    source = null
    onConnected(false)
    clearTimeout(again)
    if (!ended) again = setTimeout(connect, againMs)
  }
  function look() {
    if (source && Date.now() - heardAt > SILENT_MS) lose(0)
  }
  function wake() {
    if (globalThis.document?.visibilityState === 'hidden') return
    // Whoever waits to try again need not wait any more.
    if (!source) lose(0)
    else look()
  }

  const looking = setInterval(look, LOOK_MS)
  for (const [name, target] of WAKES) globalThis[target]?.addEventListener(name, wake)
  connect()
  return () => {
    ended = true
    clearInterval(looking)
    clearTimeout(again)
    for (const [name, target] of WAKES) globalThis[target]?.removeEventListener(name, wake)
    source?.close()
  }
}
