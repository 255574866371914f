import { FieldError, within } from '../base/field-error'
import { strength } from './strength'
import { asThread } from './thread'
import type { ThreadLike } from './thread'
import { leastMaterial } from './thread-limits'

export const threadMaterials = ['aluminium', 'iron', 'steel'] as const
/** What the bolt screws into. */
export type ThreadMaterial = (typeof threadMaterials)[number]

/** What a material is called, in the reader's words. */
export const materialTerm = (material: ThreadMaterial | undefined): string =>
  material === 'aluminium' ? '{aluminum}' : (material ?? '')

/**
 * Least shear strength of a tapped thread, in MPa: a die-cast aluminium case, grey iron, a mild steel flange or nut.
 * Source: the order of the table of shear strengths in VDI 2230 part 1 (from memory), its lower values.
 */
const shearMpa: Readonly<Record<ThreadMaterial, number>> = { aluminium: 130, iron: 280, steel: 340 }

/** A steel shears at this share of its tensile strength (Alexander 1977; from memory). */
const SHEAR_SHARE = 0.6
/** First turns carry little: the engaged length counts less 0.8 P (VDI 2230 part 1). */
const LOST_PITCHES = 0.8
const COT_FLANK = 1 / Math.sqrt(3)

/** What shears, in mm² per mm of engaged length. */
export interface ShearAreas {
  /** Of the bolt's thread, at the bore of the hole. */
  boltMm: number
  /** Of the tapped thread, at the outside of the bolt. */
  holeMm: number
}

/**
 * Areas that shear with least material on either side: π D1 / P (P/2 + (d2 − D1) / √3) and π d / P (P/2 + (d − D2) / √3).
 * Source: Alexander 1977, FED-STD-H28/2 (from memory).
 */
export function shearAreas(threadLike: ThreadLike): ShearAreas {
  const thread = asThread(threadLike)
  const { boltMajorMm, boltPitchMm, holeMinorMm, holePitchMm } = leastMaterial(thread)
  const at = (diameterMm: number, deepMm: number) =>
    ((Math.PI * diameterMm) / thread.pitchMm) * (thread.pitchMm / 2 + deepMm * COT_FLANK)
  return { boltMm: at(holeMinorMm, boltPitchMm - holeMinorMm), holeMm: at(boltMajorMm, boltMajorMm - holePitchMm) }
}

/**
 * What is left of a thread's strength as the threads bend each other open, by the ratio of the hole's strength to the bolt's
 * (Alexander 1977, C2 and C3; from memory). Where the hole is far weaker it is not bent at all.
 */
function bent(ratio: number): { bolt: number; hole: number } {
  const LEAST = 0.897
  const [low, high] = [Math.max(0.4, Math.min(1, ratio)), Math.max(1, Math.min(2.2, ratio))]
  return {
    bolt: ratio <= 1 ? LEAST : 5.594 - 13.682 * high + 14.107 * high ** 2 - 6.057 * high ** 3 + 0.9353 * high ** 4,
    hole: ratio >= 1 ? LEAST : Math.min(1, 0.728 + 1.769 * low - 2.896 * low ** 2 + 1.296 * low ** 3),
  }
}

/** Other words for them. */
const otherWords: Readonly<Record<string, ThreadMaterial>> = {
  aluminum: 'aluminium',
  'cast aluminium': 'aluminium',
  'cast aluminum': 'aluminium',
  'cast iron': 'iron',
  'cast-iron': 'iron',
  'grey iron': 'iron',
}

function shearOf(material: ThreadMaterial): number {
  const name = Object.hasOwn(otherWords, material) ? otherWords[material]! : material
  const known = Object.hasOwn(shearMpa, name) ? shearMpa[name] : undefined
  if (known === undefined)
    throw new FieldError(
      'material',
      `"${material}" is not a material a thread is judged in. Known are ${threadMaterials.join(', ')}.`,
    )
  return known
}

interface ThreadPair {
  thread: ThreadLike
  material: ThreadMaterial
  /** Of the bolt; one that is far stronger than the hole where it is left out. */
  propertyClass?: string
}

/** The pull that a millimetre of engaged thread carries, in N: the hole strips, or where that is the stronger, the bolt does. */
function carriesPerMm({ thread, material, propertyClass }: ThreadPair): number {
  const known = asThread(thread)
  const areas = shearAreas(known)
  const hole = shearOf(material) * areas.holeMm
  if (propertyClass === undefined) return hole * bent(0).hole
  const bolt = SHEAR_SHARE * strength(propertyClass, known.diameterMm).tensileMpa * areas.boltMm
  const left = bent(hole / bolt)
  return Math.min(hole * left.hole, bolt * left.bolt)
}

/**
 * The pull at which a thread strips, in N, with least material on either side and the threads bending each other.
 *
 * Source: Alexander 1977, as VDI 2230 part 1 takes it over; tolerances by ISO 965-1 or ASME B1.1 (from memory).
 * @param joint `engagementMm` is the length of thread that is really engaged, of one turn at least
 * @throws FieldError on the field at fault
 */
export function strippingLoadN({ engagementMm, ...pair }: ThreadPair & { engagementMm: number }): number {
  const { pitchMm, diameterMm } = asThread(pair.thread)
  within('engagementMm', engagementMm, pitchMm, diameterMm * 6, 'The engaged length in mm')
  return carriesPerMm(pair) * Math.max(0, engagementMm - LOST_PITCHES * pitchMm)
}

/** The engaged length that carries a pull without stripping, in mm. @throws FieldError on the field at fault */
export function engagementForMm({ loadN, ...pair }: ThreadPair & { loadN: number }): number {
  within('loadN', loadN, 0, 1e7, 'The pull in N')
  return loadN / carriesPerMm(pair) + LOST_PITCHES * asThread(pair.thread).pitchMm
}
