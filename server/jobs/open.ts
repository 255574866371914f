import type { NewJob } from '../../contracts/jobs'
import { rankCauses } from '../../core/decisions'
import { FieldError } from '../../core/base/field-error'
import { openingAsked } from '../../core/job'
import type { EventPayloads, EventType, JobEvent, Vehicle } from '../../core/job'
import { symptomsOf } from '../../core/packs'
import type { Pack, Procedure } from '../../core/packs'
import { apart } from '../apart'
import type { Database } from '../db/client'
import { forGarage } from '../db/for-garage'
import { inTurn } from '../db/in-turn'
import { km } from '../../core/say'
import type { GarageStore } from '../db/for-garage'
import { findPack } from '../garage-packs'
import { learnedPack } from '../learn'
import type { PackShelf } from '../load-packs'
import { Refused } from '../refused'
import { expandOrRefuse, schoolsOf } from './expand'
import { record } from './record'
import { tell } from './told'
import { underItsId } from './under-its-id'

/**
 * Opens a job: expands the pack, plans the work, takes the vehicle's own figures over.
 * The same id a second time changes nothing.
 * @param saidAt what the device's clock said, where `request.at` was set right
 * @throws Refused on an unknown vehicle, pack, option or person
 */
export async function openJob(
  db: Database,
  garageId: string,
  shelf: PackShelf,
  request: NewJob,
  saidAt?: string,
): Promise<{ id: string; number: number }> {
  const garage = forGarage(db, garageId)
  const opened = await garage.jobs.find(request.id)
  if (opened) return { id: opened.id, number: opened.number }
  const written = await findPack(garage, shelf, request.packId)
  if (!written) throw new Refused(422, [{ path: 'packId', reason: `There is no layout "${request.packId}".` }])
  checkSymptoms(shelf, written, request.complaint.symptoms)
  if (request.findings) checkFindings(shelf, written, request.findings)
  const { schools, hours, trayTools } = await garage.garage.settings()
  const pack = await learnedPack(garage, written)
  const procedure = expandOrRefuse(pack, { ...schoolsOf(pack, schools), ...request.options })
  const { circumstances, clock, ...asked } = openingAsked(procedure, { hours: hours ?? null, trayTools }, request)
  const plan = await apart('plan', { procedure, ...asked })
  const write = () =>
    inTurn(db, garageId, async tx => {
      const store = forGarage(tx, garageId)
      const existing = await store.jobs.find(request.id)
      if (existing) return { id: existing.id, number: existing.number }
      const vehicle = await wantVehicle(store, request)
      await wantPerson(store, request.personId)
      const number = await store.jobs.nextNumber()
      await store.jobs.open(request.id, vehicle.id, number)

      const log: JobEvent[] = []
      const add = <T extends EventType>(type: T, payload: EventPayloads[T]) => {
        log.push({
          id: crypto.randomUUID(),
          jobId: request.id,
          seq: log.length + 1,
          deviceId: request.deviceId,
          deviceTime: request.at,
          ...(saidAt ? { saidAt } : {}),
          personId: request.personId,
          type,
          payload,
        } as JobEvent)
      }
      const { complaint, pumpTest, odometerKm, findings } = request
      add('job-opened', { number, vehicle, complaint, pumpTest, odometerKm })
      add('plan-made', { procedure, plan, circumstances, clock })
      if (request.comebackOf) add('comeback-noted', await comebackOf(store, vehicle.id, request.comebackOf))
      for (const [testId, outcome] of Object.entries(findings?.outcomes ?? {}))
        add('finding-noted', { tableId: findings!.tableId, testId, outcome })
      const known = await knownOfCar(store, vehicle.id, procedure)
      for (const figure of known.figures) add('figure-named', figure)
      for (const described of known.fasteners) add('fastener-described', described)
      await record(tx, garageId, null, tell(log))
      return { id: request.id, number }
    })
  return underItsId(write)
}

/** @throws Refused on a car that is not here, or whose odometer would run back */
async function wantVehicle(store: GarageStore, { vehicleId, odometerKm }: NewJob): Promise<Vehicle> {
  const vehicle = await store.vehicles.find(vehicleId)
  if (!vehicle) throw new Refused(422, [{ path: 'vehicleId', reason: 'There is no such vehicle in this garage.' }])
  const last = odometerKm === null ? null : await store.vehicles.lastOdometer(vehicle.id)
  if (!last || odometerKm! >= last.odometerKm - 1) return vehicle
  const day = last.at.toISOString().slice(0, 10)
  throw new Refused(422, [
    {
      path: 'odometerKm',
      reason: `This car stood at ${km(last.odometerKm)} on ${day}; it cannot stand at ${km(odometerKm!)} now.`,
    },
  ])
}

async function wantPerson(store: GarageStore, personId: string): Promise<void> {
  const here = (await store.garage.people()).some(person => person.id === personId && !person.gone)
  if (!here) throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
}

async function comebackOf(
  store: GarageStore,
  vehicleId: string,
  jobId: string,
): Promise<EventPayloads['comeback-noted']> {
  const earlier = (await store.words.ofVehicle(vehicleId)).find(entry => entry.jobId === jobId)
  if (!earlier) throw new Refused(422, [{ path: 'comebackOf', reason: 'This car has no such job.' }])
  return { jobId: earlier.jobId, number: earlier.number, cause: earlier.cause ?? null }
}

/** What the garage knows of a car's own fasteners, as far as the job has them. */
async function knownOfCar(store: GarageStore, vehicleId: string, procedure: Procedure) {
  const own = new Set(procedure.groups.filter(group => group.part === 'vehicle').map(group => group.id))
  const [figures, fasteners] = [await store.vehicles.figures(vehicleId), await store.vehicles.fasteners(vehicleId)]
  return {
    figures: figures.filter(figure => own.has(figure.group)),
    fasteners: fasteners.filter(({ group }) => own.has(group)),
  }
}

/** @throws Refused on a symptom that such a car has not */
function checkSymptoms(shelf: PackShelf, pack: Pack, symptoms: string[]): void {
  const known = new Set((pack.symptoms ?? symptomsOf(shelf.causes)).map(symptom => symptom.id))
  const index = symptoms.findIndex(id => !known.has(id))
  if (index >= 0)
    throw new Refused(422, [
      { path: `complaint.symptoms[${index}]`, reason: `Nobody says "${symptoms[index]}" of such a car.` },
    ])
}

/** @throws Refused on a table, a test or an outcome that is none */
function checkFindings(shelf: PackShelf, pack: Pack, findings: NonNullable<NewJob['findings']>): void {
  const table = shelf.causes.find(entry => entry.id === findings.tableId && (pack.causes?.includes(entry.id) ?? true))
  if (!table)
    throw new Refused(422, [
      { path: 'findings.tableId', reason: `Of such a car there is no table of causes "${findings.tableId}".` },
    ])
  try {
    rankCauses(findings.outcomes, table)
  } catch (error) {
    if (error instanceof FieldError)
      throw new Refused(422, [{ path: `findings.outcomes.${error.path}`, reason: error.reason }])
    throw error
  }
}
