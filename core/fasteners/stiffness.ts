import { within } from '../base/field-error'
import { asThread, rootDiameterMm } from './thread'
import type { ThreadLike } from './thread'
import type { ThreadMaterial } from './thread-stripping'

/** Young's modulus in MPa; any materials handbook. */
export const youngMpa: Readonly<Record<ThreadMaterial, number>> = { aluminium: 70_000, iron: 110_000, steel: 205_000 }

const area = (diameterMm: number): number => (Math.PI / 4) * diameterMm ** 2

/**
 * How far a bolt in a tapped hole stretches per newton, in mm/N: half a diameter for the head, the free length threaded
 * throughout, half a diameter of engaged thread and a third of one for the tapped side (VDI 2230 part 1).
 * @param clampMm thickness that is clamped
 * @param material of the bolt
 * @param tapped what it is screwed into; as stiff as the bolt where it is left out
 */
export function boltComplianceMmPerN(
  thread: ThreadLike,
  clampMm: number,
  material: 'steel' | 'aluminium' = 'steel',
  tapped: ThreadMaterial = material,
): number {
  const known = asThread(thread)
  within('clampMm', clampMm, 0.5, 500, 'The clamped thickness in mm')
  const d = known.diameterMm
  const root = area(rootDiameterMm(known))
  const ownPart = (0.5 * d) / area(d) + (clampMm + 0.5 * d) / root
  return ownPart / youngMpa[material] + (0.33 * d) / area(d) / youngMpa[tapped]
}

/**
 * How far the clamped parts give per newton, in mm/N: two cones of 30° under a bearing of 1.5 diameters.
 * Source: Shigley's Mechanical Engineering Design, member stiffness of a single material (formula from memory).
 */
export function clampComplianceMmPerN(thread: ThreadLike, clampMm: number, material: ThreadMaterial): number {
  const d = asThread(thread).diameterMm
  within('clampMm', clampMm, 0.5, 500, 'The clamped thickness in mm')
  const grip = clampMm + d / 2
  return (
    (2 * Math.log((5 * (0.5774 * grip + 0.5 * d)) / (0.5774 * grip + 2.5 * d))) /
    (0.5774 * Math.PI * youngMpa[material] * d)
  )
}
