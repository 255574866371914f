import type { PostedEvents } from '../../contracts/events'
import type { SwitchOptions } from '../../contracts/jobs'
import { admit, setRightNow, switchAsked } from '../../core/job'
import type { EventPayloads, JobEvent } from '../../core/job'
import { apart } from '../apart'
import type { Database } from '../db/client'
import { inGarage } from '../db/eyes'
import { forGarage } from '../db/for-garage'
import type { GarageStore } from '../db/for-garage'
import { findPack } from '../garage-packs'
import { learnedPack } from '../learn'
import type { PackShelf } from '../load-packs'
import { Refused } from '../refused'
import { answerFor } from './append'
import { expandOrRefuse } from './expand'
import { record } from './record'
import { tell } from './told'
import { underItsId } from './under-its-id'
import type { Told } from './told'

/** So often the log may have grown while the plan was worked out; then others wait for it. */
const MOST_ATTEMPTS = 3

/**
 * Switches a job to other options: the work is expanded anew and planned on from the steps done.
 * The same id a second time changes nothing.
 * @throws Refused when something done has no place in the other way, or the order breaks a link
 */
export async function switchJobOptions(
  db: Database,
  garageId: string,
  shelf: PackShelf,
  jobId: string,
  request: SwitchOptions,
): Promise<PostedEvents> {
  const { deviceTime, saidAt } = setRightNow(request.at, Date.now(), request.sentAt)
  const planFrom = (store: GarageStore, before: Told) =>
    planSwitch(store, shelf, before, { ...request, at: deviceTime })
  const knownIn = ({ log }: Told) => {
    if (log.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
    return log.find(event => event.id === request.id)
  }
  /** Holds the job and writes what was planned, or plans then; `null` where the log has grown since it was planned. */
  const write = (planned: { before: Told; payload: EventPayloads['options-switched'] } | null) =>
    underItsId(() =>
      inGarage(db, garageId, async (tx): Promise<PostedEvents | null> => {
        const store = forGarage(tx, garageId)
        await store.jobs.hold(jobId)
        const before = tell(await store.jobs.events(jobId))
        const known = knownIn(before)
        if (known) return { accepted: [answerFor(known)] }
        if (planned && planned.before.log.length !== before.log.length) return null
        const payload = planned?.payload ?? (await planFrom(store, before))
        const [elsewhere] = await store.jobs.known([request.id])
        if (elsewhere) throw new Refused(409, [{ path: 'id', reason: 'This id belongs to an event of another job.' }])
        const event = {
          id: request.id,
          jobId,
          seq: before.log.at(-1)!.seq! + 1,
          deviceId: request.deviceId,
          deviceTime,
          ...(saidAt ? { saidAt } : {}),
          personId: request.personId,
          type: 'options-switched',
          payload,
        } satisfies JobEvent<'options-switched'>
        const refusal = admit(before.state, event, before.log)
        if (refusal) throw new Refused(409, [refusal])
        await record(tx, garageId, before, tell([...before.log, event]))
        return { accepted: [answerFor(event)] }
      }),
    )
  // Planning takes its time, and nobody who posts to the job waits for it: the log is looked at again when it is done.
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const store = forGarage(db, garageId)
    const before = tell(await store.jobs.events(jobId))
    const known = knownIn(before)
    if (known) return { accepted: [answerFor(known)] }
    const posted = await write({ before, payload: await planFrom(store, before) })
    if (posted) return posted
  }
  return (await write(null))!
}

/** What a job is switched to: its work under the options wanted, planned on from what is done. */
async function planSwitch(
  store: GarageStore,
  shelf: PackShelf,
  { state }: Told,
  request: SwitchOptions,
): Promise<EventPayloads['options-switched']> {
  const people = await store.garage.people()
  if (!people.some(person => person.id === request.personId))
    throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
  const written = state.procedure && (await findPack(store, shelf, state.procedure.packId))
  if (!written)
    throw new Refused(409, [
      { path: 'options', reason: 'The layout this job was planned from is gone, so it cannot be planned another way.' },
    ])
  const options = { ...state.procedure!.options, ...request.options }
  const procedure = expandOrRefuse(await learnedPack(store, written), options)
  const { circumstances, clock, ...asked } = switchAsked(
    state,
    procedure,
    request.circumstances,
    request,
    request.order,
  )
  const plan = await apart('plan', { procedure, ...asked })
  return { procedure, plan, circumstances, clock, ...(request.decided ? { decided: request.decided } : {}) }
}
