import { minutesLater } from '../../decisions/minutes-later'
import type { Pack, Procedure } from '../../pack/pack'
import type { ReachablePart } from '../../pack/sheets'
import { expandPack } from '../../packs/expand-pack'
import { switchBarrier } from '../chapters/plan/switch-barrier'
import type { JobStand } from '../chapters/plan/switch-barrier'
import { renewedBy, renewingChoices, withChoice } from './renewing'

/** What it takes to renew a part while it is open, and to come back for it. */
export interface Reach {
  minutesNow: number
  minutesLater: number
  /** Steps that would have to be done again, in their order. */
  steps: string[]
  /** How it can be renewed, the usual way first, each with its minutes now; empty where no option of the layout decides it. */
  ways: RenewWay[]
}

export interface RenewWay {
  choice: string
  label: string
  about?: string
  minutesNow: number
  /** Why it cannot be done any more, as the job stands. */
  barred: string | null
}

/**
 * For every part in reach: minutes more now, and what coming back for it would take; parts that no step reaches are left out.
 * @param pack the layout, for parts that a choice of it renews; without it they are weighed as by hand
 * @param stand how far the job is, which may be too far for some of it
 */
export function reachOf(
  procedure: Procedure,
  pack: Pack | null,
  stand: Omit<JobStand, 'procedure'> | null = null,
): Record<string, Reach> {
  return Object.fromEntries(
    procedure.bench.reachable.flatMap(part => {
      const reach = reachOfPart(procedure, pack, part, stand)
      return reach ? [[part.id, reach]] : []
    }),
  )
}

function reachOfPart(
  procedure: Procedure,
  pack: Pack | null,
  part: ReachablePart,
  stand: Omit<JobStand, 'procedure'> | null,
): Reach | null {
  const offered = pack?.options.find(entry => entry.id === part.option?.id)
  const choices = renewingChoices(part).flatMap(id => offered?.choices.find(choice => choice.id === id) ?? [])
  const renewed = (id: string) => expandPack(pack!, withChoice(pack!, procedure.options, part.option!.id, id))
  const left = offered && pack ? leftOf(procedure, pack, part) : procedure
  const ways = choices.map(({ id, label, about }): RenewWay => {
    const work = renewed(id)
    return {
      choice: id,
      label,
      ...(about === undefined ? {} : { about }),
      minutesNow: Math.max(0, likelyMinutes(work) - likelyMinutes(left)),
      barred: stand && switchBarrier({ ...stand, procedure }, work),
    }
  })
  const taken = ways.find(way => way.choice === procedure.options[part.option?.id ?? '']) ?? ways[0]
  const later = taken
    ? minutesLater(renewed(taken.choice), part.option!.steps)
    : minutesLater(procedure, part.reachedBy.slice(0, 1))
  if (!later) return null
  return {
    minutesNow: taken && taken.minutesNow > 0 ? taken.minutesNow : part.minutes[1],
    minutesLater: later.minutes + (taken ? 0 : part.minutes[1]),
    steps: later.operations.map(operation => operation.title),
    ways,
  }
}

/** The work without the part's own, where the plan renews it. */
function leftOf(procedure: Procedure, pack: Pack, part: ReachablePart): Procedure {
  const { id, left } = part.option!
  return renewedBy(procedure, part) !== null && left !== undefined
    ? expandPack(pack, { ...procedure.options, [id]: left })
    : procedure
}

/** What the work takes by its likely minutes, without walking, raising and waits. */
export const likelyMinutes = (procedure: Procedure) =>
  procedure.operations.reduce((sum, operation) => sum + operation.minutes[1], 0)
