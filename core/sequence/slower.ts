import { byId } from '../base/by-id'
import { awayOf, positionTo } from '../pack/bay'
import type { CarPosition, ThreePoint } from '../pack/kinds'
import type { Operation } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import type { PlanSetting, Skill } from './types'

/** What the same work takes by how well it is known, against somebody who has done it. Common practice, no source. */
export const SKILL_SHARE: Record<Skill, number> = { 'first-time': 1.3, 'has-done-it': 1, 'does-it-weekly': 0.75 }

type Work = Pick<Operation, 'tools' | 'asTold'> & { car?: CarPosition }
type Bay = Pick<Procedure, 'tools' | 'bay' | 'positions'>
type Circumstances = Pick<PlanSetting, 'without' | 'skill'>

/**
 * Minutes of a step under the circumstances: longer where a tool of it is done without, longer or shorter by how well the work is known, and
 * by how one stands to it. Minutes that were told of this very car stay as they were told.
 */
export function minutesUnder(
  procedure: Bay,
  work: Work & Pick<Operation, 'minutes'>,
  circumstances: Circumstances,
): ThreePoint {
  const { minutes } = work
  const { share, more } = scaleOf(procedure, work, circumstances)
  if (more === 0 && share === 1) return minutes
  return [minutes[0] * share + more, minutes[1] * share + more, minutes[2] * share + more]
}

/** What minutes worked under the circumstances would have been under those that the layout counts with; zero at least. */
export function minutesByTheBook(
  procedure: Bay,
  work: Work,
  circumstances: Circumstances,
  workedMinutes: number,
): number {
  const { share, more } = scaleOf(procedure, work, circumstances)
  return Math.max(0, workedMinutes - more) / share
}

function scaleOf(
  procedure: Bay,
  { tools, car, asTold }: Work,
  { without = [], skill = 'has-done-it' }: Circumstances,
): { share: number; more: number } {
  if (asTold) return { share: 1, more: 0 }
  const stance = car === awayOf(procedure) ? (positionTo(procedure, 'away')?.workShare ?? 1) : 1
  const more = tools
    .filter(id => without.includes(id))
    .reduce((sum, id) => sum + (byId(procedure.tools, id)?.without?.minutes ?? 0), 0)
  return { share: SKILL_SHARE[skill] * stance, more }
}
