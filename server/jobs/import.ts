import type { ImportedJob } from '../../contracts/answers'
import { importJob, JobFileError } from '../../core/formats'
import { jobFile } from '../../contracts/job-file'
import { unstorable } from '../../contracts/storable'
import type { JobFile } from '../../core/formats'
import type { JobEvent } from '../../core/job'
import { permissionOf } from '../../core/rights/may-act'
import { may, roleWords } from '../../core/people/roles'
import type { Role } from '../../core/people/roles'
import { checked } from '../checked'
import type { Database } from '../db/client'
import { forGarage } from '../db/for-garage'
import { inTurn } from '../db/in-turn'
import type { GarageStore } from '../db/for-garage'
import { Refused } from '../refused'
import { record } from './record'
import { tell } from './told'

/** Reads the bytes of a job file. @throws Refused with path and reason of what is wrong */
export function readJobFile(bytes: Uint8Array): JobFile {
  let value: unknown
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    throw new Refused(400, [{ path: '', reason: 'The file is not JSON.' }])
  }
  const unheld = unstorable(value)
  if (unheld) throw new Refused(422, [unheld])
  return checked(value, jobFile) as JobFile
}

/**
 * Writes a job that was read and replayed, whole or not at all: people and car it needs are added where the garage has them not. It gets
 * the next number of this garage, and keeps its own beside it. One that is in the log already changes nothing; one that goes on where the
 * log ends adds the rest.
 * @param role of who takes it in
 * @throws Refused with the path in the file of what cannot stand
 */
export async function keepJob(
  db: Database,
  garageId: string,
  people: JobFile['people'],
  { jobId, events: told, state }: ReturnType<typeof replay>,
  role: Role,
): Promise<ImportedJob> {
  return inTurn(db, garageId, async tx => {
    const store = forGarage(tx, garageId)
    const held = await store.jobs.hold(jobId)
    const here = held ? await store.jobs.events(jobId) : []
    const number = held?.number ?? (await store.jobs.nextNumber())
    const events = told.map(event =>
      event.type === 'job-opened'
        ? {
            ...event,
            payload: {
              ...event.payload,
              number,
              ...(event.payload.number === number ? {} : { numberThere: event.payload.number }),
            },
          }
        : event,
    )
    const apart = here.findIndex((event, index) => index < events.length && event.id !== events[index]!.id)
    if (apart >= 0)
      throw new Refused(409, [
        {
          path: `events[${apart}].id`,
          reason: 'This job is here already, and goes another way from this event on. Nothing was taken in.',
        },
      ])
    const added = events.slice(here.length)
    if (added.length === 0) return { jobId, number, added: 0 }
    const strangers = await store.jobs.known(added.map(event => event.id))
    if (strangers.length > 0)
      throw new Refused(409, [
        {
          path: `events[${events.findIndex(event => event.id === strangers[0]!.id)}].id`,
          reason: 'This id belongs to an event of another job here.',
        },
      ])
    await wantOwnRights(store, added, role)
    const signed = new Set(added.map(event => event.personId))
    await wantFreeNumbers(store, added)
    await store.garage.addPeople(people.filter(person => signed.has(person.id)))
    if (here.length === 0) {
      await store.vehicles.add(state.vehicle!)
      await store.jobs.open(jobId, state.vehicle!.id, number)
    }
    await record(tx, garageId, here.length === 0 ? null : tell(here), tell(events))
    return { jobId, number, added: added.length }
  })
}

/** @throws Refused with the path in the file of the event that may not stand */
export function replay(file: JobFile) {
  try {
    return importJob(file)
  } catch (error) {
    if (error instanceof JobFileError) throw new Refused(422, [{ path: error.path, reason: error.reason }])
    throw error
  }
}

/**
 * A file says who did what, and nobody stands behind it. What it says of people of this garage is taken from those alone who may do it
 * themselves; what strangers did elsewhere is their record.
 * @throws Refused with the path in the file of the first that is not
 */
async function wantOwnRights(store: GarageStore, added: JobEvent[], role: Role): Promise<void> {
  const own = new Set((await store.garage.people()).map(({ id }) => id))
  const beyond = added.find(({ personId, type }) => own.has(personId) && !may(role, permissionOf(type)))
  if (!beyond) return
  throw new Refused(403, [
    {
      path: `events[${beyond.seq! - 1}].type`,
      reason: `This file says of people of this garage what a ${roleWords[role].name.toLowerCase()} cannot take in. The owner can.`,
    },
  ])
}

/** A file may run ahead of this garage's papers by so many numbers; beyond, it would use up what is left. */
const MOST_AHEAD = 1000

/** @throws Refused where a paper of this garage in the file bears a number that another paper has, or one far ahead of all */
async function wantFreeNumbers(store: GarageStore, added: JobEvent[]): Promise<void> {
  for (const event of added) {
    if (event.type !== 'paper-issued' || event.payload.garageId !== store.garageId) continue
    const { kind, number } = event.payload
    const path = `events[${event.seq! - 1}].payload.number`
    if (await store.papers.isTaken(kind, number))
      throw new Refused(409, [
        { path, reason: `Another paper of this garage has number ${number}. Nothing was taken in.` },
      ])
    if (number >= (await store.papers.nextNumber(kind)) + MOST_AHEAD)
      throw new Refused(422, [
        { path, reason: 'This number is far ahead of all that this garage has issued. Nothing was taken in.' },
      ])
  }
}
