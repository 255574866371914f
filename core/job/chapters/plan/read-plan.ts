import type { Procedure } from '../../../pack/pack'
import type { Plan } from '../../../sequence/types'

/** The log is never rewritten: one that bleeds nothing may carry no ways of bleeding, and is read as if it carried none. */
export function readPlan({ procedure, plan }: { procedure: Procedure; plan: Plan }): {
  procedure: Procedure
  plan: Plan
} {
  const { bleeding } = procedure as Partial<Procedure>
  return { procedure: bleeding ? procedure : { ...procedure, bleeding: [] }, plan }
}
