/** What one tab tells the others: a job of which this device holds more or less than before, and how sending it stands. */
export interface TabNews<Standing> {
  jobId: string
  standing?: Standing
}

const CHANNEL = 'eldrin-tabs'
const LOCK = 'eldrin-sends'

/**
 * The tabs of this device: all of them hear what one does, and one of them sends; when that one is closed, the next takes over.
 * A browser without locks lets every tab send: an act that comes twice counts once.
 * @param heard what another tab tells
 * @param taken called when this tab has become the one that sends
 */
export function openTabs<Standing>(heard: (news: TabNews<Standing>) => void, taken: () => void) {
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL)
  if (channel) channel.onmessage = message => heard(message.data as TabNews<Standing>)
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks
  let isSender = !locks
  // Held until the tab is gone.
  void locks?.request(LOCK, () => {
    isSender = true
    taken()
    return new Promise(() => {})
  })
  if (isSender) taken()
  return {
    tell: (news: TabNews<Standing>) => channel?.postMessage(news),
    isSender: () => isSender,
    close: () => channel?.close(),
  }
}
