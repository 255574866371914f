import { noBench } from '../packs/bench-of'
import type { Procedure } from '../packs/types'
import { defaultSetting } from '../sequence/plan-in-order'
import type { Plan } from '../sequence/types'

/** The log is never rewritten: what a plan of an older version lacks is filled in when it is read. */
export function readPlan({ procedure, plan }: { procedure: Procedure, plan: Plan }): { procedure: Procedure, plan: Plan } {
  const ladders = (procedure.ladders ?? []).map(ladder => ladder.steps ? ladder : { ...ladder, steps: [], everywhere: true })
  if (procedure.hands !== undefined && plan.setting !== undefined) return { procedure: { ...procedure, bench: procedure.bench ?? noBench, ladders }, plan }
  const closed = (totals: Plan['totals']) => ({ ...totals, closedMinutes: totals.closedMinutes ?? 0 })
  return {
    procedure: {
      ...procedure, ladders, bench: procedure.bench ?? noBench, hands: procedure.hands ?? 1, parts: procedure.parts ?? [],
      operations: procedure.operations.map(operation => ({ ...operation, parts: operation.parts ?? {} })),
    },
    plan: {
      ...plan, setting: plan.setting ?? defaultSetting, droppedPins: plan.droppedPins ?? [], proven: plan.proven ?? false,
      // Nothing is known of a bound then; zero claims nothing.
      lowerBoundMinutes: plan.lowerBoundMinutes ?? 0, totals: closed(plan.totals), authored: closed(plan.authored),
    },
  }
}
