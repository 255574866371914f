import { within } from '../base/field-error'
import type { ThreePoint } from '../pack/kinds'
import type { Procedure } from '../pack/pack'
import { positionTo } from '../pack/bay'
import type { Calendar } from './calendar'
import { seededRandom } from '../base/random'
import { runner } from './run-through'
import { minutesUnder } from './slower'
import { checkEstimate, drawer } from './three-point'
import type { PlanSetting, PlannedStep } from './types'

/** One step of a run through the work: set-up as planned, work by its estimate, and what it has to wait for. */
export interface TimedStep {
  setupMinutes: number
  estimate: ThreePoint
  /** Places in the list of earlier steps that it waits for, and how long after them. */
  waits: { after: number; minutes: number }[]
  /** The earliest minute at which it may start. */
  notBefore: number
}

/** When the work may be finished: minutes from the start of the run, sorted, one for each draw. */
export type FinishTimes = Float64Array

const DRAWS = 10_000

/**
 * Runs through the steps in their order many times, each time with other durations drawn from the estimates.
 * Same steps, same seed: same result.
 * @param calendar working hours whose minute 0 is the start of the run; `null` counts straight through
 * @returns finish minutes in rising order
 * @throws FieldError on a time that cannot be
 */
export function finishTimes(
  steps: TimedStep[],
  calendar: Calendar | null,
  { draws = DRAWS, seed = 1 } = {},
): FinishTimes {
  checkSteps(steps)
  within('draws', draws, 1, 1_000_000, 'How many are drawn')
  const random = seededRandom(seed)
  const draw = steps.map(step => drawer(step.estimate))
  const run = runner(steps, calendar)
  const result = new Float64Array(draws)
  for (let round = 0; round < draws; round++) result[round] = run(index => draw[index]!(random()))
  return result.sort()
}

/** @throws FieldError on the first step that no run can go through */
export function checkSteps(steps: readonly TimedStep[]): void {
  steps.forEach(({ setupMinutes, estimate, notBefore, waits }, index) => {
    const path = `steps[${index}]`
    within(`${path}.setupMinutes`, setupMinutes, 0, 1e6, 'Getting ready in minutes')
    within(`${path}.notBefore`, notBefore, -1e8, 1e8, 'The earliest minute')
    checkEstimate(estimate, `${path}.estimate`)
    for (const [at, { minutes }] of waits.entries())
      within(`${path}.waits[${at}].minutes`, minutes, -1e8, 1e8, 'A wait')
  })
}

/** The minute by which the work is finished in a share of the draws. */
export function finishBy(times: FinishTimes, share: number): number {
  if (times.length === 0) return 0
  return times[Math.min(times.length - 1, Math.max(0, Math.ceil(share * times.length) - 1))]!
}

/** The share of draws in which the work is finished by a minute. */
export function oddsBy(times: FinishTimes, minutes: number): number {
  let low = 0
  let high = times.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (times[middle]! <= minutes) low = middle + 1
    else high = middle
  }
  return times.length === 0 ? 1 : low / times.length
}

/**
 * What is left of a plan as steps to run through; waits that began with steps done already are counted from now.
 * @param left the planned steps not yet done, in their order
 * @param doneMinutesAgo step id → minutes since it was done
 * @param arrivals part id → minutes from now until it is there
 */
export function stepsToRun(
  procedure: Procedure,
  setting: PlanSetting,
  left: PlannedStep[],
  doneMinutesAgo: Map<string, number>,
  arrivals: Map<string, number>,
): TimedStep[] {
  const place = new Map(left.map((step, index) => [step.id, index]))
  const operations = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const waits = procedure.links.filter(link => link.waitMinutes > 0)
  return left.map((step): TimedStep => {
    const operation = operations.get(step.id)
    if (!operation) {
      return {
        setupMinutes: 0,
        estimate: positionTo(procedure, step.kind === 'raise' ? 'away' : 'home').minutes,
        waits: [],
        notBefore: 0,
      }
    }
    const into = waits.filter(link => link.after === step.id)
    const running = into
      .filter(link => doneMinutesAgo.has(link.before))
      .map(link => link.waitMinutes - doneMinutesAgo.get(link.before)!)
    const parts = Object.keys(operation.parts).map(part => arrivals.get(part) ?? 0)
    const [low, likely, high] = minutesUnder(procedure, operation, setting)
    return {
      setupMinutes: step.setupMinutes,
      // One pair of hands at work for two takes the long estimate, and half as long again at worst. Common practice, no source.
      estimate: step.shortHanded ? [likely, high, high * 1.5] : [low, likely, high],
      waits: into.flatMap(link =>
        place.has(link.before) ? [{ after: place.get(link.before)!, minutes: link.waitMinutes }] : [],
      ),
      notBefore: Math.max(0, ...running, ...parts),
    }
  })
}
