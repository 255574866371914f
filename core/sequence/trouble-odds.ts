import type { Ladder } from '../pack/ladders'
import type { TroubleOdds } from './finish-odds'

/** Troubles of a whole job on an ordinary car. Common practice, no source. */
export const COMMON_TROUBLES = 1
/** Each rung of a ladder helps in so many of the cases that come to it. Common practice, no source. */
const HELPS = 0.5
/** A rung that says no minutes takes so many. Common practice, no source. */
const RUNG_MINUTES = 10
/** Spread of the logarithm of what a trouble takes. Common practice, no source. */
export const TROUBLE_SIGMA = 0.7
/** A part that a rung wants is not in the van in so many of the cases. Common practice, no source. */
const NOT_IN_THE_VAN = 0.5

/**
 * What may go wrong in the work that is left: each ladder at the first of its steps, or anywhere, as often as it says; how long it takes
 * follows from how many of its rungs are climbed, and whether a part is waited for from the rung that wants one.
 * @param whole how many steps the job has in all
 * @param left ids of the steps left, in their order
 * @param troublesPerJob what the garage has counted of its own
 */
export function troubleOdds(
  ladders: readonly Ladder[],
  whole: number,
  left: readonly string[],
  troublesPerJob = COMMON_TROUBLES,
): TroubleOdds[] {
  const scale = troublesPerJob / COMMON_TROUBLES
  return ladders.flatMap((ladder): TroubleOdds[] => {
    const at = left.findIndex(id => ladder.steps.includes(id))
    const share = at >= 0 ? 1 : ladder.everywhere ? left.length / Math.max(1, whole) : 0
    const perJob = (ladder.perJob ?? 0) * scale * share
    if (perJob === 0) return []
    return [{ perJob, ...lengthOf(ladder), sigma: TROUBLE_SIGMA, ...(at >= 0 ? { at } : {}) }]
  })
}

function lengthOf({ rungs }: Ladder): { minutes: number; partTomorrow: number } {
  const comesTo = (rung: number) => (1 - HELPS) ** rung
  const waits = rungs.findIndex(rung => rung.waits)
  const wants = rungs.findIndex(rung => rung.parts.length > 0)
  return {
    minutes: rungs.reduce((sum, rung, index) => sum + comesTo(index) * (rung.minutes ?? RUNG_MINUTES), 0),
    partTomorrow: Math.max(waits >= 0 ? comesTo(waits) : 0, wants >= 0 ? comesTo(wants) * NOT_IN_THE_VAN : 0),
  }
}
