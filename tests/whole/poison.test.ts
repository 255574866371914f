import { afterEach, describe, expect, it } from 'vitest'
import { isInherited } from '../../contracts/common'
import { payloads, postEvents } from '../../contracts/events'
import { newJob } from '../../contracts/jobs'
import { jobFile } from '../../contracts/job-file'
import { readPack } from '../../contracts/read-pack'
import { writePack } from '../../contracts/write-pack'
import { exportJob } from '../../core/formats'
import { admit, applyEvent, reduceJob, summarise } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { expandPack, PackError } from '../../core/packs'
import { DemoMechanic } from '../../server/demo/play'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { incoming, newJobRequest, personId } from '../support/requests'
import { sampleOf, withText } from '../support/sample'
import { coverAndPart } from '../support/small-pack'

/** Names that objects have of themselves: as keys they reach what all objects share. Fact of the language, no trade in it. */
const POISONS = Object.getOwnPropertyNames(Object.prototype).concat('prototype', 'length', 'then')

const own = () =>
  JSON.stringify(Object.getOwnPropertyNames(Object.prototype)) +
  JSON.stringify(Object.getOwnPropertyNames(Function.prototype))
const clean = own()
/** What a poisoned object shows: a field that nobody gave it, and schemas that refuse what is good. */
function expectClean(what: string) {
  expect(own(), what).toBe(clean)
  for (const key in {}) expect(key, what).toBe('nothing is inherited')
  expect(postEvents.safeParse({ events: [incoming('note-added', { stepId: null, text: 'good' })] }).success, what).toBe(
    true,
  )
}
afterEach(() => expectClean('at the end'))

const opened = () => {
  const log = TestLog.open(shelf.packs.get('fwd-transverse')!, { slave: 'opened' })
  const mechanic = new DemoMechanic(log.events, personId, Date.parse('2026-03-02T08:00:00.000Z')).workUntil(
    'bleed-clutch',
  )
  return [
    ...log.events,
    ...mechanic.events.map(
      (event, index) => ({ ...event, jobId: 'job', seq: log.events.length + index + 1 }) as JobEvent,
    ),
  ]
}
const events = opened()

describe.each(Object.entries(payloads))('%s', (type, schema) => {
  const sample = sampleOf(schema)

  it('poisons nothing, whatever stands in it, even where no schema looked', () => {
    const state = reduceJob(events)
    for (const [turn, poison] of POISONS.entries()) {
      for (const [index, payload] of [...withText(sample, poison)].entries()) {
        // Each text meets every fifth name, another five the next one; in a long proof all of them.
        if (!process.env.ELDRIN_LONG && (turn + index) % 5 !== 0) continue
        const event = {
          id: crypto.randomUUID(),
          jobId: 'job',
          seq: events.length + 1,
          deviceId: 'd',
          deviceTime: '2026-03-02T20:00:00.000Z',
          personId,
          type,
          payload,
        } as JobEvent
        let refused = true
        try {
          refused = admit(state, event, events) !== null
        } catch {
          // A payload of the wrong shape may be thrown out; what counts is what it leaves behind.
        }
        if (!refused) {
          const { jobId, number } = summarise(reduceJob([...events, event]))
          expect([jobId, number], JSON.stringify(payload)).toEqual([state.jobId, state.number])
        }
        try {
          applyEvent(reduceJob(events.slice(0, 3)), event)
        } catch {
          // As above.
        }
      }
      expectClean(`${type} with ${poison}`)
    }
  })
})

describe('at the schema', () => {
  it('no name of a step, a part or a group may be one that every object has', () => {
    for (const poison of POISONS.filter(isInherited)) {
      expect(payloads['reservoir-topped'].safeParse({ stepId: poison, ml: 5 }).success, poison).toBe(false)
      expect(payloads['step-done'].safeParse({ stepId: poison }).success, poison).toBe(false)
      expect(
        payloads['sheet-read'].safeParse(
          JSON.parse(
            `{ "sheetId": "disc", "values": { ${JSON.stringify(poison)}: { "kind": "text", "text": "x" } }, "cleared": ["x"] }`,
          ),
        ).data?.values ?? {},
        poison,
      ).not.toHaveProperty([poison, 'kind'])
      expect(newJob.safeParse(newJobRequest({ packId: poison })).success, poison).toBe(false)
    }
  })
})

describe('what nobody of the job knows', () => {
  /** Events without the name of a step, a part or a group; three speak of tables of causes, which stand beside the layouts, and one keeps an act for what it said. */
  const nameless = [
    'promised',
    'paid',
    'week-placed',
    'comeback-noted',
    'finding-noted',
    'cause-found',
    'act-set-aside',
  ]
  it.each(Object.entries(payloads).filter(([type]) => !nameless.includes(type)))(
    '%s is refused with names that the procedure has not',
    (type, schema) => {
      const event = {
        id: crypto.randomUUID(),
        jobId: 'job',
        seq: events.length + 1,
        deviceId: 'd',
        deviceTime: '2026-03-02T20:00:00.000Z',
        personId,
        type,
        payload: sampleOf(schema),
      } as JobEvent
      expect(admit(reduceJob(events), event, events), type).not.toBeNull()
    },
  )
})

describe('options', () => {
  it.each(POISONS)('%s chooses nothing', poison => {
    const pack = shelf.packs.get('fwd-transverse')!
    for (const options of [JSON.parse(`{ ${JSON.stringify(poison)}: "x" }`), { slave: poison }] as Record<
      string,
      string
    >[]) {
      expect(() => expandPack(pack, options), poison).toThrow(PackError)
    }
  })
})

describe('layouts', () => {
  const yaml = writePack(coverAndPart())
  it.each(POISONS)('%s is the name of nothing in a layout', poison => {
    for (const id of ['cover-off', 'part-off', 'small', 'only']) {
      if (!yaml.includes(id)) continue
      const { pack, problems } = readPack(yaml.replaceAll(id, poison), shelf.terms)
      expect([pack === null, problems.length > 0], `${id} as ${poison}`).toEqual(Array(2).fill(isInherited(poison)))
    }
  })
})

describe('job files', () => {
  it('are refused, or taken in without harm, with a poison in place of any text near the top of their events', () => {
    const jobId = crypto.randomUUID()
    const named = events.map(event => {
      const mine = { ...event, id: crypto.randomUUID(), jobId, personId }
      if (mine.type !== 'job-opened') return mine
      return { ...mine, payload: { ...mine.payload, vehicle: { ...mine.payload.vehicle, id: crypto.randomUUID() } } }
    }) as JobEvent[]
    const file = exportJob(named, [{ id: personId, name: 'Somebody' }], '2026-03-03T08:00:00.000Z')
    expect(jobFile.safeParse(file).error?.issues ?? []).toEqual([])
    const isHead = ({ type }: { type: string }) => type === 'plan-made' || type === 'job-opened'
    const heads = file.events.filter(isHead)
    const short = { ...file, events: file.events.filter(event => !isHead(event)).slice(0, 5) }
    let [taken, refused] = [0, 0]
    for (const [turn, poison] of POISONS.entries()) {
      for (const [index, text] of [...withText(short, poison)].entries()) {
        if (!process.env.ELDRIN_LONG && (turn + index) % 5 !== 0) continue
        const { events: few, ...rest } = text as typeof file
        const changed = { ...rest, events: Array.isArray(few) ? [...heads, ...few] : few }
        const { success, data } = jobFile.safeParse(changed)
        if (success)
          expect([++taken, JSON.parse(JSON.stringify(data))]).toEqual([taken, JSON.parse(JSON.stringify(changed))])
        else refused++
      }
      expectClean(poison)
    }
    expect([taken > 0, refused > 0]).toEqual([true, true])
  })
})
