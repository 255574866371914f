import { sql } from 'drizzle-orm'
import type { PostedEvents } from '../contracts/events'
import type { NewJob, SwitchOptions } from '../contracts/jobs'
import { rankCauses } from '../core/decisions'
import { FieldError } from '../core/fasteners/field-error'
import { admit, applyEvent, noCircumstances, pastOf, planSetting, reduceJob, setRight, setRightNow } from '../core/job'
import type { Circumstances, EventPayloads, EventType, JobEvent, JobState, PlanClock, Vehicle } from '../core/job'
import type { Pack } from '../core/packs'
import { expandPack, PackError } from '../core/packs'
import { apart } from './apart'
import type { Database, Executor } from './db/client'
import { forGarage } from './db/for-garage'
import type { GarageStore } from './db/for-garage'
import { isTaken } from './db/db-errors'
import { findPack } from './garage-packs'
import { learnedPack } from './learn'
import type { PackShelf } from './load-packs'
import { project } from './projections'
import { Refused } from './refused'

/** What a device sends: an event without the number that only the server can give. */
export type IncomingEvent = Omit<JobEvent, 'jobId' | 'seq'>

/**
 * Adds events to a job's log, all of them or none, in the order given.
 * An event that is in the log already is answered with its number and changes nothing.
 * @param sentAt the device's clock as it sent them; left out where the times are the server's own
 * @throws Refused with the path of the event at fault; nothing is written then
 */
export async function appendEvents(db: Database, garageId: string, jobId: string, incoming: IncomingEvent[], sentAt?: string): Promise<PostedEvents> {
  const now = Date.now()
  const skewMs = sentAt === undefined ? 0 : now - Date.parse(sentAt)
  return takenOnce(() => db.transaction(async (tx) => {
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
        accepted.push(answerFor(log.find(entry => entry.id === event.id)!))
        continue
      }
      if (!people.has(event.personId)) throw new Refused(422, [{ path: `events[${index}].personId`, reason: 'Nobody of this garage has that id.' }])
      const next = { ...setRight(event, skewMs, now), jobId, seq: (log.at(-1)?.seq ?? 0) + 1 } as JobEvent
      const refusal = admit(state, next, log)
      if (refusal) throw new Refused(409, [{ path: `events[${index}].${refusal.path}`, reason: refusal.reason }])
      log.push(next)
      accepted.push(answerFor(next))
      if (next.type === 'undone') state = reduceJob(log)
      else applyEvent(state, next)
      // Between two events of a long posting everybody else has a turn.
      await new Promise(resolve => setImmediate(resolve))
    }
    state.lastSeq = log.at(-1)?.seq ?? 0
    state.lastAt = log.at(-1)?.deviceTime ?? null
    await record(tx, garageId, log, log.slice(before), state)
    return { accepted }
  }))
}

const answerFor = ({ id, seq, deviceTime, saidAt }: JobEvent): PostedEvents['accepted'][number] => ({ id, seq: seq!, ...(saidAt ? { deviceTime, saidAt } : {}) })

/** Does it again once where somebody else took the same id at the same moment: now it is seen, and answered for. */
async function takenOnce<T>(act: () => Promise<T>): Promise<T> {
  try {
    return await act()
  }
  catch (error) {
    if (!isTaken(error)) throw error
    return act()
  }
}

/**
 * Opens a job: expands the pack, plans the work, takes the vehicle's own figures over.
 * The same id a second time changes nothing.
 * @param saidAt what the device's clock said, where `request.at` was set right
 * @throws Refused on an unknown vehicle, pack, option or person
 */
export async function openJob(db: Database, garageId: string, shelf: PackShelf, request: NewJob, saidAt?: string): Promise<{ id: string, number: number }> {
  const garage = forGarage(db, garageId)
  const opened = await garage.jobs.find(request.id)
  if (opened) return { id: opened.id, number: opened.number }
  const written = await findPack(garage, shelf, request.packId)
  if (!written) throw new Refused(422, [{ path: 'packId', reason: `There is no layout "${request.packId}".` }])
  const pack = await learnedPack(garage, written)
  const findings = request.findings && checkFindings(shelf, request.findings)
  const { schools, hours } = await garage.garage.settings()
  const procedure = expandOrRefuse(pack, { ...schoolsOf(pack, schools), ...request.options })
  const circumstances: Circumstances = { ...noCircumstances, hours: hours ?? null }
  const clock: PlanClock = { at: request.at, minutes: 0, utcOffsetMinutes: request.utcOffsetMinutes }
  const plan = await apart('plan', { procedure, setting: planSetting(circumstances, procedure.hands, clock) })
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${garageId}))`)
    const store = forGarage(tx, garageId)
    const existing = await store.jobs.find(request.id)
    if (existing) return { id: existing.id, number: existing.number }
    const vehicle = await store.vehicles.find(request.vehicleId)
    if (!vehicle) throw new Refused(422, [{ path: 'vehicleId', reason: 'There is no such vehicle in this garage.' }])
    const last = request.odometerKm === null ? null : await store.vehicles.lastOdometer(vehicle.id)
    if (last && request.odometerKm! < last.odometerKm - 1) throw new Refused(422, [{ path: 'odometerKm', reason: `This car stood at ${Math.round(last.odometerKm)} km on ${last.at.toISOString().slice(0, 10)}; it cannot stand at ${Math.round(request.odometerKm!)} km now.` }])
    const people = (await store.garage.people()).filter(person => !person.gone)
    if (!people.some(person => person.id === request.personId)) throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
    const number = await store.jobs.nextNumber()
    await store.jobs.open(request.id, vehicle.id, number)

    const log: JobEvent[] = []
    const write = <T extends EventType>(type: T, payload: EventPayloads[T]) => {
      log.push({
        id: crypto.randomUUID(), jobId: request.id, seq: log.length + 1, deviceId: request.deviceId,
        deviceTime: request.at, ...(saidAt ? { saidAt } : {}), personId: request.personId, type, payload,
      } as JobEvent)
    }
    const { complaint, pumpTest, odometerKm } = request
    write('job-opened', { number, vehicle: vehicle satisfies Vehicle, complaint, pumpTest, odometerKm })
    write('plan-made', { procedure, plan, circumstances, clock })
    if (request.comebackOf) {
      const earlier = (await store.words.ofVehicle(vehicle.id)).find(entry => entry.jobId === request.comebackOf)
      if (!earlier) throw new Refused(422, [{ path: 'comebackOf', reason: 'This car has no such job.' }])
      write('comeback-noted', { jobId: earlier.jobId, number: earlier.number, cause: earlier.cause ?? null })
    }
    for (const [testId, outcome] of Object.entries(findings?.outcomes ?? {})) write('finding-noted', { tableId: findings!.tableId, testId, outcome })
    for (const figure of await store.vehicles.figures(vehicle.id)) {
      if (procedure.groups.some(group => group.id === figure.group && group.part === 'vehicle')) write('figure-named', figure)
    }
    for (const { group, fastener } of await store.vehicles.fasteners(vehicle.id)) {
      if (procedure.groups.some(entry => entry.id === group && entry.part === 'vehicle')) write('fastener-described', { group, fastener })
    }
    await record(tx, garageId, log, log)
    return { id: request.id, number }
  })
}

/**
 * Switches a job to other options: the work is expanded anew and planned on from the steps done.
 * The same id a second time changes nothing.
 * @throws Refused when something done has no place in the other way, or the order breaks a link
 */
export async function switchJobOptions(db: Database, garageId: string, shelf: PackShelf, jobId: string, request: SwitchOptions): Promise<PostedEvents> {
  const { deviceTime, saidAt } = setRightNow(request.at, Date.now())
  // Planning takes its time, and nobody who posts to the job waits for it: the log is looked at again when it is done.
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const before = await forGarage(db, garageId).jobs.events(jobId)
    if (before.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
    const known = before.find(event => event.id === request.id)
    if (known) return { accepted: [answerFor(known)] }
    const payload = await planSwitch(forGarage(db, garageId), shelf, before, { ...request, at: deviceTime })
    const posted = await takenOnce(() => db.transaction(async (tx) => {
      const store = forGarage(tx, garageId)
      await store.jobs.hold(jobId)
      const log = await store.jobs.events(jobId)
      if (log.length !== before.length) return null
      const [elsewhere] = await store.jobs.known([request.id])
      if (elsewhere) throw new Refused(409, [{ path: 'id', reason: 'This id belongs to an event of another job.' }])
      const event = {
        id: request.id, jobId, seq: log.length === 0 ? 1 : log.at(-1)!.seq! + 1, deviceId: request.deviceId, deviceTime, ...(saidAt ? { saidAt } : {}), personId: request.personId, type: 'options-switched', payload,
      } satisfies JobEvent<'options-switched'>
      const refusal = admit(reduceJob(log), event, log)
      if (refusal) throw new Refused(409, [refusal])
      await record(tx, garageId, [...log, event], [event])
      return { accepted: [answerFor(event)] }
    }))
    if (posted) return posted
  }
  throw new Refused(503, [{ path: 'id', reason: 'Others write to this job just now. Nothing was changed; try again.' }])
}

const MOST_ATTEMPTS = 4

/** What a job is switched to: its work under the options wanted, planned on from what is done. */
async function planSwitch(store: GarageStore, shelf: PackShelf, log: JobEvent[], request: SwitchOptions): Promise<EventPayloads['options-switched']> {
  const people = await store.garage.people()
  if (!people.some(person => person.id === request.personId)) throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
  const state = reduceJob(log)
  const written = state.procedure && await findPack(store, shelf, state.procedure.packId)
  if (!written) throw new Refused(409, [{ path: 'options', reason: 'The layout this job was planned from is gone, so it cannot be planned another way.' }])
  const procedure = expandOrRefuse(await learnedPack(store, written), request.options)
  const past = pastOf(state)
  const clock: PlanClock = { at: request.at, minutes: past?.steps.at(-1)?.finishMinutes ?? 0, utcOffsetMinutes: request.utcOffsetMinutes }
  const kept = past && { ...past, steps: past.steps.filter(step => step.kind !== 'operation' || procedure.operations.some(operation => operation.id === step.id)) }
  const plan = await apart('plan', {
    procedure, setting: planSetting(request.circumstances, procedure.hands, clock), request: { ...(kept ? { past: kept } : {}), ...(request.order ? { order: request.order } : {}) },
  })
  return { procedure, plan, circumstances: request.circumstances, clock }
}

/** @throws Refused on a table, a test or an outcome that is none */
function checkFindings(shelf: PackShelf, findings: NonNullable<NewJob['findings']>): NonNullable<NewJob['findings']> {
  const table = shelf.causes.find(entry => entry.id === findings.tableId)
  if (!table) throw new Refused(422, [{ path: 'findings.tableId', reason: `There is no table of causes "${findings.tableId}".` }])
  try {
    rankCauses(findings.outcomes, table)
    return findings
  }
  catch (error) {
    if (error instanceof FieldError) throw new Refused(422, [{ path: `findings.outcomes.${error.path}`, reason: error.reason }])
    throw error
  }
}

/** The garage's own choices for those options of a pack on which trades people disagree. */
function schoolsOf(pack: Pack, schools: Record<string, string>): Record<string, string> {
  return Object.fromEntries(pack.options.flatMap(option =>
    option.school && option.choices.some(choice => choice.id === schools[option.id]) ? [[option.id, schools[option.id]!]] : []))
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

/** Writes new events, what follows from them, and wakes everybody who looks at the job; all in one transaction. */
export async function record(tx: Executor, garageId: string, log: JobEvent[], added: JobEvent[], state: JobState = reduceJob(log)): Promise<void> {
  if (added.length === 0) return
  const store = forGarage(tx, garageId)
  await store.jobs.append(added)
  await project(store, log, state, added)
  await keepWithCar(store, state, added)
  await tx.execute(sql`select pg_notify('job_event', ${JSON.stringify({ garageId, jobId: state.jobId, seq: state.lastSeq })})`)
}

/** What the next job on the same car knows from this one: figures of its book, what its fasteners are. */
async function keepWithCar(store: GarageStore, state: JobState, added: JobEvent[]): Promise<void> {
  for (const event of added) {
    if (event.type === 'figure-named' && event.payload.sourceKind === 'vehicle-book') {
      await store.vehicles.keepFigure(state.vehicle!.id, event.payload, event.payload.entered?.by ?? event.personId)
    }
    if (event.type === 'fastener-described' && state.procedure?.groups.some(group => group.id === event.payload.group && group.part === 'vehicle')) {
      await store.vehicles.keepFastener(state.vehicle!.id, event.payload.group, event.payload.fastener)
    }
  }
}
