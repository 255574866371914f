import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { job, packs, sequence } from '../../core'
import type { JobEvent } from '../../core/job'
import { shelf } from '../support/packs'

const cases = [...shelf.packs.values()].flatMap(pack => packs.optionCombinations(pack).map(options => ({
  name: `${pack.id} ${Object.values(options).join(' ')}`, pack, options,
})))

/** A random order that respects every link. */
function someOrder(procedure: packs.Procedure, pick: () => number): packs.Operation[] {
  const missing = new Map(procedure.operations.map(operation => [operation.id, procedure.links.filter(link => link.after === operation.id).length]))
  const left = [...procedure.operations]
  const order: packs.Operation[] = []
  while (left.length > 0) {
    const ready = left.filter(operation => missing.get(operation.id) === 0)
    const next = ready[Math.floor(pick() * ready.length)]!
    left.splice(left.indexOf(next), 1)
    order.push(next)
    for (const link of procedure.links) if (link.before === next.id) missing.set(link.after, missing.get(link.after)! - 1)
  }
  return order
}

/** Walks an order and checks what may never be otherwise. */
function walk(procedure: packs.Procedure, order: packs.Operation[]) {
  const ledger = new Map<string, number>()
  const facts = new Set(procedure.facts.filter(fact => fact.initially).map(fact => fact.id))
  for (const operation of order) {
    for (const need of operation.needs) expect(facts, `${operation.id} needs ${need}`).toContain(need)
    for (const fact of procedure.facts) {
      if (fact.carStays && facts.has(fact.id) && operation.car !== 'either') expect(operation.car, `${operation.id} while ${fact.id}`).toBe(fact.carStays)
    }
    for (const [item, count] of Object.entries(operation.takesOff)) ledger.set(item, (ledger.get(item) ?? 0) + count)
    for (const [item, count] of Object.entries(operation.putsBack)) {
      ledger.set(item, (ledger.get(item) ?? 0) - count)
      expect(ledger.get(item), `${operation.id} puts back ${item}`).toBeGreaterThanOrEqual(0)
    }
    for (const fact of operation.ends) facts.delete(fact)
    for (const fact of operation.gives) facts.add(fact)
  }
  expect([...ledger].filter(([, count]) => count !== 0)).toEqual([])
}

describe.each(cases)('$name', ({ pack, options }) => {
  const procedure = packs.expandPack(pack, options)
  const plan = sequence.planJob(procedure, { helper: options.helper === 'helper' })
  const operationOrder = plan.order.filter(id => procedure.operations.some(operation => operation.id === id))
  const at = (id: string) => plan.order.indexOf(id)

  it('conserves the ledger and keeps every fact in any order that respects the links', () => {
    fc.assert(fc.property(fc.infiniteStream(fc.double({ min: 0, max: 0.999999, noNaN: true })), (stream) => {
      walk(procedure, someOrder(procedure, () => stream.next().value))
    }), { numRuns: 12 })
  })

  it('is planned with every link respected and every operation once', () => {
    expect(sequence.brokenLinks(plan.order, procedure.links)).toEqual([])
    expect([...operationOrder].sort()).toEqual(procedure.operations.map(operation => operation.id).sort())
    walk(procedure, operationOrder.map(id => procedure.operations.find(operation => operation.id === id)!))
  })

  it('keeps to the waits of its links', () => {
    const steps = new Map(plan.steps.map(step => [step.id, step]))
    for (const link of procedure.links) {
      expect(steps.get(link.after)!.startMinutes + 1e-6).toBeGreaterThanOrEqual(steps.get(link.before)!.finishMinutes + link.waitMinutes)
    }
  })

  it('changes place less often, and is done sooner, than as it is written down', () => {
    expect(plan.totals.placeChanges).toBeLessThan(plan.authored.placeChanges)
    expect(plan.totals.minutes).toBeLessThan(plan.authored.minutes)
  })

  it('can be worked off in its order without a refusal, and ends with the ledger at zero', () => {
    const log: JobEvent[] = []
    const write = (type: JobEvent['type'], payload: unknown) => {
      const event = { id: String(log.length), jobId: 'j', seq: log.length + 1, deviceId: 'd', deviceTime: '2026-03-02T08:00:00.000Z', personId: 'p', type, payload } as JobEvent
      expect(job.admit(job.reduceJob(log), event, log), JSON.stringify(payload)).toBeNull()
      log.push(event)
    }
    const bare = { ...procedure, operations: procedure.operations.map(operation => ({ ...operation, readings: [], activity: undefined })) }
    write('job-opened', { number: 1, vehicle: { gears: ['1', 'R'] }, complaint: { symptoms: [], text: '' }, pumpTest: { result: 'not-done', strokes: null }, odometerKm: null })
    write('plan-made', { procedure: bare, plan })
    for (const stepId of plan.order) write('step-done', { stepId })
    expect(job.reduceJob(log).ledger).toEqual({})
    write('handed-over', { to: 'Somebody', odometerKm: null })
  })

  /** Facts of the trade: common practice, no source. */
  describe('holds to the trade', () => {
    it('holds the engine before either mount goes', () => {
      expect(at('hold-engine')).toBeLessThan(Math.min(at('stabiliser-off'), at('gearbox-mount-off')))
      expect(at('hold-engine.refit')).toBeGreaterThan(Math.max(at('stabiliser-off.refit'), at('gearbox-mount-off.refit')))
    })
    it('takes the lowest bell bolts before the stabiliser', () => {
      expect(at('lowest-bell-bolts')).toBeLessThan(at('stabiliser-off'))
    })
    it('leaves two bell bolts to the last, with the box strapped', () => {
      expect(at('last-bell-bolts')).toBeGreaterThan(Math.max(at('upper-bell-bolts'), at('lowest-bell-bolts'), at('box-jack-under')))
      expect(at('pull-box')).toBe(at('last-bell-bolts') + 1)
    })
    it('takes no pedal stroke while the slave is off', () => {
      const off = options.slave === 'aside' ? 'slave-aside' : 'slave-line-off'
      const on = options.slave === 'aside' ? 'slave-aside.refit' : 'slave-line-off.refit'
      const strokes = procedure.operations.filter(operation => operation.needs.includes('slave-home')).map(operation => at(operation.id))
      expect(strokes.length).toBeGreaterThan(3)
      for (const stroke of strokes) expect(stroke > at(off) && stroke < at(on)).toBe(false)
    })
    it('tightens the mounts for good after all are started and the beam is off', () => {
      expect(at('mounts-final')).toBeGreaterThan(Math.max(at('gearbox-mount-off.refit'), at('stabiliser-off.refit'), at('hold-engine.refit')))
    })
    it('takes the battery off before the starter cables and connects it after them', () => {
      expect(at('battery-off')).toBeLessThan(at('starter-cables-off'))
      expect(at('battery-off.refit')).toBeGreaterThan(at('starter-cables-off.refit'))
    })
    it('wets the bell before the clutch comes off, and brushes before the clean disc goes in', () => {
      expect(at('wet-bell')).toBeLessThan(at('clutch-off'))
      expect(at('dowels-clean')).toBeLessThan(at('disc-set'))
    })
    it('drains before the shafts, fills after them', () => {
      expect(at('drain-box')).toBeLessThan(at('near-shaft-out'))
      expect(at('fill-box')).toBeGreaterThan(at('near-shaft-out.refit'))
    })
    it('cracks wheels and hub nuts on the ground and sets them there', () => {
      for (const id of ['crack-wheel-bolts', 'crack-hub-nuts', 'torque-wheels', 'torque-hub-nuts']) {
        expect(plan.steps.find(step => step.id === id)!.car).toBe('ground')
      }
    })
    it('puts nobody under a car that is not raised, nor into one that is', () => {
      for (const step of plan.steps) {
        if (step.place === 'under') expect(step.car).toBe('raised')
        if (step.place === 'cab') expect(step.car).toBe('ground')
      }
    })
    it('bleeds only what was opened', () => {
      expect(at('bleed-clutch') >= 0).toBe(options.slave === 'opened')
    })
  })
})
