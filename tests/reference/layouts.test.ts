import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { job, packs, sequence } from '../../core'
import type { JobEvent } from '../../core/job'
import { someOrder, whatGoesWrong } from '../support/any-order'
import { drawn } from '../support/drawn'
import { everyChoice, pairwise } from '../support/pairwise'
import { shelf } from '../support/packs'

/** For every combination (`npm run prove:layouts`). */
const LONG_MS = 3_600_000

/** A stream of numbers from 0 up to 1 that is the same every time. */
function numbers(seed: number): () => number {
  let state = seed
  return () => (state = (state * 16807) % 2147483647) / 2147483647
}

/** Planned and worked off step by step is every pair of choices in the long proof, and every choice here; the safety of every pair is held by `orders.test.ts`. */
const combinations = process.env.ELDRIN_LONG ? pairwise : everyChoice

describe.each([...shelf.packs.values()])('$id', pack => {
  const share = drawn(pack)
  // A box that stays in the car is half the work.
  const leastOperations = pack.bench.mating ? 70 : 45

  it(
    `conserves the ledger and keeps every fact under ${share.length} combinations of options that are unlike each other`,
    () => {
      const pick = numbers(pack.id.length * 7919)
      const operationCounts: number[] = []
      for (const options of share) {
        const procedure = packs.expandPack(pack, options)
        operationCounts.push(procedure.operations.length)
        for (const order of [procedure.operations, someOrder(procedure, pick)]) {
          const wrong = whatGoesWrong(procedure, order)
          if (wrong.length > 0) expect.fail(`${JSON.stringify(options)}: ${wrong.join('; ')}`)
        }
      }
      expect(Math.min(...operationCounts)).toBeGreaterThanOrEqual(leastOperations)
      expect(Math.max(...operationCounts)).toBeLessThanOrEqual(210)
    },
    LONG_MS,
  )

  it('has between 70 and 150 operations, or 45 where the box stays in the car, with its default options, bar what an option adds', () => {
    const { operations } = packs.expandPack(pack)
    expect(operations.length).toBeGreaterThanOrEqual(leastOperations)
    expect(operations.length).toBeLessThanOrEqual(150)
    expect(new Set(operations.map(operation => operation.phase))).toEqual(new Set(packs.phases))
  })

  it('is done sooner than as it is written down by at least 15 in 100 of its set-up time', () => {
    const { totals, authored } = sequence.planJob(packs.expandPack(pack))
    expect(authored.minutes - totals.minutes).toBeGreaterThan(authored.setupMinutes * 0.15)
    // A wait is sometimes filled at the price of a walk or a raise.
    expect(totals.setupMinutes + totals.waitMinutes).toBeLessThan((authored.setupMinutes + authored.waitMinutes) * 0.9)
  })

  it('says why for every link, and names the way out for one wherever two are wanted', () => {
    const procedure = packs.expandPack(pack)
    for (const link of procedure.links)
      expect(link.because.length, `${link.before} → ${link.after}`).toBeGreaterThan(10)
    for (const operation of procedure.operations)
      if (operation.hands === 2) expect(operation.aloneWay, operation.id).toBeTruthy()
  })

  describe.each(combinations(pack))('with $options', ({ options }) => {
    const procedure = packs.expandPack(pack, options)
    const plan = sequence.planJob(procedure, { helper: procedure.hands === 2 }, { effort: { moves: 4_000 } })
    const at = (id: string) => plan.order.indexOf(id)
    const has = (id: string) => at(id) >= 0
    const before = (one: string, other: string) => {
      if (has(one) && has(other)) expect(at(one), `${one} before ${other}`).toBeLessThan(at(other))
    }

    it('holds in any order that respects the links', () => {
      fc.assert(
        fc.property(fc.infiniteStream(fc.double({ min: 0, max: 0.999999, noNaN: true })), stream => {
          expect(
            whatGoesWrong(
              procedure,
              someOrder(procedure, () => stream.next().value),
            ),
          ).toEqual([])
        }),
        { numRuns: 8 },
      )
    })

    it('is planned with every link, wait and "at once" respected, sooner than as it is written down', () => {
      expect(sequence.brokenLinks(plan.order, procedure.links)).toEqual([])
      const operations = sequence.operationOrder(plan)
      expect([...operations].sort()).toEqual(procedure.operations.map(operation => operation.id).sort())
      expect(
        whatGoesWrong(
          procedure,
          operations.map(id => procedure.operations.find(operation => operation.id === id)!),
        ),
      ).toEqual([])
      const steps = new Map(plan.steps.map(step => [step.id, step]))
      for (const link of procedure.links) {
        expect(steps.get(link.after)!.startMinutes + 1e-6).toBeGreaterThanOrEqual(
          steps.get(link.before)!.finishMinutes + link.waitMinutes,
        )
        if (link.atOnce) expect(operations.indexOf(link.after)).toBe(operations.indexOf(link.before) + 1)
      }
      expect(plan.totals.minutes).toBeLessThan(plan.authored.minutes)
      // What is not work: walking, lifting, tools, and idle waits, which may be filled at the price of a walk.
      const idle = ({ setupMinutes, waitMinutes }: sequence.PlanTotals) => setupMinutes + waitMinutes
      // A day at the box shop is longer than all the work there is to fill it.
      if (!has('box-to-shop') && !has('body-sent') && !has('transaxle-sent'))
        expect(idle(plan.totals)).toBeLessThan(idle(plan.authored) * 0.85)
      expect(plan.lowerBoundMinutes).toBeLessThanOrEqual(plan.totals.minutes + 1e-6)
    })

    it('can be worked off in its order without a refusal, and ends with the ledger at zero', () => {
      const bare = {
        ...procedure,
        operations: procedure.operations.map(operation => ({ ...operation, readings: [], activity: undefined })),
      }
      let seq = 0
      const event = (type: JobEvent['type'], payload: unknown) =>
        ({
          id: String(++seq),
          jobId: 'j',
          seq,
          deviceId: 'd',
          deviceTime: '2026-03-02T08:00:00.000Z',
          personId: 'p',
          type,
          payload,
        }) as JobEvent
      const log = [
        event('job-opened', {
          number: 1,
          vehicle: { gears: ['1', 'R'] },
          complaint: { symptoms: [], text: '' },
          pumpTest: { result: 'not-done', strokes: null },
          odometerKm: null,
        }),
        event('plan-made', { procedure: bare, plan }),
      ]
      const state = job.reduceJob(log)
      // What safety asks for: figures with their source.
      for (const group of procedure.groups)
        job.applyEvent(
          state,
          event('figure-named', {
            group: group.id,
            torqueNm: 40,
            sourceKind: 'vehicle-book',
            reference: 'Book, page 1',
          }),
        )
      for (const stepId of plan.order) {
        const unread = job.cautionsToRead(state, stepId).map(caution => caution.id)
        if (unread.length > 0) job.applyEvent(state, event('caution-acknowledged', { cautionIds: unread }))
        for (const { item } of job.newPartsOf(state, stepId))
          job.applyEvent(state, event('entry-replaced', { itemId: item.id, by: 'New' }))
        const done = event('step-done', { stepId })
        expect(job.admit(state, done, log), stepId).toBeNull()
        job.applyEvent(state, done)
        // A run sets its bolts one by one; here it has just gone round.
        const { activity } = procedure.operations.find(operation => operation.id === stepId) ?? {}
        if (activity?.kind === 'tighten')
          job.applyEvent(
            state,
            event('bolts-in', {
              group: activity.group,
              boltIds: state.boards[activity.group]!.bolts.map(bolt => bolt.id),
              stand: 'figure',
            }),
          )
        // Whatever is off: what carries the weight carries all of it, and nothing swings on its supports.
        for (const { bodyId, loads, masses, swings } of job.carryingNow(state)) {
          expect(swings, `${bodyId} after ${stepId}`).toBe(false)
          expect(
            loads.reduce((sum, load) => sum + load.kg[1] * load.pieces, 0),
            `${bodyId} after ${stepId}`,
          ).toBeCloseTo(
            masses.reduce((sum, mass) => sum + mass.kg[1], 0),
            6,
          )
        }
      }
      expect(state.ledger).toEqual({})
      // Every bolt that was touched stands at its figure.
      for (const { group, counts } of job.groupStands(state))
        expect([group.id, counts.out + counts.started + counts.snug + counts.feel]).toEqual([group.id, 0])
      for (const check of procedure.closing ?? [])
        if (check.kind === 'hand')
          job.applyEvent(state, event('check-made', { checkId: check.id, good: true, note: '' }) as never)
      expect(job.admit(state, event('handed-over', { to: 'Somebody', odometerKm: null }), log)).toBeNull()
    })

    /** Facts of the trade: common practice, no source. */
    it('holds to the trade', () => {
      // Reaction and access round the bell.
      before('upper-bolts-cracked', 'rear-mount-off')
      before('rear-mount-off', 'tail-lowered')
      before('tail-lowered', has('tail-lowered') ? 'upper-bell-bolts' : '')
      before('lowest-bell-bolts', 'stabiliser-off')
      before('starter-out', has('tail-lowered') ? 'lowest-bell-bolts' : 'upper-bell-bolts')
      for (const first of ['upper-bell-bolts', 'lowest-bell-bolts', 'box-jack-under']) before(first, 'last-bell-bolts')
      before('last-bell-bolts', 'pull-box')
      // Weight.
      const around = ['stabiliser-off', 'subframe-down']
      const inTheWay = has('subframe-down') && has('hold-engine-below')
      for (const mount of ['gearbox-mount-off', 'rear-mount-off', ...(inTheWay ? [] : around)]) {
        for (const support of ['hold-engine', 'hold-engine-below']) before(support, mount)
        for (const support of ['hold-engine.refit', 'hold-engine-below.refit']) before(`${mount}.refit`, support)
      }
      // A support under the sump stands where the frame comes down; until then both upper mounts carry.
      if (inTheWay) for (const low of around) before(low, 'hold-engine-below')
      if (inTheWay) for (const low of around) before('hold-engine-below.refit', `${low}.refit`)
      before('case-off', 'rear-mount-off')
      before('case-jack-under', 'case-nuts-off')
      before('rear-mount-off.refit', 'box-jack-under.refit')
      for (const mount of ['gearbox-mount-off.refit', 'stabiliser-off.refit', 'rear-mount-off.refit'])
        before(mount, 'mounts-final')
      for (const support of ['hold-engine.refit', 'hold-engine-below.refit']) before(support, 'mounts-final')
      // Pedal.
      const strokes = procedure.operations
        .filter(operation => operation.needs.includes('slave-home'))
        .map(operation => operation.id)
      const off = ['slave-aside', 'slave-line-off', 'bell-line-off', 'clutch-rod-off'].find(has)
      const home = [
        'slave-aside.refit',
        'slave-line-off.refit',
        'bell-line-off.refit',
        'clutch-rod-off.refit',
        'new-slave-on',
      ].find(has)!
      expect(strokes.length > 2).toBe(pack.modules.some(({ facts }) => facts.some(({ id }) => id === 'slave-home')))
      for (const stroke of strokes)
        expect(at(stroke) > at(home) || (off !== undefined && at(stroke) < at(off)), stroke).toBe(true)
      before('upper-bell-bolts.refit', 'pedal-proof')
      before('lowest-bell-bolts.refit', 'pedal-proof')
      // Converter, fluid, lever.
      before('converter-bolts-out', 'converter-pushed-back')
      before('converter-pushed-back', 'last-bell-bolts')
      before('converter-off.refit', 'seat-measured')
      before('seat-measured', 'pull-box.refit')
      for (const bolts of ['last-bell-bolts.refit', 'bell-torqued']) before(bolts, 'converter-bolts-out.refit')
      before('converter-set', 'engine-turned')
      before('engine-turned', 'battery-off.refit')
      before('filler-opened', 'fluid-drain')
      before('fluid-fill', 'ready-to-run')
      before('cooler-flushed', 'cooler-lines-off.refit')
      before('park-proved', 'positions-running')
      for (const level of ['level-overflow', 'level-dipstick']) {
        before('positions-running', level)
        before(level, 'road-test')
      }
      before('codes-before', 'battery-off')
      before('road-test', 'codes-after')
      // Ways in.
      before('inner-joints-off', 'box-jack-under')
      before('struts-part', 'near-shaft-out')
      if (options['inner-joint'] === 'unbolted')
        for (const id of ['near-shaft-out', 'hub-nuts-off', 'hub-nut-off', 'crack-hub-nuts', 'crack-hub-nut'])
          expect(has(id), id).toBe(false)
      if (has('starter-tied')) expect(at('starter-tied')).toBe(at('starter-out') + 1)
      before('battery-off', 'starter-out')
      before('gearbox-mount-off', 'engine-end-lowered')
      before('engine-end-lowered', 'pull-box')
      before('engine-end-lowered.refit', 'gearbox-mount-off.refit')
      for (const clean of ['face-washed', 'cover-washed']) before(clean, 'disc-set')
      before('face-dressed', 'face-washed')
      expect([has('cover-caged'), has('cover-caged-new')]).toEqual([
        options['old-cover'] === 'self-adjusting',
        options.cover === 'self-adjusting',
      ])
      // What is renewed while it is open.
      before('guide-off', 'input-seal-out')
      before('input-seal-in', 'guide-off.refit')
      before('shaft-seals-look', 'axle-seals-out')
      before('output-flange-off', 'output-seal-out')
      for (const inside of ['axle-seals-in', 'output-seal-in', 'input-seal-in', 'selector-seal-in', 'dowels-in'])
        before(inside, 'pull-box.refit')
      for (const dusty of ['dowels-out', 'cam-plug-in', 'seal-carrier-scraped']) before(dusty, 'disc-set')
      before('pedal-blocked', 'master-out')
      for (const bled of ['bleed-clutch', 'bleed-two', 'bleed-vacuum', 'bleed-pressure', 'bleed-reverse'])
        before('master-out.refit', bled)
      before('flex-disc-off.refit', 'prop-out.refit')
      // Battery, dirt, openings.
      before('battery-off', 'starter-cables-off')
      before('starter-cables-off.refit', 'battery-off.refit')
      before('battery-off', 'steering-pinch-out')
      before('wet-bell', 'clutch-off')
      before('dowels-clean', 'disc-set')
      before('drain-box', 'near-shaft-out')
      before('drain-box', 'prop-out')
      for (const cut of ['floor-cut', 'bulkhead-drilled'])
        for (const clean of ['disc-set', 'fork-bearing-in', 'cover-tighten']) before(cut, clean)
      if (has('shifter-hole-covered')) expect(at('shifter-hole-covered')).toBe(at('shifter-out') + 1)
      if (has('tail-plugged')) expect(at('tail-plugged')).toBe(at('prop-out') + 1)
      // Car and place.
      for (const id of [
        'crack-wheel-bolts',
        'crack-hub-nuts',
        'crack-hub-nut',
        'torque-wheels',
        'torque-hub-nuts',
        'torque-hub-nut',
      ])
        if (has(id)) expect(plan.steps.find(step => step.id === id)!.car).toBe('ground')
      for (const step of plan.steps) {
        if (step.place === 'under') expect(step.car).toBe('raised')
        if (step.place === 'cab') expect(step.car).toBe('ground')
      }
      // Locks and looks.
      before('flywheel-locked', 'clutch-off')
      before('flywheel-locked-new', 'flywheel-tighten')
      before('lock-away', 'pull-box.refit')
      before('crossmember-marked', 'rear-mount-off')
      before('prop-marked', 'prop-out')
      before('pilot-measured', 'pilot-out')
      before('bolts-graded', 'last-bell-bolts.refit')
    })

    // Common practice, no source: a seal drawn by itself leaves its carrier, and the sump joint under it, alone.
    const how = options['crank-seal']
    if (how !== undefined)
      it('renews the crank seal by itself or with its carrier, never both, and never behind a flywheel that is on', () => {
        const isOff = (item: string) => procedure.operations.some(({ takesOff }) => item in takesOff)
        expect([isOff('crank-seal-hole'), isOff('seal-carrier')]).toEqual([how !== 'left', how === 'renewed'])
        if (how === 'alone') {
          before('flywheel-off', 'crank-seal-drawn')
          before('crank-seal-driven', 'flywheel-tighten')
        }
      })

    // With the flywheel at the machine shop there is time to spare, and nothing has to be filled.
    if (has('seal-carrier-tighten') && !has('flywheel-to-shop') && !has('box-to-shop'))
      it('fills the cure of the sealant with other work', () => {
        const cure = plan.steps.slice(at('crank-seal-in') + 1, at('seal-carrier-tighten'))
        expect(cure.length).toBeGreaterThan(1)
        expect(plan.steps[at('seal-carrier-tighten')]!.waitMinutes).toBeLessThan(45)
      })
  })
})
