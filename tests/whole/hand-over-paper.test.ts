import { describe, expect, it } from 'vitest'
import { sourceWords } from '../../contracts/words'
import { jobPaper, paperContext } from '../../core/formats'
import { closing, openBeforeHandover, reduceJob } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { DemoMechanic } from '../../server/demo/play'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { personId } from '../support/requests'

const context = paperContext({
  words: 'us',
  terms: shelf.terms,
  units: { torque: 'N·m', length: 'mm', distance: 'km' },
  currency: 'USD',
  timeZone: 'UTC',
  people: [{ id: personId, name: 'Maren' }],
  sources: sourceWords,
  rates: { labourPerHour: 0, taxPercent: 0, partsMarginPercent: 0, callOut: 0 },
  observed: [],
  reach: {},
})

/** A whole job, with a bolt of the bell that sheared. */
function worked() {
  const log = TestLog.open(shelf.packs.get('fwd-transverse')!, { slave: 'opened' })
  const mechanic = new DemoMechanic(log.events, personId, Date.parse('2026-03-02T08:00:00.000Z'))
    .workUntil(null)
    .checksMade()
  const boltId = reduceJob(log.events).boards['bell-bolts']!.bolts[0]!.id
  mechanic.write('bolt-broken', {
    group: 'bell-bolts',
    boltId,
    how: 'sheared',
    wayOut: 'x',
    troubleId: crypto.randomUUID(),
    text: 'A bell bolt sheared',
    parts: [],
    waitsFor: null,
    until: null,
  })
  return reduceJob([
    ...log.events,
    ...mechanic.events.map((event, index) => ({ ...event, seq: log.events.length + index + 1 }) as JobEvent),
  ])
}

describe('the hand-over, page and paper alike', () => {
  const state = worked()
  const paper = jobPaper('hand-over', state, context)
  const section = (title: string) => paper.sections.find(entry => entry.title === title)!
  it('says that it is not signed as long as it is not', () => {
    expect(paper.title).toBe('Hand-over, not yet signed')
    expect(
      jobPaper(
        'hand-over',
        { ...state, handedOver: { to: 'X', odometerKm: null, at: '2026-03-03T08:00:00.000Z' } },
        context,
      ).title,
    ).toBe('Hand-over')
    expect(
      jobPaper('hand-over', { ...state, calledOff: { reason: 'Sold', at: '2026-03-03T08:00:00.000Z' } }, context),
    ).toMatchObject({ title: 'Called off', facts: expect.arrayContaining([['Why', 'Sold']]) })
  })
  it('holds gears, closing checks, the road test, what is left, and bolts that went', () => {
    expect(section('Work').lines!.join(' ')).toMatch(/1 clean, 2 clean.*R clean/)
    expect(section('Closing checks').lines).toHaveLength(closing(state).length)
    expect(section('Road test').lines!.length).toBeGreaterThan(3)
    const left = section('Left as it is').lines!
    expect(left.filter(line => line.includes('no reason given yet'))).toHaveLength(
      openBeforeHandover(state).filter(entry => !entry.left).length,
    )
    expect(left.filter(line => /sheared\.$/.test(line))).toHaveLength(1)
    expect(left.filter(line => line.includes('had the load of one that broke'))).toHaveLength(
      state.boards['bell-bolts']!.bolts.length - 1,
    )
  })
  it('tells how the bolts of a group stand, by which figure, and with what they were set', () => {
    const row = section('Torque figures and their sources').table!.rows.find(([name]) =>
      name!.startsWith('Pressure plate bolts'),
    )!
    expect(row).toEqual([
      'Pressure plate bolts. In passes, every bolt logged',
      '6\u00a0at\u00a0their\u00a0figure',
      '21 N·m (15.5 lbf·ft)',
      'Kit sheet: Brindle clutch kit BK-4471, fitting sheet',
    ])
  })
  it('leaves no token of a term in its words', () => {
    expect(
      [
        paper.title,
        ...paper.facts.flat(),
        ...paper.sections.flatMap(entry => [entry.title, ...(entry.lines ?? []), ...(entry.table?.rows ?? []).flat()]),
      ].filter(text => /{\w/.test(text)),
    ).toEqual([])
  })
})
