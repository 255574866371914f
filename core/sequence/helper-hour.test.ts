import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { expandPack } from '../packs'
import { aloneCosts, helperHour } from './helper-hour'
import { operationOrder } from './move-step'
import { planJob } from './plan-job'

const two = (id: string, minutes: [number, number, number]) =>
  operation(id, { minutes, hands: 2, aloneWay: 'A strap.' })
const procedure = expandPack(
  smallPack({
    items: [],
    operations: [
      operation('a', { minutes: [20, 60, 90] }),
      two('lift', [5, 10, 40]),
      two('turn', [2, 5, 15]),
      operation('b', { minutes: [40, 100, 120] }),
      two('hold', [2, 4, 6]),
    ],
    links: ['a lift', 'lift turn', 'turn b', 'b hold'].map(pair => {
      const [before, after] = pair.split(' ') as [string, string]
      return link(before, after, { mirror: false })
    }),
  }),
)

describe('a second pair of hands', () => {
  const plan = planJob(procedure)
  it('is missed most where alone takes longest', () => {
    expect(aloneCosts(procedure, plan, new Set()).map(({ stepId, minutes }) => [stepId, minutes])).toEqual([
      ['lift', 30],
      ['turn', 10],
      ['hold', 2],
    ])
    expect(aloneCosts(procedure, plan, new Set(['lift'])).map(({ stepId }) => stepId)).toEqual(['turn', 'hold'])
    expect(aloneCosts(procedure, planJob(procedure, { helper: true }), new Set())).toEqual([])
  })
  it('comes when the most of such work lies together, and saves what the plan then says', () => {
    const hour = helperHour(procedure, {}, operationOrder(plan))!
    expect(hour.savedMinutes).toBeCloseTo(40, 6)
    const start = plan.steps.find(step => step.id === 'lift')!.startMinutes
    expect(hour.fromMinutes).toBeCloseTo(start, 6)
    const planned = planJob(procedure, { helperWindow: hour })
    expect(plan.totals.minutes - planned.totals.minutes).toBeCloseTo(hour.savedMinutes, 6)
  })
  it('is not called where nobody is missed', () => {
    const order = operationOrder(plan)
    expect(helperHour(procedure, { helper: true }, order)).toBeNull()
    expect(helperHour(procedure, {}, order, { steps: plan.steps, place: 'top', car: 'ground' })).toBeNull()
  })
  it('comes in working hours, and to what is left', () => {
    const hours = { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] }
    const setting = { hours, startMinuteOfDay: 400, startWeekday: 1 }
    const order = operationOrder(plan)
    const past = { steps: plan.steps.slice(0, 1), place: 'top', car: 'ground' }
    const hour = helperHour(procedure, setting, order, past)!
    expect(hour.savedMinutes).toBeCloseTo(40, 6)
    expect(400 + hour.fromMinutes).toBeGreaterThanOrEqual(480)
  })
})
