import { finishOdds } from '../../sequence/finish-odds'
import { stepsToRun } from '../../sequence/finish-times'
import { paceOnTop } from '../../sequence/own-pace'
import { stepMinutes } from '../../sequence/step-minutes'
import { troubleOdds } from '../../sequence/trouble-odds'
import type { Plan } from '../../sequence/types'
import type { Procedure } from '../../pack/pack'

const DRAWS = 2000
const known = new WeakMap<Plan, Map<number, number>>()

/**
 * How many times the planned minutes are enough in a share of cases: by what is drawn of car, person, steps and troubles. Idle waits are
 * nobody's work and are left out. The same plan and share give the same factor everywhere.
 * @param share from 0 to 1
 */
export function priceFactor(procedure: Procedure, plan: Plan, share: number): number {
  const factors = known.get(plan) ?? new Map<number, number>()
  known.set(plan, factors)
  const before = factors.get(share)
  if (before !== undefined) return before
  const planned = plan.steps.reduce((sum, step) => sum + stepMinutes(step) + step.setupMinutes, 0)
  const steps = stepsToRun(procedure, plan.setting, plan.steps, new Map(), new Map()).map(step => ({
    ...step,
    waits: [],
    notBefore: 0,
  }))
  const { pace } = procedure
  const work = procedure.operations.map(({ minutes, learned }) => ({ minutes, from: learned?.from ?? minutes }))
  const troubles = troubleOdds(
    procedure.ladders,
    plan.steps.length,
    plan.steps.map(({ id }) => id),
    pace?.troublesPerJob,
  )
  const odds = finishOdds(
    { steps, calendar: null },
    {
      draws: DRAWS,
      // A part that comes tomorrow is waited for, not worked for.
      troubles: troubles.map(trouble => ({ ...trouble, partTomorrow: 0 })),
      ...(pace ? { pace: paceOnTop(pace, work) } : {}),
    },
  )
  const factor = planned > 0 ? odds.quantile(share) / planned : 1
  factors.set(share, factor)
  return factor
}
