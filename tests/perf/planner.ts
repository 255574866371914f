/**
 * The planner measured. For each layout: the order as it is written down, greedy and optimised minutes, the lower bound, the gap,
 * and the time to a first and to the final answer. For random small jobs: the optimum of `highs` on the same problem,
 * and how many times faster the solver is. For the finish time: 10 000 draws.
 */
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import highs from 'highs'
import { sequence } from '../../core'
import { expandPack } from '../../core/packs'
import { greedyOrder } from '../../core/sequence/greedy-order'
import { durationOf } from '../../core/sequence/clock'
import { jobInstance } from '../../core/sequence/job-instance'
import { loadPacks } from '../../server/load-packs'
import { asIntegerProgramme, jobs } from '../reference/solver-truth'

const RUNS = 5
const SMALL_JOBS = 12
const { packs } = loadPacks(fileURLToPath(new URL('../../packs', import.meta.url)))
const middle = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!
function timed<T>(work: () => T): { value: T; ms: number } {
  const start = performance.now()
  const value = work()
  return { value, ms: performance.now() - start }
}

console.log(
  'layout             steps  written  greedy  planned  bound   gap    set-up written → planned   first ms  final ms',
)
for (const pack of packs.values()) {
  const procedure = expandPack(pack)
  const { instance } = jobInstance(procedure, sequence.defaultSetting, null)
  const first: number[] = []
  const final: number[] = []
  let plan = sequence.planJob(procedure)
  let greedy = 0
  for (let run = 0; run < RUNS; run++) {
    const quick = timed(() => durationOf(instance, greedyOrder(instance)))
    greedy = quick.value
    first.push(quick.ms)
    const whole = timed(() => sequence.planJob(procedure))
    plan = whole.value
    final.push(whole.ms)
  }
  const { totals, authored } = plan
  console.log(
    [
      pack.id.padEnd(18),
      String(procedure.operations.length).padStart(5),
      authored.minutes.toFixed(0).padStart(8),
      greedy.toFixed(0).padStart(7),
      totals.minutes.toFixed(0).padStart(8),
      plan.lowerBoundMinutes.toFixed(0).padStart(6),
      `${((totals.minutes / plan.lowerBoundMinutes - 1) * 100).toFixed(1)} %`.padStart(7),
      `${authored.setupMinutes.toFixed(0)} → ${totals.setupMinutes.toFixed(0)} (−${(100 - (totals.setupMinutes / authored.setupMinutes) * 100).toFixed(0)} %)`.padStart(
        26,
      ),
      middle(first).toFixed(1).padStart(10),
      middle(final).toFixed(0).padStart(9),
    ].join(' '),
  )
}

console.log(`\nexact search on random jobs (${RUNS} each): steps, proven, slowest ms`)
for (const size of [10, 14, 18, 20]) {
  const problems = fc.sample(jobs({ min: size, max: size }), { numRuns: RUNS, seed: size })
  const results = problems.map(problem => timed(() => sequence.solve(problem)))
  console.log(
    `${String(size).padStart(3)} steps  ${results.filter(({ value }) => value.proven).length} of ${RUNS} proven  ${Math.max(...results.map(({ ms }) => ms)).toFixed(0)} ms`,
  )
}

console.log('\nproven, or a shorter order, by the search that goes on behind a plan')
for (const pack of packs.values()) {
  const procedure = expandPack(pack)
  const plan = sequence.planJob(procedure)
  const { value, ms } = timed(() =>
    sequence.provePlan(
      procedure,
      {},
      {
        order: sequence.operationOrder(plan),
        lowerBoundMinutes: plan.lowerBoundMinutes,
      },
    ),
  )
  const gap = (value.totals.minutes / value.lowerBoundMinutes - 1) * 100
  console.log(
    [
      pack.id.padEnd(24),
      `${plan.totals.minutes.toFixed(1)} → ${value.totals.minutes.toFixed(1)} min`.padStart(24),
      `bound ${plan.lowerBoundMinutes.toFixed(1)} → ${value.lowerBoundMinutes.toFixed(1)}`.padStart(28),
      (value.proven ? 'proven' : `${gap.toFixed(2)} %`).padStart(8),
      `${(ms / 1000).toFixed(1)} s`.padStart(8),
    ].join(' '),
  )
}

const solver = await highs()
let equal = 0
let ours = 0
let theirs = 0
for (const problem of fc.sample(jobs({ min: 4, max: 6 }), { numRuns: SMALL_JOBS, seed: 4711 })) {
  const own = timed(() => sequence.solve(problem))
  const reference = timed(() => solver.solve(asIntegerProgramme(problem), { mip_rel_gap: 0, mip_abs_gap: 1e-6 }))
  ours += own.ms
  theirs += reference.ms
  if (Math.abs(own.value.minutes - reference.value.ObjectiveValue) < 1e-4) equal++
}
console.log(
  `\nhighs on ${SMALL_JOBS} random jobs of up to 6 steps: ${equal} of ${SMALL_JOBS} equal, ${(theirs / ours).toFixed(0)} times as long (${theirs.toFixed(0)} ms against ${ours.toFixed(0)} ms)`,
)

const procedure = expandPack(packs.get('4x4-transfer')!)
const plan = sequence.planJob(procedure)
const steps = sequence.stepsToRun(procedure, plan.setting, plan.steps, new Map(), new Map())
const hours = {
  hours: { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] },
  startMinuteOfDay: 480,
  startWeekday: 1,
}
const draws = Array.from({ length: RUNS }, () => timed(() => sequence.finishTimes(steps, null)).ms)
const inHours = Array.from({ length: RUNS }, () => timed(() => sequence.finishTimes(steps, hours)).ms)
console.log(
  `\n10 000 draws of ${steps.length} steps: ${middle(draws).toFixed(0)} ms straight through, ${middle(inHours).toFixed(0)} ms in working hours`,
)
