import { describe, expect, it } from 'vitest'
import { coverAndPart, link, operation, smallPack } from '../../tests/support/small-pack'
import { expandPack } from '../packs/expand-pack'
import { brokenLinks } from './broken-links'
import { planJob } from './plan-job'
import { whyHere } from './why-here'

const setting = { walkMinutes: 2, toolMinutes: 1, start: { place: 'top', car: 'ground' } as const }

describe('planJob', () => {
  it('gives an empty plan for no work', () => {
    expect(planJob(expandPack(smallPack({})))).toMatchObject({
      order: [],
      trips: [],
      totals: { minutes: 0, placeChanges: 0 },
    })
  })
  it('adds work, walking, raising and tools', () => {
    const pack = smallPack({
      operations: [
        operation('a', { tools: ['x'] }),
        operation('b', { place: 'under', car: 'raised', tools: ['x', 'y'] }),
      ],
      links: [link('a', 'b')],
    })
    const plan = planJob(expandPack(pack), setting)
    expect(plan.order).toEqual(['a', 'raise-1', 'b'])
    // a: 1 tool + 2; raise 10; walk 2 + 1 tool; b: 2
    expect(plan.totals).toMatchObject({ minutes: 18, workMinutes: 4, setupMinutes: 14, waitMinutes: 0, timesRaised: 1 })
    expect(plan.steps.map(step => [step.id, step.startMinutes, step.finishMinutes])).toEqual([
      ['a', 1, 3],
      ['raise-1', 3, 13],
      ['b', 16, 18],
    ])
  })
  it('brings a car that was proved down again, whatever is done last', () => {
    const operations = [operation('a', { phase: 'prove' }), operation('b', { place: 'under', car: 'raised' })]
    const plan = planJob(expandPack(smallPack({ operations, links: [link('a', 'b')] })), setting)
    expect(plan.order).toEqual(['a', 'raise-1', 'b', 'lower-2'])
    expect(plan.steps.at(-1)).toMatchObject({ kind: 'lower', car: 'ground', place: 'under', minutes: 6 })
    expect(plan.totals.minutes).toBe(plan.steps.at(-1)!.finishMinutes)
  })
  it('stays at a place while there is work there', () => {
    const pack = smallPack({
      operations: [
        operation('a1'),
        operation('b1', { place: 'cab' }),
        operation('a2'),
        operation('b2', { place: 'cab' }),
        operation('a3'),
      ],
    })
    const plan = planJob(expandPack(pack), setting)
    expect(plan.totals.placeChanges).toBe(1)
    expect(plan.authored.placeChanges).toBe(4)
    expect(plan.trips.map(trip => trip.stepIds)).toEqual([
      ['a1', 'a2', 'a3'],
      ['b1', 'b2'],
    ])
  })
  it('fills a wait with other work, and says why it waits when nothing fills it', () => {
    const wait = link('seal', 'close', { waitMinutes: 60, because: 'The sealant skins.' })
    const other = operation('other', { minutes: [30, 40, 50] })
    const idle = planJob(
      expandPack(smallPack({ operations: [operation('seal'), operation('close')], links: [wait] })),
      setting,
    )
    expect(idle.steps[1]).toMatchObject({ id: 'close', waitMinutes: 60, waitBecause: 'The sealant skins.' })
    const filled = planJob(
      expandPack(smallPack({ operations: [operation('seal'), operation('close'), other], links: [wait] })),
      setting,
    )
    expect(filled.order).toEqual(['seal', 'other', 'close'])
    expect(filled.totals.minutes).toBe(idle.totals.minutes)
  })
  it('flags work for two hands when nobody is there', () => {
    const procedure = expandPack(smallPack({ operations: [operation('heavy', { hands: 2, aloneWay: 'Use a jack.' })] }))
    expect(planJob(procedure, { ...setting, helper: false }).steps[0]!.shortHanded).toBe(true)
    expect(planJob(procedure, { ...setting, helper: true }).steps[0]!.shortHanded).toBe(false)
  })
  it('takes the long estimate for work for two with one pair of hands', () => {
    const procedure = expandPack(
      smallPack({ operations: [operation('heavy', { hands: 2, aloneWay: 'Use a jack.', minutes: [5, 8, 20] })] }),
    )
    expect(planJob(procedure, { ...setting, helper: false }).totals.minutes).toBe(20)
    expect(planJob(procedure, { ...setting, helper: true }).totals.minutes).toBe(8)
  })
  it('gives the same plan for the same input', () => {
    expect(planJob(expandPack(coverAndPart()))).toEqual(planJob(expandPack(coverAndPart())))
  })
  it('refuses times that are none', () => {
    expect(() => planJob(expandPack(coverAndPart()), { walkMinutes: -1 })).toThrow('setting.walkMinutes')
    expect(() => planJob(expandPack(coverAndPart()), { toolMinutes: NaN })).toThrow('setting.toolMinutes')
  })
})

describe('whyHere', () => {
  const procedure = expandPack(coverAndPart())
  const plan = planJob(procedure)
  it('names what comes before and after with the sentences', () => {
    const why = whyHere(procedure, plan, 'part-off')!
    expect(why.after.map(reason => reason.because)).toEqual(['cover-off is in the way of part-off'])
    expect(why.before.map(reason => reason.stepId)).toContain('look')
  })
  it('explains bringing the car up', () => {
    expect(whyHere(procedure, plan, 'raise-1')!.placement).toContain('car up')
  })
  it('knows no step that the plan does not hold', () => {
    expect(whyHere(procedure, plan, 'nowhere')).toBeNull()
  })
})

it('finds the links an order breaks', () => {
  const { links } = expandPack(coverAndPart())
  expect(brokenLinks(['part-off', 'cover-off'], links).map(each => each.because)).toEqual([
    'cover-off is in the way of part-off',
  ])
  expect(brokenLinks(['cover-off', 'part-off'], links)).toEqual([])
})
