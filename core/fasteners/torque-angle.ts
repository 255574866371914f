import { frictionOf } from './condition'
import { within } from '../base/field-error'
import type { Joint } from './judge-spec'
import { boltComplianceMmPerN, clampComplianceMmPerN } from './stiffness'
import { boltMaterial } from './strength'
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
  /** Preload at the end, in N. */
  preloadN: number
  /** How much longer the bolt is at the end, in mm. */
  elongationMm: number
  /** How much of that stays when it is taken out again, in mm. */
  permanentMm: number
  /** Whether the angle takes it past yield, as a stretch bolt is meant to go. */
  pastYield: boolean
  reuse: 'renew' | 'once' | 'measure'
  because: string
}

/** Permanent stretch from which a bolt counts as used up, as a share of its clamped length. The 0.2 % of the yield strength's own definition (ISO 898-1). */
const USED_UP = 0.002
/** The load still rises a little after yield. Common practice, no source. */
const HARDENING = 0.05

/**
 * What a torque plus an angle does to a bolt: its elongation, whether it passes yield, whether it may be used again.
 *
 * The angle draws the bolt by pitch × angle / 360, shared between bolt and clamped parts by their compliances.
 * @throws FieldError on the field at fault
 */
export function torqueAngle(joint: TorqueAngle): TorqueAngleResult {
  const thread = asThread(joint.thread)
  within('snugNm', joint.snugNm, 0.1, 1000, 'The torque in N·m')
  within('angleDeg', joint.angleDeg, 1, 720, 'The angle in degrees')
  const friction = {
    ...frictionOf(joint.condition ?? 'dry').usual,
    headContactDiameterMm: joint.headContactDiameterMm,
    holeDiameterMm: joint.holeDiameterMm,
  }
  const bolt = boltComplianceMmPerN(thread, joint.clampMm, boltMaterial(joint.propertyClass))
  const clamp = clampComplianceMmPerN(thread, joint.clampMm, joint.clampMaterial ?? 'steel')
  const snugN = preloadFrom({
    ...friction,
    thread,
    propertyClass: joint.propertyClass,
    torqueNm: joint.snugNm,
  }).preloadN
  const yieldN = tighten({ ...friction, thread, propertyClass: joint.propertyClass, utilisation: 1 }).preloadN
  const drawnMm = (thread.pitchMm * joint.angleDeg) / 360
  const elasticN = snugN + drawnMm / (bolt + clamp)
  const pastYield = elasticN > yieldN
  const beyondN = Math.max(0, elasticN - yieldN)
  const preloadN = pastYield ? yieldN + beyondN * HARDENING : elasticN
  const permanentMm = (beyondN - (preloadN - Math.min(elasticN, yieldN))) * (bolt + clamp)
  const elongationMm = preloadN * bolt + Math.max(0, permanentMm)
  const share = Math.max(0, permanentMm) / joint.clampMm
  const reuse = share >= USED_UP ? 'renew' : pastYield ? 'once' : 'measure'
  const end = `At the end it is {${elongationMm.toFixed(2)} mm} longer and pulls {${(preloadN / 1000).toFixed(1)} kN}`
  const because = {
    renew: `${end}. It is past yield by design and keeps {${permanentMm.toFixed(2)} mm}: a new one every time.`,
    once: `${end}. It only just passes yield and keeps {${Math.max(0, permanentMm).toFixed(2)} mm}: one school renews it, the other measures it and uses it once more.`,
    measure: `${end}. It stays below yield, at ${Math.round((elasticN / yieldN) * 100)} %: measure its length against a new one; renew it if the maker says so.`,
  }[reuse]
  return { preloadN, elongationMm, permanentMm: Math.max(0, permanentMm), pastYield, reuse, because }
}
