import { frictionOf } from './condition'
import { headOf } from './judge-spec'
import type { Joint } from './judge-spec'
import { asThread } from './thread'
import { strippingLoadN } from './thread-stripping'
import { tighten, torqueArmMm } from './tighten'

/** The part of the ceiling within which a bolt without a figure is held to. Common practice, no source. */
const CAUTIOUS = { low: 0.5, high: 0.75 }

export interface Ceiling {
  /** The torque that the fastener stands even on an easy thread, in N·m. No specification. */
  ceilingNm: number
  cautiousNm: { low: number; high: number }
  limitedBy: 'bolt' | 'thread'
}

/**
 * What a fastener can stand where no figure is to be had: the torque at which, on the most slippery thread of its condition,
 * the bolt would begin to yield or the thread to strip. Computed from geometry and material, not a specification.
 * @throws FieldError on the field at fault
 */
export function ceilingOf(joint: Joint): Ceiling {
  const thread = asThread(joint.thread)
  const friction = {
    ...frictionOf(joint.condition ?? 'dry').low,
    ...headOf(joint),
  }
  const bolt = tighten({ ...friction, thread, propertyClass: joint.propertyClass, utilisation: 1 })
  const stripN =
    joint.material !== undefined && joint.engagementMm !== undefined
      ? strippingLoadN({
          thread,
          material: joint.material,
          engagementMm: joint.engagementMm,
          propertyClass: joint.propertyClass,
        })
      : Infinity
  const limitedBy = stripN < bolt.preloadN ? 'thread' : 'bolt'
  const ceilingNm = limitedBy === 'thread' ? (stripN * torqueArmMm(thread, friction)) / 1000 : bolt.torqueNm
  return { ceilingNm, cautiousNm: { low: ceilingNm * CAUTIOUS.low, high: ceilingNm * CAUTIOUS.high }, limitedBy }
}
