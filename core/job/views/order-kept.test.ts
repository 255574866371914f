import { expect, it } from 'vitest'
import { expandPack } from '../../packs'
import { link, operation, smallPack, sealOption } from '../../../tests/support/small-pack'
import { TestLog } from '../../../tests/support/job-log'
import { orderKept } from './order-kept'
import { switchAsked } from './plan-asked'

const pack = {
  ...smallPack({
    operations: [
      operation('open'),
      operation('look'),
      operation('far', { place: 'wheels' }),
      operation('close'),
      operation('seal-out', { when: [{ seal: ['renewed'] }] }),
      operation('seal-in', { when: [{ seal: ['renewed'] }] }),
    ],
    links: [
      link('open', 'look'),
      link('look', 'close'),
      link('far', 'close'),
      link('look', 'seal-out'),
      link('seal-out', 'seal-in'),
      link('seal-in', 'close'),
    ],
  }),
  options: [sealOption],
}
const clock = { at: '2026-03-02T09:00:00.000Z', utcOffsetMinutes: 0 }

it('puts new work into the order a job is in, and takes away what is gone', () => {
  const log = TestLog.open(pack).done('open')
  const { state } = log
  const before = state.plan!.order.filter(id => ['look', 'far', 'close'].includes(id))
  const work = expandPack(pack, { seal: 'renewed' })
  const order = orderKept(state, work, switchAsked(state, work, state.circumstances, clock))!
  expect(order.filter(id => before.includes(id))).toEqual(before)
  expect(order.filter(id => !before.includes(id))).toEqual(['seal-out', 'seal-in'])
  expect(order.indexOf('seal-out')).toBeGreaterThan(order.indexOf('look'))
  expect(order.at(-1)).toBe('close')
  const without = expandPack(pack)
  expect(orderKept(state, without, switchAsked(state, without, state.circumstances, clock))).toEqual(before)
})

it('gives way where the order cannot be kept', () => {
  const { state } = TestLog.open(pack).done('open')
  const work = expandPack(pack, { seal: 'renewed' })
  // The other way wants the two the other way round.
  const turned = { ...work, links: [...work.links, { ...work.links[0]!, before: 'close', after: 'seal-out' }] }
  expect(orderKept(state, turned, switchAsked(state, turned, state.circumstances, clock))).toBeNull()
})
