import { sql } from 'drizzle-orm'
import type { ImportedJob } from '../contracts/answers'
import { importJob, JobFileError } from '../core/formats'
import type { JobFile } from '../core/formats'
import type { Database } from './db/client'
import { forGarage } from './db/for-garage'
import { record } from './job-log'
import { Refused } from './refused'

/**
 * Takes a job file in, whole or not at all: people and car it needs are added where the garage has them not.
 * A file that is in the log already changes nothing; one that goes on where the log ends adds the rest.
 * @throws Refused with the path in the file of what cannot stand
 */
export async function takeJobFile(db: Database, garageId: string, file: JobFile): Promise<ImportedJob> {
  const { jobId, events, state } = replay(file)
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${garageId}))`)
    const store = forGarage(tx, garageId)
    const here = await store.jobs.hold(jobId) ? await store.jobs.events(jobId) : []
    const apart = here.findIndex((event, index) => index < events.length && event.id !== events[index]!.id)
    if (apart >= 0) throw new Refused(409, [{ path: `events[${apart}].id`, reason: 'This job is here already, and goes another way from this event on. Nothing was taken in.' }])
    const added = events.slice(here.length)
    if (added.length === 0) return { jobId, number: state.number, added: 0 }
    const strangers = (await store.jobs.known(added.map(event => event.id)))
    if (strangers.length > 0) throw new Refused(409, [{ path: `events[${events.findIndex(event => event.id === strangers[0]!.id)}].id`, reason: 'This id belongs to an event of another job here.' }])
    await store.garage.addPeople(file.people)
    if (here.length === 0) {
      await store.vehicles.add(state.vehicle!)
      const number = await store.jobs.isFree(state.number) ? state.number : await store.jobs.nextNumber()
      await store.jobs.open(jobId, state.vehicle!.id, number)
    }
    await record(tx, garageId, events, added)
    return { jobId, number: state.number, added: added.length }
  })
}

function replay(file: JobFile) {
  try {
    return importJob(file)
  }
  catch (error) {
    if (error instanceof JobFileError) throw new Refused(422, [{ path: error.path, reason: error.reason }])
    throw error
  }
}
