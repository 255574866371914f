import { FieldError, within } from '../base/field-error'
import { usualHead } from './head'
import type { HeadShape } from './head'
import { strength } from './strength'
import { asThread, pitchDiameterMm, stressAreaMm2 } from './thread'
import type { Thread, ThreadLike } from './thread'

/** Friction in the thread and under the head, and the ring the head bears on. */
export interface Friction {
  threadFriction: number
  headFriction: number
  /** Which head it has; a plain hexagon where it is left out. */
  head?: HeadShape
  /** Outer diameter of the bearing under the head, in mm; that of its kind where it is left out. */
  headContactDiameterMm?: number
  /** Clearance hole, in mm; medium fit where it is left out. */
  holeDiameterMm?: number
}

export interface Tightening extends Friction {
  thread: ThreadLike
  propertyClass: string
  /** Share of the yield strength that the combined stress of tension and torsion takes up, above 0 up to 1. */
  utilisation: number
}

/** Flank angle of 30°: friction in the thread counts 1/cos 30° times. */
const FLANK = 1.155

/**
 * Torque per newton of preload, in mm: pitch, thread friction, head friction.
 * MA = FM (0.16 P + 0.58 d2 µG + DKm µK / 2), VDI 2230 part 1.
 */
export function torqueArmMm(thread: Thread, friction: Friction): number {
  const usual = usualHead(thread, friction.head)
  const headMm = friction.headContactDiameterMm ?? usual.headContactDiameterMm
  const holeMm = friction.holeDiameterMm ?? usual.holeDiameterMm
  within('threadFriction', friction.threadFriction, 0.01, 1, 'The thread’s friction')
  within('headFriction', friction.headFriction, 0.01, 1, 'The friction under the head')
  within('holeDiameterMm', holeMm, thread.diameterMm * 0.9, thread.diameterMm * 3, 'The hole in mm')
  if (!(headMm > holeMm))
    throw new FieldError('headContactDiameterMm', `The head bears outside its hole: wider than {${holeMm} mm}.`)
  within('headContactDiameterMm', headMm, holeMm, thread.diameterMm * 5, 'The bearing under the head in mm')
  return (
    0.16 * thread.pitchMm +
    0.58 * pitchDiameterMm(thread) * friction.threadFriction +
    ((headMm + holeMm) / 4) * friction.headFriction
  )
}

/** Combined stress of tension and torsion over the tensile stress, while the bolt is being turned (von Mises; VDI 2230 part 1). */
export function combinedStressRatio(thread: Thread, threadFriction: number): number {
  const d2 = pitchDiameterMm(thread)
  const d0 = Math.sqrt((4 * stressAreaMm2(thread)) / Math.PI)
  const torsion = ((1.5 * d2) / d0) * (thread.pitchMm / (Math.PI * d2) + FLANK * threadFriction)
  return Math.sqrt(1 + 3 * torsion ** 2)
}

/**
 * Preload and torque that bring a bolt to a share of its yield strength.
 *
 * Source: VDI 2230 part 1, assembly preload and tightening torque.
 * @returns preload in N and torque in N·m
 * @throws FieldError on the field at fault
 * @example tighten({ thread: 'M8', propertyClass: '8.8', threadFriction: 0.12, headFriction: 0.12, utilisation: 0.9 }).torqueNm // 24.6
 */
export function tighten(joint: Tightening): { preloadN: number; torqueNm: number } {
  const thread = asThread(joint.thread)
  const { yieldMpa } = strength(joint.propertyClass, thread.diameterMm)
  within('utilisation', joint.utilisation, 0.001, 1.5, 'The share of yield')
  const arm = torqueArmMm(thread, joint)
  const preloadN =
    (joint.utilisation * yieldMpa * stressAreaMm2(thread)) / combinedStressRatio(thread, joint.threadFriction)
  return { preloadN, torqueNm: (preloadN * arm) / 1000 }
}

/**
 * What a torque does in a bolt: preload in N if it stayed elastic, and the share of yield it takes up.
 * The inverse of `tighten`.
 * @param torqueNm above zero
 */
export function preloadFrom(joint: Friction & { thread: ThreadLike; propertyClass: string; torqueNm: number }): {
  preloadN: number
  utilisation: number
} {
  const thread = asThread(joint.thread)
  const { yieldMpa } = strength(joint.propertyClass, thread.diameterMm)
  const preloadN = (joint.torqueNm * 1000) / torqueArmMm(thread, joint)
  return {
    preloadN,
    utilisation: (preloadN * combinedStressRatio(thread, joint.threadFriction)) / (yieldMpa * stressAreaMm2(thread)),
  }
}
