import { reduceJob } from '../core/job'
import type { JobState } from '../core/job'
import type { TermTable } from '../core/packs'
import type { Reader } from '../core/say'
import type { Database } from './db/client'
import { forGarage } from './db/for-garage'
import { jobOfToken } from './db/queries/shares'
import { readerOf } from './reader'
import { Refused } from './refused'

/** The job a customer's link leads to. @throws Refused where it is unknown or revoked; the answer is the same for both */
export async function sharedJob(
  db: Database,
  token: string,
  terms: TermTable,
): Promise<{ state: JobState; garage: { name: string; town: string }; reader: Reader }> {
  const found = /^[\w-]{20,80}$/.test(token) ? await jobOfToken(db, token) : null
  if (!found)
    throw new Refused(404, [
      { path: 'token', reason: 'This link leads nowhere, or not any more. Ask the garage for a new one.' },
    ])
  const store = forGarage(db, found.garageId)
  const settings = await store.garage.settings()
  const { name, town } = settings
  return {
    state: reduceJob(await store.jobs.events(found.jobId)),
    garage: { name, town },
    reader: readerOf(settings, terms),
  }
}
