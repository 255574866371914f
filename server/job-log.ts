import { sql } from 'drizzle-orm'
import type { PostedEvents } from '../contracts/events'
import type { NewJob } from '../contracts/jobs'
import { admit, applyEvent, reduceJob, summarise } from '../core/job'
import type { EventPayloads, EventType, JobEvent, JobState, Vehicle } from '../core/job'
import type { Pack } from '../core/packs'
import { expandPack, PackError } from '../core/packs'
import { planJob } from '../core/sequence'
import type { Database, Executor } from './db/client'
import { forGarage } from './db/for-garage'
import { Refused } from './refused'

/** What a device sends: an event without the number that only the server can give. */
export type IncomingEvent = Omit<JobEvent, 'jobId' | 'seq'>

/**
 * Adds events to a job's log, all of them or none, in the order given.
 * An event that is in the log already is answered with its number and changes nothing.
 * @throws Refused with the path of the event at fault; nothing is written then
 */
export async function appendEvents(db: Database, garageId: string, jobId: string, incoming: IncomingEvent[]): Promise<PostedEvents> {
  return db.transaction(async (tx) => {
    const store = forGarage(tx, garageId)
    const held = await store.jobs.hold(jobId)
    if (!held) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
    const people = new Set((await store.garage.people()).map(person => person.id))
    const known = new Map((await store.jobs.known(incoming.map(event => event.id))).map(row => [row.id, row]))
    const log = await store.jobs.events(jobId)
    const before = log.length
    const accepted: PostedEvents['accepted'] = []
    let state = reduceJob(log)
    for (const [index, event] of incoming.entries()) {
      const row = known.get(event.id)
      if (row && row.jobId !== jobId) throw new Refused(409, [{ path: `events[${index}].id`, reason: 'This id belongs to an event of another job.' }])
      const seq = row?.seq ?? log.find(entry => entry.id === event.id)?.seq
      if (seq !== undefined && seq !== null) {
        accepted.push({ id: event.id, seq })
        continue
      }
      if (!people.has(event.personId)) throw new Refused(422, [{ path: `events[${index}].personId`, reason: 'Nobody of this garage has that id.' }])
      const next = { ...event, jobId, seq: (log.at(-1)?.seq ?? 0) + 1 } as JobEvent
      const refusal = admit(state, next, log)
      if (refusal) throw new Refused(409, [{ path: `events[${index}].${refusal.path}`, reason: refusal.reason }])
      log.push(next)
      accepted.push({ id: next.id, seq: next.seq! })
      if (next.type === 'undone') state = reduceJob(log)
      else applyEvent(state, next)
    }
    await record(tx, garageId, log, log.slice(before))
    return { accepted }
  })
}

/**
 * Opens a job: expands the pack, plans the work, takes the vehicle's own figures over.
 * The same id a second time changes nothing.
 * @throws Refused on an unknown vehicle, pack, option or person
 */
export async function openJob(db: Database, garageId: string, packs: Map<string, Pack>, request: NewJob): Promise<{ id: string, number: number }> {
  const pack = packs.get(request.packId)
  if (!pack) throw new Refused(422, [{ path: 'packId', reason: `There is no layout "${request.packId}".` }])
  const procedure = expandOrRefuse(pack, request.options)
  const plan = planJob(procedure, planSetting(circumstances, procedure.hands, clock))
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${garageId}))`)
    const store = forGarage(tx, garageId)
    const existing = await store.jobs.find(request.id)
    if (existing) return { id: existing.id, number: existing.number }
    const vehicle = await store.vehicles.find(request.vehicleId)
    if (!vehicle) throw new Refused(422, [{ path: 'vehicleId', reason: 'There is no such vehicle in this garage.' }])
    const people = await store.garage.people()
    if (!people.some(person => person.id === request.personId)) throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
    const number = await store.jobs.nextNumber()
    await store.jobs.open(request.id, vehicle.id, number)

    const log: JobEvent[] = []
    const write = <T extends EventType>(type: T, payload: EventPayloads[T]) => {
      log.push({
        id: crypto.randomUUID(), jobId: request.id, seq: log.length + 1, deviceId: request.deviceId,
        deviceTime: request.at, personId: request.personId, type, payload,
      } as JobEvent)
    }
    const { complaint, pumpTest, odometerKm } = request
    write('job-opened', { number, vehicle: vehicle satisfies Vehicle, complaint, pumpTest, odometerKm })
    write('plan-made', { procedure, plan })
    for (const figure of await store.vehicles.figures(vehicle.id)) {
      if (procedure.groups.some(group => group.id === figure.group && group.part === 'vehicle')) write('figure-named', figure)
    }
    await record(tx, garageId, log, log)
    return { id: request.id, number }
  })
}

function expandOrRefuse(pack: Pack, options: Record<string, string>) {
  try {
    return expandPack(pack, options)
  }
  catch (error) {
    if (error instanceof PackError) throw new Refused(422, [{ path: error.path, reason: error.reason }])
    throw error
  }
}

/** Writes new events, what other screens list, and wakes everybody who looks at the job; all in one transaction. */
async function record(tx: Executor, garageId: string, log: JobEvent[], added: JobEvent[]): Promise<void> {
  if (added.length === 0) return
  const store = forGarage(tx, garageId)
  await store.jobs.append(added)
  const state: JobState = reduceJob(log)
  await store.jobs.project(summarise(state), state.lastSeq)
  for (const event of added) {
    if (event.type === 'figure-named' && event.payload.sourceKind === 'vehicle-book') {
      await store.vehicles.keepFigure(state.vehicle!.id, event.payload, event.personId)
    }
  }
  const news = JSON.stringify({ garageId, jobId: state.jobId, seq: state.lastSeq })
  await tx.execute(sql`select pg_notify('job_event', ${news})`)
}

