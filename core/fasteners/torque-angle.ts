import { frictionOf } from './condition'
import { within } from '../base/field-error'
import { headOf } from './judge-spec'
import type { Joint } from './judge-spec'
import { stretchPastYield } from './plastic-stretch'
import { boltComplianceMmPerN, clampComplianceMmPerN } from './stiffness'
import { boltMaterial, strength } from './strength'
import { asThread } from './thread'
import type { ThreadMaterial } from './thread-stripping'
import { preloadFrom, tighten } from './tighten'

export interface TorqueAngle extends Joint {
  /** The torque from which the angle is turned, in N·m. */
  snugNm: number
  angleDeg: number
  /** Thickness of what is clamped, in mm. */
  clampMm: number
  /** What is clamped; steel where it is left out. */
  clampMaterial?: ThreadMaterial
}

export interface TorqueAngleResult {
  /** Preload at the end, in N; never more than the bolt stands at its most. */
  preloadN: number
  /** How much longer the bolt is at the end, in mm. */
  elongationMm: number
  /** How much of that stays when it is taken out again, in mm. */
  permanentMm: number
  /** Whether the angle takes it past yield, as a stretch bolt is meant to go. */
  pastYield: boolean
  /** Whether it breaks before the angle is reached. */
  breaks: boolean
  /** Share of yield that the torque alone takes up. */
  snugShare: number
  reuse: 'renew' | 'once' | 'measure'
  because: string
}

/** Permanent stretch from which a bolt counts as used up, as a share of its clamped length. The 0.2 % of the yield strength's own definition (ISO 898-1). */
const USED_UP = 0.002
/** A torque that is to seat a joint leaves this much of yield to the angle. Common practice, no source. */
const SNUG_MOST = 0.75

/**
 * What a torque plus an angle does to a bolt: its elongation, whether it passes yield or breaks, whether it may be used again, and whether
 * the torque alone takes up too much.
 *
 * The angle draws the bolt by pitch × angle / 360, shared between bolt and clamped parts by their compliances; past yield by
 * {@link stretchPastYield}.
 * @throws FieldError on the field at fault
 */
export function torqueAngle(joint: TorqueAngle): TorqueAngleResult {
  const thread = asThread(joint.thread)
  const { propertyClass, clampMm } = joint
  within('snugNm', joint.snugNm, 0.1, 1000, 'The torque in N·m')
  within('angleDeg', joint.angleDeg, 1, 720, 'The angle in degrees')
  const friction = { ...frictionOf(joint.condition ?? 'dry').usual, ...headOf(joint) }
  const { yieldMpa, tensileMpa } = strength(propertyClass, thread.diameterMm)
  const bolt = boltComplianceMmPerN(thread, clampMm, boltMaterial(propertyClass), joint.material)
  const clamp = clampComplianceMmPerN(thread, clampMm, joint.clampMaterial ?? 'steel')
  const snug = preloadFrom({ ...friction, thread, propertyClass, torqueNm: joint.snugNm })
  const yieldN = tighten({ ...friction, thread, propertyClass, utilisation: 1 }).preloadN
  const drawnMm = (thread.pitchMm * joint.angleDeg) / 360
  const elasticN = snug.preloadN + drawnMm / (bolt + clamp)
  const pastYield = elasticN > yieldN
  const { pullN, permanentMm, breaks } = pastYield
    ? stretchPastYield({
        thread,
        propertyClass,
        clampMm,
        yieldN,
        mostN: (yieldN * tensileMpa) / yieldMpa,
        beyondN: elasticN - yieldN,
        complianceMmPerN: bolt + clamp,
      })
    : { pullN: elasticN, permanentMm: 0, breaks: false }
  const elongationMm = pullN * bolt + permanentMm
  const reuse = breaks || permanentMm / clampMm >= USED_UP ? 'renew' : pastYield ? 'once' : 'measure'
  return {
    preloadN: pullN,
    elongationMm,
    permanentMm,
    pastYield,
    breaks,
    snugShare: snug.utilisation,
    reuse,
    because: `${ofSnug(snug.utilisation)}${ofEnd({ elongationMm, permanentMm, pullN, breaks, reuse, share: elasticN / yieldN })}`,
  }
}

function ofSnug(share: number): string {
  if (share <= SNUG_MOST) return ''
  return share > 1
    ? 'The torque alone takes it past yield; the angle comes on top. '
    : `The torque alone takes up ${Math.round(share * 100)} % of yield: more than a joint needs to seat. `
}

function ofEnd({
  elongationMm,
  permanentMm,
  pullN,
  breaks,
  reuse,
  share,
}: Pick<TorqueAngleResult, 'elongationMm' | 'permanentMm' | 'breaks' | 'reuse'> & {
  pullN: number
  share: number
}): string {
  const kept = `{${permanentMm.toFixed(2)} mm}`
  if (breaks)
    return `It necks after it has kept ${kept} and breaks before the angle is reached: this bolt is too short, too weak, or the figure is another’s.`
  const end = `At the end it is {${elongationMm.toFixed(2)} mm} longer and pulls {${(pullN / 1000).toFixed(1)} kN}`
  return {
    renew: `${end}. It is past yield by design and keeps ${kept}: a new one every time.`,
    once: `${end}. It only just passes yield and keeps ${kept}: one school renews it, the other measures it and uses it once more.`,
    measure: `${end}. It stays below yield, at ${Math.round(share * 100)} %: measure its length against a new one; renew it if the maker says so.`,
  }[reuse]
}
