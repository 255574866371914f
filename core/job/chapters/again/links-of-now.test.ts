import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { shelf } from '../../../../tests/support/packs'
import { link, operation, smallPack } from '../../../../tests/support/small-pack'
import { operationOrder } from '../../../sequence/move-step'
import { breachesAhead, comesApart } from '../..'

const mirrored = (title: string, more = {}) => ({ refit: { kind: 'mirror' as const, override: { title, ...more } } })
/** A seat that comes out on the ground, a jack that stands on the floor, a seal beside dowels that are brushed, a lamp. */
const pack = smallPack({
  items: [
    { id: 'seat', name: 'seat', state: 'off' },
    { id: 'jack', name: 'Jack', state: 'propped', foot: 'floor' },
    { id: 'hole', name: 'Seal out', state: 'open' },
    { id: 'lamp', name: 'lamp', state: 'off' },
  ],
  operations: [
    operation('seat-out', { car: 'ground', takesOff: { seat: 1 }, ...mirrored('Seat in') }),
    operation('jack-under', { car: 'raised', takesOff: { jack: 1 }, ...mirrored('Jack away') }),
    operation('base', { phase: 'bench', car: 'either' }),
    operation('dowels', { phase: 'bench', car: 'either', wantsShut: ['hole'] }),
    operation('seal-out', { car: 'either', takesOff: { hole: 1 }, ...mirrored('Seal in') }),
    operation('lamp-off', { car: 'either', takesOff: { lamp: 1 }, ...mirrored('Lamp on') }),
  ],
  links: [link('base', 'dowels', { mirror: false }), link('base', 'seal-out.refit', { mirror: false })],
})

/** What is left, in its order, once a step is done anew. */
function leftAfter(log: TestLog, stepId: string, told: { asItStands?: true }): string[] {
  log.add('apart-again', {
    againId: 'a1',
    stepId,
    because: 'It slipped',
    troubleId: null,
    ...comesApart(log.state, stepId),
    away: null,
    parts: [],
    at: '2026-03-03T09:00:00.000Z',
    utcOffsetMinutes: 0,
    ...told,
  })
  return operationOrder(log.state.plan!).filter(id => !log.state.done[id])
}
const breaches = ({ state }: TestLog) =>
  breachesAhead(
    state,
    operationOrder(state.plan!).filter(id => !state.done[id]),
  ).map(({ rule }) => rule)
const NOW = { asItStands: true } as const

describe('what comes apart once more while', () => {
  it.each([
    [
      'a jack stands on the floor waits for the jack to go',
      ['jack-under'],
      'seat-out.refit',
      'jack-under.refit',
      'a1.seat-out',
      'height',
    ],
    [
      'a seal is out waits for the seal to be in',
      ['base', 'dowels', 'seal-out'],
      'base',
      'seal-out.refit',
      'dowels',
      'shut',
    ],
  ] as const)('%s', (_, done, stepId, early, late, rule) => {
    const log = () => {
      const begun = TestLog.open(pack)
      const raised = begun.state.plan!.order.find(id => id.startsWith('raise'))!
      if (stepId === 'seat-out.refit') begun.done('seat-out', 'seat-out.refit', raised)
      return begun.done(...done)
    }
    const [now, before] = [log(), log()]
    const order = leftAfter(now, stepId, NOW)
    expect(order.indexOf(early)).toBeLessThan(order.indexOf(late))
    expect(breaches(now)).toEqual([])
    // As acts told before this was known read.
    leftAfter(before, stepId, {})
    expect(breaches(before)).toEqual([rule])
  })
  it('nothing stands as it should not is linked to nothing more', () => {
    const log = TestLog.open(pack).done('lamp-off', 'lamp-off.refit')
    const links = log.state.procedure!.links.length
    leftAfter(log, 'lamp-off.refit', NOW)
    const told = log.state.procedure!.links.length
    const other = TestLog.open(pack).done('lamp-off', 'lamp-off.refit')
    leftAfter(other, 'lamp-off.refit', {})
    expect(told).toBe(other.state.procedure!.links.length)
    expect(told).toBeGreaterThanOrEqual(links)
  })
})

it('a starter in a hand is tied up before anything else, but for what that waits for', () => {
  const log = TestLog.open(shelf.packs.get('fwd-transverse')!, { starter: 'aside' })
  const { order } = log.state.plan!
  log.done(...order.slice(0, order.indexOf('starter-tied.refit') + 1))
  const left = leftAfter(log, 'starter-tied.refit', NOW)
  const tied = left.indexOf('a1.starter-tied')
  expect(tied).toBeGreaterThanOrEqual(0)
  expect(log.state.procedure!.links).toContainEqual(
    expect.objectContaining({
      before: 'a1.starter-tied',
      because: expect.stringMatching(/^Starter hangs\. .* It is held before anything else is done\.$/),
    }),
  )
  expect(breachesAhead(log.state, left)).toEqual([])
})
