import { frictionOf } from './condition'
import type { ThreadCondition } from './condition'
import { within } from '../base/field-error'
import { quantity } from '../say/quantity'
import type { HeadShape } from './head'
import { strength } from './strength'
import { asThread } from './thread'
import type { ThreadLike } from './thread'
import { engagementForMm, materialTerm, strippingLoadN } from './thread-stripping'
import type { ThreadMaterial } from './thread-stripping'
import { preloadFrom, tighten } from './tighten'

/** A fastener and what it goes into, as far as it is known. */
export interface Joint {
  thread: ThreadLike
  propertyClass: string
  /** What the thread is cut in; without it the thread is not judged. */
  material?: ThreadMaterial
  /** Length of thread really engaged, in mm. */
  engagementMm?: number
  /** Dry where it is left out. */
  condition?: ThreadCondition
  /** Which head it has; a plain hexagon where it is left out. */
  head?: HeadShape
  headContactDiameterMm?: number
  holeDiameterMm?: number
}

export type SpecVerdict = 'low' | 'plausible' | 'high' | 'beyond yield' | 'strips thread'

/** Share of yield below which a bolt holds by luck, and above which nothing is in hand. Common practice, no source. */
const LOW = 0.3
const HIGH = 0.93

/** A figure beyond this is no figure of a car's gearbox. */
export const ABSURD_TORQUE_NM = 1000

/** What a torque does to a joint over the whole scatter of friction. Loads in N, utilisation as a share of yield. */
export interface JointLoad {
  preloadN: { low: number; usual: number; high: number }
  utilisation: { low: number; usual: number; high: number }
  /** Preload at which the bolt yields while it is turned, in N. */
  yieldN: number
  /** Preload at which the thread strips, in N; `null` where material or engagement are not known. */
  stripN: number | null
}

/** What of a joint says how its head bears. */
export const headOf = ({
  head,
  headContactDiameterMm,
  holeDiameterMm,
}: Joint): Pick<Joint, 'head' | 'headContactDiameterMm' | 'holeDiameterMm'> => ({
  head,
  headContactDiameterMm,
  holeDiameterMm,
})

/**
 * Preload and utilisation from a torque, at usual friction and at both ends of its scatter; a slippery thread gives the high end.
 * @throws FieldError on the field at fault
 */
export function loadJoint(joint: Joint & { torqueNm: number }): JointLoad {
  const thread = asThread(joint.thread)
  strength(joint.propertyClass, thread.diameterMm)
  within('torqueNm', joint.torqueNm, 0.1, ABSURD_TORQUE_NM, 'A torque in N·m')
  const friction = frictionOf(joint.condition ?? 'dry')
  const head = headOf(joint)
  const at = (end: keyof typeof friction) =>
    preloadFrom({ ...head, ...friction[end], thread, propertyClass: joint.propertyClass, torqueNm: joint.torqueNm })
  const [slippery, usual, rough] = [at('low'), at('usual'), at('high')]
  return {
    preloadN: { low: rough.preloadN, usual: usual.preloadN, high: slippery.preloadN },
    utilisation: { low: rough.utilisation, usual: usual.utilisation, high: slippery.utilisation },
    yieldN: tighten({ ...head, ...friction.usual, thread, propertyClass: joint.propertyClass, utilisation: 1 })
      .preloadN,
    stripN:
      joint.material !== undefined && joint.engagementMm !== undefined
        ? strippingLoadN({
            thread,
            material: joint.material,
            engagementMm: joint.engagementMm,
            propertyClass: joint.propertyClass,
          })
        : null,
  }
}

const kN = (newton: number): string => quantity(newton / 1000, 'kN', 1)
const percent = (share: number): string => `${Math.round(share * 100)} %`

/**
 * Judges a torque against what the bolt and the thread it goes into can stand.
 *
 * The bolt by VDI 2230 (combined stress of tension and torsion against ISO 898-1 or SAE J429 yield), the thread by its
 * sheared area. The limits of low and high are common practice, no source.
 * @returns the verdict, the share of yield at usual friction, and the sentence that says why
 * @throws FieldError on the field at fault
 * @example judgeSpec({ thread: 'M8', propertyClass: '8.8', torqueNm: 54 }).verdict // 'beyond yield'
 */
export function judgeSpec(spec: Joint & { torqueNm: number }): {
  verdict: SpecVerdict
  utilisation: number
  because: string
} {
  const thread = asThread(spec.thread)
  const load = loadJoint(spec)
  const utilisation = load.utilisation.usual
  const bolt = `${thread.designation} ${spec.propertyClass}`
  const pulls = `It pulls about ${kN(Math.min(load.preloadN.usual, load.yieldN))} in the ${bolt}, ${percent(utilisation)} of what makes it yield`
  if (load.stripN !== null && load.stripN < load.yieldN && load.preloadN.usual > load.stripN) {
    const wanted = engagementForMm({
      thread,
      material: spec.material!,
      loadN: load.preloadN.usual,
      propertyClass: spec.propertyClass,
    })
    return {
      verdict: 'strips thread',
      utilisation,
      because: `It would pull ${kN(load.preloadN.usual)}; {${spec.engagementMm} mm} of thread in ${materialTerm(spec.material)} strips at ${kN(load.stripN)}. That pull wants {${wanted.toFixed(1)} mm}.`,
    }
  }
  if (utilisation > 1) {
    return {
      verdict: 'beyond yield',
      utilisation,
      because: `The ${bolt} yields at ${kN(load.yieldN)}; this torque asks ${percent(utilisation)} of that. It stretches for good, or shears.`,
    }
  }
  if (utilisation > HIGH)
    return {
      verdict: 'high',
      utilisation,
      because: `${pulls}. Nothing is left for a thread that runs easier than usual.`,
    }
  if (load.utilisation.high > 1)
    return {
      verdict: 'high',
      utilisation,
      because: `${pulls}. On an easy thread it asks ${percent(load.utilisation.high)}, and the bolt stretches for good.`,
    }
  if (utilisation < LOW)
    return { verdict: 'low', utilisation, because: `${pulls}. So little may not hold, and works loose.` }
  if (load.stripN !== null && load.preloadN.high > load.stripN) {
    return {
      verdict: 'high',
      utilisation,
      because: `${pulls}. On an easy thread it reaches ${kN(load.preloadN.high)}, and {${spec.engagementMm} mm} in ${materialTerm(spec.material)} strips at ${kN(load.stripN)}.`,
    }
  }
  return { verdict: 'plausible', utilisation, because: `${pulls}.` }
}
