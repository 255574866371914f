import { minutesLater } from '../../decisions/minutes-later'
import type { Pack, Procedure } from '../../pack/pack'
import type { ReachablePart } from '../../pack/sheets'
import { expandPack } from '../../packs/expand-pack'

/** What it takes to renew a part while it is open, and to come back for it. */
export interface Reach {
  minutesNow: number
  minutesLater: number
  /** Steps that would have to be done again, in their order. */
  steps: string[]
}

/**
 * For every part in reach: minutes more now, and what coming back for it would take; parts that no step reaches are left out.
 * @param pack the layout, for parts that a choice of it renews; without it they are weighed as by hand
 */
export function reachOf(procedure: Procedure, pack: Pack | null): Record<string, Reach> {
  return Object.fromEntries(
    procedure.bench.reachable.flatMap(part => {
      const reach = reachOfPart(procedure, pack, part)
      return reach ? [[part.id, reach]] : []
    }),
  )
}

function reachOfPart(procedure: Procedure, pack: Pack | null, part: ReachablePart): Reach | null {
  const { option } = part
  const offered =
    option &&
    pack?.options.some(entry => entry.id === option.id && entry.choices.some(choice => choice.id === option.choice))
  const renewed = offered ? expandPack(pack!, { ...procedure.options, [option.id]: option.choice }) : null
  const later = minutesLater(renewed ?? procedure, renewed ? option!.steps : part.reachedBy.slice(0, 1))
  if (!later) return null
  const more = renewed ? likelyMinutes(renewed) - likelyMinutes(procedure) : 0
  return {
    minutesNow: more > 0 ? more : part.minutes[1],
    minutesLater: later.minutes + (renewed ? 0 : part.minutes[1]),
    steps: later.operations.map(operation => operation.title),
  }
}

const likelyMinutes = (procedure: Procedure) =>
  procedure.operations.reduce((sum, operation) => sum + operation.minutes[1], 0)
