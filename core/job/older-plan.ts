import type { Procedure } from '../packs/types'
import { defaultSetting } from '../sequence/plan-in-order'
import type { Plan } from '../sequence/types'

/** The log is never rewritten: what a plan of an older version lacks is filled in when it is read. */
export function readPlan({ procedure, plan }: { procedure: Procedure, plan: Plan }): { procedure: Procedure, plan: Plan } {
  if (procedure.hands !== undefined && plan.setting !== undefined) return { procedure, plan }
  const closed = (totals: Plan['totals']) => ({ ...totals, closedMinutes: totals.closedMinutes ?? 0 })
  return {
    procedure: {
      ...procedure, hands: procedure.hands ?? 1, parts: procedure.parts ?? [],
      operations: procedure.operations.map(operation => ({ ...operation, parts: operation.parts ?? {} })),
    },
    plan: {
      ...plan, setting: plan.setting ?? defaultSetting, droppedPins: plan.droppedPins ?? [], proven: plan.proven ?? false,
      // Nothing is known of a bound then; zero claims nothing.
      lowerBoundMinutes: plan.lowerBoundMinutes ?? 0, totals: closed(plan.totals), authored: closed(plan.authored),
    },
  }
}
