import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../tests/support/small-pack'
import { jobCosts } from './costs'
import { jobPackages } from './offers'
import { partsList } from './parts-list'
import { reachOf } from './reach'
import { renewalLines } from './renewal-lines'
import { workSegments } from './work-segments'

const rates = { labourPerHour: 60, taxPercent: 20, partsMarginPercent: 10, callOut: 30 }
const pack = smallPack(
  {
    items: [{ id: 'cover', name: 'Cover', state: 'off' }],
    parts: [
      { id: 'disc', name: 'Disc' },
      { id: 'seal', name: 'Seal' },
    ],
    operations: [
      operation('cover-off', {
        takesOff: { cover: 1 },
        refit: { kind: 'mirror', override: { title: 'Cover on', parts: { disc: 2 } } },
      }),
      operation('rest', { phase: 'fill' }),
      operation('prove', { phase: 'prove', place: 'cab', car: 'ground' }),
    ],
    links: [
      link('cover-off.refit', 'rest', { mirror: false }),
      link('rest', 'prove', { mirror: false, waitMinutes: 60 }),
    ],
  },
  {
    bench: {
      sheets: [],
      orientations: [],
      oldParts: [],
      reachable: [
        {
          id: 'seal',
          name: 'Seal',
          part: 'seal',
          reachedBy: ['cover-off'],
          minutes: [5, 10, 20],
          chance: 0.5,
          because: 'It is cheap.',
          sheets: [],
          schools: [],
        },
      ],
    },
  },
)
const order = {
  orderId: 'o',
  name: 'Disc',
  count: 2,
  priceEach: 50,
  supplier: 'Yard',
  orderNo: null,
  arrivesAt: '2026-03-02T09:00:00.000Z',
}

describe('jobCosts', () => {
  it('is labour by the plan, parts with margin, coming out, and tax on all of it', () => {
    const log = TestLog.open(pack).add('part-ordered', { ...order, partId: 'disc' })
    const costs = jobCosts(log.state, rates, [])
    expect(costs.parts).toEqual([{ name: 'Disc', count: 2, each: 55.00000000000001, total: 110.00000000000001 }])
    expect(costs.labour).toBeCloseTo(costs.estimatedMinutes, 9)
    expect(costs.total).toBeCloseTo((costs.estimatedMinutes + 110 + 30) * 1.2, 9)
    expect(costs.tax).toBeCloseTo(costs.total / 6, 9)
    expect(costs).toMatchObject({ measuredMinutes: 0, measuredSteps: 0 })
  })
  it('tells as worked what was measured and nothing else, and names what has no price', () => {
    const { state } = TestLog.open(pack)
    const planned = jobCosts(state, rates, [])
    const timed = jobCosts(state, rates, [{ operationId: 'rest', minutes: 42, by: 'timer', troubled: false }])
    const fill = timed.byPhase.find(entry => entry.phase === 'fill')!
    expect(fill).toMatchObject({ measured: 42, measuredSteps: 1, steps: 1 })
    expect(timed.byPhase.filter(entry => entry.phase !== 'fill').every(entry => entry.measured === null)).toBe(true)
    expect(timed).toMatchObject({ measuredMinutes: 42, measuredSteps: 1, labour: planned.labour })
    expect(planned.unpriced).toEqual(['Disc'])
  })
})

describe('jobPackages', () => {
  it('offers what has to be, what pays, and all, over what is priced', () => {
    const log = TestLog.open(pack)
    const reach = reachOf(log.state.procedure!, null)
    expect(jobPackages(log.state, rates, reach)).toMatchObject({
      unpriced: ['Seal'],
      packages: [{ names: [] }, { names: [] }, { names: [] }],
    })
    log.add('renewal-weighed', {
      partId: 'seal',
      partCost: 10,
      minutesNow: 6,
      minutesLater: 120,
      chance: 0.5,
      comebackCost: 0,
    })
    const { packages, unpriced } = jobPackages(log.state, rates, reach)
    expect(unpriced).toEqual([])
    expect(packages.map(offer => offer.names)).toEqual([[], ['Seal'], ['Seal']])
    expect(packages[1]!.total).toBeCloseTo(11 + 6, 9)
  })
})

describe('a part has one price', () => {
  it('on the list, in the costs and in the question whether it is renewed: what was paid, what came in a kit, what was put in, what is quoted', () => {
    const log = TestLog.open(pack).add('renewal-decided', {
      decisions: [{ partId: 'seal', decision: 'renew' }],
      because: 'x',
    })
    const prices = (quoted: number | null = null) => {
      const { state } = log
      const quotes = new Map(quoted === null ? [] : [['seal', { name: 'Seal', priceEach: quoted, kit: [] }]])
      return [
        partsList(state, quotes).find(line => line.name === 'Seal')!.priceEach,
        renewalLines(state, rates, {}, () => quoted)[0]!.partCost,
        ...(quoted === null
          ? [jobCosts(state, { ...rates, partsMarginPercent: 0 }, []).parts.find(part => part.name === 'Seal')!.each]
          : []),
      ]
    }
    expect(prices()).toEqual([null, null, null])
    expect(prices(9)).toEqual([9, 9])
    log.add('renewal-weighed', {
      partId: 'seal',
      partCost: 8,
      minutesNow: null,
      minutesLater: null,
      chance: 0.5,
      comebackCost: 0,
    })
    expect(prices()).toEqual([8, 8, 8])
    expect(prices(9)).toEqual([8, 8])
    log.add('part-ordered', { ...order, orderId: 'kit', partId: 'disc', covers: ['seal'] })
    expect(prices(9)).toEqual([0, 0])
    expect(prices()).toEqual([0, 0, 0])
    log.add('part-ordered', { ...order, orderId: 'own', partId: null, name: 'Seal', priceEach: 7 })
    expect(prices()).toEqual([7, 7, 7])
  })
  const weighed = { partId: 'seal', partCost: 10, minutesNow: null, minutesLater: null, chance: 0.5, comebackCost: 40 }
  it('and a part that a sheet found bad is as likely to fail wherever it is weighed', () => {
    const { state } = TestLog.open(pack).add('renewal-weighed', { ...weighed, newFails: 0 })
    const [line] = renewalLines(state, rates, reachOf(state.procedure!, null))
    // Ten, and a tenth on top: what the customer pays is what is weighed.
    expect(line!.answer!.expectedNow).toBeCloseTo(11 + line!.minutesNow!, 9)
    expect(line!.minutesNow).toBe(10)
    expect(line!.steps).toContain('Do cover-off')
  })
  it('and the new part may fail as well, and what is paid in years counts less', () => {
    const answerOf = (more: { newFails?: number; yearsLater?: number }, laterPercent: number) => {
      const { state } = TestLog.open(pack).add('renewal-weighed', { ...weighed, ...more })
      return renewalLines(state, { ...rates, laterPercent }, reachOf(state.procedure!, null))[0]!.answer!
    }
    const sure = answerOf({ newFails: 0, yearsLater: 2 }, 0)
    const back = sure.expectedLater / 0.5
    expect(answerOf({ newFails: 0.1, yearsLater: 2 }, 0).expectedNow).toBeCloseTo(sure.expectedNow + 0.1 * back, 9)
    expect(answerOf({ newFails: 0, yearsLater: 2 }, 10).expectedLater).toBeCloseTo(sure.expectedLater / 1.21, 9)
    // Left out: two of a hundred new ones fail, in three years.
    expect(answerOf({}, 10).expectedNow).toBeCloseTo(sure.expectedNow + (0.02 * back) / 1.331, 9)
  })
})

describe('workSegments', () => {
  it('cuts the work left at a wait that frees the mechanic, and at a part on its way', () => {
    const log = TestLog.open(pack)
    const whole = workSegments(log.state)
    expect(whole).toHaveLength(2)
    // An hour, less the walk that is made meanwhile.
    expect(whole[0]!.waitAfter).toBeGreaterThan(50)
    expect(whole[0]!.waitAfter).toBeLessThanOrEqual(60)
    expect(whole[0]!.readyAt).toBeNull()
    const waiting = workSegments(
      log.add('trouble-raised', {
        troubleId: 't',
        stepId: null,
        text: 'x',
        waitsFor: 'The stud',
        until: '2026-03-03T10:00:00.000Z',
      }).state,
    )
    expect(waiting[0]).toMatchObject({ readyAt: '2026-03-03T10:00:00.000Z', because: 'The stud is on its way.' })
    expect(workSegments(log.all().state)).toEqual([])
  })
})
