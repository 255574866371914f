import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'
import type { OpeningState } from './opening'

/** No car is driven farther than this between take-in and hand-over, in km: more is a slip of the key or the unit. */
const FARTHEST_KM = 5000

/** An odometer that stood higher when the car came, or that nobody can have driven to since. */
export function odometerOdd({ odometerKm: came }: OpeningState, odometerKm: number): Refusal | null {
  if (came === null) return null
  // A mile typed as it is shown comes back a little short.
  if (odometerKm < came - 1)
    return refuse(
      'payload.odometerKm',
      `The odometer stood at {${Math.round(came)} km} already when it was last read. It does not run back: check the figure and its unit.`,
    )
  return odometerKm > came + FARTHEST_KM
    ? refuse(
        'payload.odometerKm',
        `That is {${Math.round(odometerKm - came)} km} more than when it was last read. Check the figure and its unit.`,
      )
    : null
}
