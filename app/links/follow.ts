const AGAIN_MS = 1500

/**
 * Follows a stream of server-sent events and comes back when it breaks.
 * @param address called at each connection, so that it can name the last event had
 * @returns a function that ends it
 */
export function follow(
  address: () => string,
  onMessage: (data: string) => void,
  onConnected: (connected: boolean) => void,
): () => void {
  let source: EventSource | null = null
  let again: ReturnType<typeof setTimeout> | undefined
  let ended = false
  const connect = () => {
    source = new EventSource(address())
    source.onopen = () => onConnected(true)
    source.onmessage = event => onMessage(event.data as string)
    source.onerror = () => {
      onConnected(false)
      source?.close()
      if (!ended) again = setTimeout(connect, AGAIN_MS)
    }
  }
  connect()
  return () => {
    ended = true
    clearTimeout(again)
    source?.close()
  }
}
