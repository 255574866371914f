import { getRequestIP } from 'h3'
import type { H3Event } from 'h3'
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'
import { askerOf } from './asker'

/** How often something may be tried, by whom, counted by every process alike. */
interface Limit {
  name: string
  points: number
  seconds: number
}

const limiters = new Map<string, RateLimiterPostgres>()

function limiter({ name, points, seconds }: Limit): RateLimiterPostgres {
  const known = limiters.get(name)
  if (known) return known
  const made = new RateLimiterPostgres({
    storeClient: useDatabase().pool,
    storeType: 'pool',
    tableName: 'rate_limit',
    tableCreated: true,
    keyPrefix: name,
    points,
    duration: seconds,
  })
  limiters.set(name, made)
  return made
}

/** The address a request came from; what a proxy says of it counts where one stands in front (`ELDRIN_PROXY=1`). */
export const addressOf = (event: H3Event): string =>
  getRequestIP(event, { xForwardedFor: process.env.ELDRIN_PROXY === '1' }) ?? 'unknown'

/** Takes one try. @throws Refused where none is left, with the seconds to wait */
export async function takeTry(limit: Limit, key: string): Promise<void> {
  try {
    await limiter(limit).consume(key.slice(0, 200))
  } catch (spent) {
    if (!(spent instanceof RateLimiterRes)) throw spent
    const seconds = Math.ceil(spent.msBeforeNext / 1000)
    throw new Refused(429, [
      {
        path: 'tries',
        reason: `Too many tries. Try again in ${seconds > 90 ? `${Math.ceil(seconds / 60)} minutes` : `${seconds} seconds`}.`,
      },
    ])
  }
}

/** Gives the tries back, for who turned out to be right. */
export async function giveBack(limit: Limit, key: string): Promise<void> {
  await limiter(limit).delete(key.slice(0, 200))
}

/** Counts one try of whoever asks, by person and device, where something is dear. @throws Refused where none is left */
export async function takeOwnTry(event: H3Event, limit: Limit): Promise<void> {
  const { personId, device } = await askerOf(event)
  await takeTry(limit, `${personId} ${device?.deviceId ?? addressOf(event)}`)
}

/** From one address for one name: whoever tries from elsewhere locks nobody out here. */
export const SIGN_IN: Limit = { name: 'sign-in', points: 8, seconds: 900 }
/** From one address, whatever the name. */
export const SIGN_IN_FROM: Limit = { name: 'sign-in-from', points: 60, seconds: 900 }
/** At one device for one person. */
export const PIN: Limit = { name: 'pin', points: 5, seconds: 300 }
/** Customers' links that lead nowhere, tried from one address; those that lead somewhere are not counted. */
export const SHARED_MISSES: Limit = { name: 'shared', points: 40, seconds: 900 }
/** Files taken in by one person. */
export const IMPORTS: Limit = { name: 'imports', points: 120, seconds: 3600 }
/** Words looked for by one person. */
export const SEARCHES: Limit = { name: 'search', points: 120, seconds: 60 }
/** Papers printed by one person. */
export const PAPERS: Limit = { name: 'papers', points: 60, seconds: 300 }
/** Invitations looked at from one address. */
export const LINKS: Limit = { name: 'links', points: 60, seconds: 900 }
