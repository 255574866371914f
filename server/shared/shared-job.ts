import type { H3Event } from 'h3'
import { getRouterParam } from 'h3'
import { reduceJob } from '../../core/job'
import type { JobState } from '../../core/job'
import type { Reader } from '../../core/say'
import { forGarage } from '../db/for-garage'
import { jobOfToken } from '../db/queries/shares'
import { readerOf } from '../reader'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'
import { useShelf } from '../utils/shelf'
import { addressOf, SHARED_MISSES, takeTry } from '../who/limits'
import { hashOf } from '../who/secrets'

/** What a link leads to, as its pages are made from it. */
export interface SharedJob {
  state: JobState
  garage: { name: string; town: string }
  reader: Reader
}

/** So long a link that led somewhere is believed to, and what it leads to to be as it was: a link sent to many is opened by all at once. */
const BELIEVED_MS = 2_000
const MOST_KEPT = 500

const believed = new Map<string, { job: Promise<SharedJob | null>; until: number }>()

/** The job that a customer's link leads to. @throws Refused where it is unknown, ended or too old; the answer is the same */
export async function sharedJob(event: H3Event): Promise<SharedJob> {
  const token = getRouterParam(event, 'token') ?? ''
  const job = /^[\w-]{20,80}$/.test(token) ? await believedJob(hashOf(token)) : null
  if (job) return job
  await takeTry(SHARED_MISSES, addressOf(event))
  throw new Refused(404, [
    { path: 'token', reason: 'This link leads nowhere, or not any more. Ask the garage for a new one.' },
  ])
}

function believedJob(tokenHash: string): Promise<SharedJob | null> {
  const now = performance.now()
  const known = believed.get(tokenHash)
  if (known && known.until > now) return known.job
  if (believed.size >= MOST_KEPT) believed.clear()
  const job = read(tokenHash)
  believed.set(tokenHash, { job, until: now + BELIEVED_MS })
  job.then(
    found => found ?? believed.delete(tokenHash),
    () => believed.delete(tokenHash),
  )
  return job
}

async function read(tokenHash: string): Promise<SharedJob | null> {
  const { db } = useDatabase()
  const found = await jobOfToken(db, tokenHash)
  if (!found) return null
  const store = forGarage(db, found.garageId)
  const [settings, log] = await Promise.all([store.garage.settings(), store.jobs.events(found.jobId)])
  const { name, town } = settings
  return { state: reduceJob(log), garage: { name, town }, reader: readerOf(settings, useShelf().terms) }
}
