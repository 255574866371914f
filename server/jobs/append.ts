import type { PostedEvents } from '../../contracts/events'
import { admit, applyEvent, reduceJob, setRight } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { actRefused } from '../../core/rights/may-act'
import type { Database } from '../db/client'
import { inGarage } from '../db/eyes'
import { forGarage } from '../db/for-garage'
import { Refused } from '../refused'
import { outbox } from '../seen/measures'
import type { Hands } from '../who/asker'
import { doneAfterLeaving, markLate } from './late'
import { record } from './record'
import { tell } from './told'
import { underItsId } from './under-its-id'

/** What a device sends: an event without the number that only the server can give. */
export type IncomingEvent = Omit<JobEvent, 'jobId' | 'seq' | 'late'>

/**
 * Adds events to a job's log, all of them or none, in the order given.
 * An event that is in the log already is answered with its number and changes nothing.
 * @param sentAt the device's clock as it sent them; left out where the times are the server's own
 * @param hands whose acts the device may send, and when they left it; anybody's where it is left out
 * @throws Refused with the path of the event at fault; nothing is written then
 */
export async function appendEvents(
  db: Database,
  garageId: string,
  jobId: string,
  incoming: IncomingEvent[],
  sentAt?: string,
  hands: Hands | null = null,
): Promise<PostedEvents> {
  const now = Date.now()
  const skewMs = sentAt === undefined ? 0 : now - Date.parse(sentAt)
  const [first] = incoming
  if (first && sentAt !== undefined)
    outbox.observe(Math.max(0, (Date.parse(sentAt) - Date.parse(first.deviceTime)) / 1000))
  return underItsId(() =>
    inGarage(db, garageId, async tx => {
      const store = forGarage(tx, garageId)
      const held = await store.jobs.hold(jobId)
      if (!held) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
      const people = new Map((await store.garage.people()).map(person => [person.id, person]))
      const known = new Map((await store.jobs.known(incoming.map(event => event.id))).map(row => [row.id, row]))
      const before = tell(await store.jobs.events(jobId))
      const log = [...before.log]
      const accepted: PostedEvents['accepted'] = []
      let state = reduceJob(log)
      for (const [index, event] of incoming.entries()) {
        const row = known.get(event.id)
        if (row && row.jobId !== jobId)
          throw new Refused(409, [
            { path: `events[${index}].id`, reason: 'This id belongs to an event of another job.' },
          ])
        const recorded = log.find(entry => entry.id === event.id)
        if (recorded) {
          accepted.push(answerFor(recorded))
          continue
        }
        const person = people.get(event.personId)
        if (!person)
          throw new Refused(422, [{ path: `events[${index}].personId`, reason: 'Nobody of this garage has that id.' }])
        const there = { leftAt: hands?.get(event.personId) ?? null, gone: person.gone }
        const seq = (log.at(-1)?.seq ?? 0) + 1
        const next = { ...setRight(event, skewMs, now), ...markLate(there), jobId, seq } as JobEvent
        const refusal =
          doneAfterLeaving(next, there) ?? actRefused(person.role, next, state, log) ?? admit(state, next, log)
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
      await record(tx, garageId, before, { log, state })
      return { accepted }
    }),
  )
}

/** Where an event stands, and when it happened where the device's clock was wrong. */
export function answerFor({ id, seq, deviceTime, saidAt }: JobEvent): PostedEvents['accepted'][number] {
  return { id, seq: seq!, ...(saidAt ? { deviceTime, saidAt } : {}) }
}
