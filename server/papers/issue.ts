import type { NewPaper } from '../../contracts/papers'
import { admit } from '../../core/job'
import type { IssuedPaper, JobEvent } from '../../core/job'
import { dayText } from '../../core/formats'
import type { PaperDoc } from '../../core/formats'
import type { Database } from '../db/client'
import { forGarage } from '../db/for-garage'
import { inTurn } from '../db/in-turn'
import { record } from '../jobs/record'
import { tell } from '../jobs/told'
import type { PackShelf } from '../load-packs'
import { Refused } from '../refused'
import { reachFor, writePaper } from './paper-of'

/**
 * Issues a paper: it gets the garage's next number and today's date there, and goes into the log as it stands. The same id a second time
 * changes nothing.
 * @throws Refused where one of its kind is out already and not named, or it cannot be issued yet
 */
export async function issuePaper(
  db: Database,
  garageId: string,
  shelf: PackShelf,
  jobId: string,
  request: NewPaper,
): Promise<{ id: string; number: number }> {
  // Worked out before anybody waits for the garage's next number.
  const seen = tell(await forGarage(db, garageId).jobs.events(jobId))
  const reach = await reachFor(forGarage(db, garageId), shelf, seen.state, request.kind)
  return inTurn(db, garageId, async tx => {
    const store = forGarage(tx, garageId)
    if (!(await store.jobs.hold(jobId))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
    const told = tell(await store.jobs.events(jobId))
    const { log, state } = told
    const known = log.find(event => event.id === request.id)
    if (known) {
      if (known.type === 'paper-issued') return { id: known.id, number: known.payload.number }
      throw new Refused(409, [{ path: 'id', reason: 'This id is taken.' }])
    }
    if ((await store.jobs.known([request.id])).length > 0)
      throw new Refused(409, [{ path: 'id', reason: 'This id belongs to an event of another job.' }])
    if (!(await store.garage.people()).some(person => person.id === request.personId))
      throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
    if (!state.procedure) throw new Refused(409, [{ path: 'id', reason: 'The job has no plan yet.' }])
    const { name, town, address, timeZone, paper: size } = await store.garage.settings()
    const now = new Date().toISOString()
    const number = await store.papers.nextNumber(request.kind)
    const before = state.issuedPapers.find(paper => paper.paperId === request.corrects)
    const { number: _job, ...written } = await writePaper(
      store,
      shelf.terms,
      log,
      state,
      request.kind,
      log.length === seen.log.length ? reach : await reachFor(store, shelf, state, request.kind),
    )
    const event = {
      id: request.id,
      jobId,
      seq: log.at(-1)!.seq! + 1,
      deviceId: request.deviceId,
      deviceTime: now,
      personId: request.personId,
      type: 'paper-issued',
      payload: {
        paperId: request.id,
        kind: request.kind,
        number,
        issuedOn: new Intl.DateTimeFormat('en-CA', { timeZone }).format(new Date(now)),
        garageId,
        corrects: request.corrects,
        letterhead: { name, town, address },
        size,
        paper: numbered(written, number, dayText(now, timeZone), before ?? null),
      },
    } satisfies JobEvent<'paper-issued'>
    const refusal = admit(state, event, log)
    if (refusal) throw new Refused(409, [{ path: refusal.path.replace('payload.', ''), reason: refusal.reason }])
    await record(tx, garageId, told, tell([...log, event]))
    return { id: event.id, number }
  })
}

/** A paper with its number, its day and what it stands in place of. */
function numbered(paper: PaperDoc, number: number, day: string, before: IssuedPaper | null): PaperDoc {
  const [job, ...rest] = paper.facts
  return {
    ...paper,
    title: `${paper.title} ${number}`,
    facts: [
      job!,
      ['Issued', day],
      ...(before ? [['In place of', before.paper.title] as [string, string]] : []),
      ...rest,
    ],
  }
}
