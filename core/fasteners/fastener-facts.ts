import type { Joint } from './judge-spec'
import { judgeSpec } from './judge-spec'
import type { ThreadCondition } from './condition'
import type { HeadShape } from './head'
import type { ThreadMaterial } from './thread-stripping'

/** What the fasteners of a group are and what they go into, as far as somebody said it. */
export interface FastenerFacts {
  /** As it is written: `M8×1.25`. */
  thread: string
  propertyClass: string
  material?: ThreadMaterial
  engagementMm?: number
  condition?: ThreadCondition
  /** Which head it has; a plain hexagon where it is left out. */
  head?: HeadShape
  /** Thickness of what is clamped, in mm; wanted for torque plus angle. */
  clampMm?: number
}

/** The joint that a figure is judged on; a condition that the figure's source wants goes before the group's own. */
export function jointOf(facts: FastenerFacts, condition?: ThreadCondition): Joint {
  const { thread, propertyClass, material, engagementMm, head } = facts
  return {
    thread,
    propertyClass,
    ...(material ? { material } : {}),
    ...(engagementMm !== undefined ? { engagementMm } : {}),
    ...(head ? { head } : {}),
    condition: condition ?? facts.condition ?? 'dry',
  }
}

/** Checks facts by computing with them. @throws FieldError on the field at fault */
export function checkFacts(facts: FastenerFacts): void {
  judgeSpec({ ...jointOf(facts), torqueNm: 1 })
}
