import type { Envelope } from './event'

/** A clock that is off by less is right: the rest is the way the posting took. */
export const TOLERATED_SKEW_MS = 60_000

type Timed = Pick<Envelope, 'deviceTime' | 'saidAt'>

/**
 * An event in the server's time: moved by how far the device's clock was off when it posted, and never later than now.
 * What the device said is kept beside it.
 * @param skewMs the server's time less the device's at the posting
 * @param now the server's time, in ms since 1970
 */
export function setRight<T extends Timed>(event: T, skewMs: number, now: number): T {
  const said = Date.parse(event.deviceTime)
  const meant = Math.min(Math.abs(skewMs) > TOLERATED_SKEW_MS ? said + skewMs : said, now)
  if (Math.abs(meant - said) <= TOLERATED_SKEW_MS) return event
  return { ...event, deviceTime: new Date(meant).toISOString(), saidAt: event.deviceTime }
}

/**
 * The same for one moment that is asked for.
 * @param sentAt the device's clock at the posting; where it is left out, the act was posted as it happened
 */
export function setRightNow(said: string, now: number, sentAt: string = said): Timed {
  return setRight({ deviceTime: said }, now - Date.parse(sentAt), now)
}
