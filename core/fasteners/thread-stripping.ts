import { FieldError, within } from '../base/field-error'
import { asThread, pitchDiameterMm } from './thread'
import type { ThreadLike } from './thread'

/** What the bolt screws into. */
/** What a material is called, in the reader's words. */
export const materialTerm = (material: ThreadMaterial | undefined): string =>
  material === 'aluminium' ? '{aluminum}' : (material ?? '')

export const threadMaterials = ['aluminium', 'iron', 'steel'] as const
export type ThreadMaterial = (typeof threadMaterials)[number]

/**
 * Least shear strength of a tapped thread, in MPa: a die-cast aluminium case, grey iron, a mild steel flange or nut.
 * Source: the order of the table of shear strengths in VDI 2230 part 1 (from memory), its lower values.
 */
const shearMpa: Readonly<Record<ThreadMaterial, number>> = { aluminium: 130, iron: 280, steel: 340 }

/** The internal thread is bent open a little as it carries: factor C3 of VDI 2230 part 1 where the tapped part is the weaker. */
const BENT_OPEN = 0.897
/** First turns carry little: the engaged length counts less 0.8 P (VDI 2230 part 1). */
const LOST_PITCHES = 0.8

/** Sheared area of the tapped thread per mm of engaged length, in mm. */
function shearedAreaPerMm(threadLike: ThreadLike): number {
  const thread = asThread(threadLike)
  const { diameterMm, pitchMm } = thread
  return ((Math.PI * diameterMm) / pitchMm) * (pitchMm / 2 + (diameterMm - pitchDiameterMm(thread)) / Math.sqrt(3))
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

/**
 * The pull at which the tapped thread strips, in N.
 *
 * Source: VDI 2230 part 1, minimum length of engagement; area of the basic profile (ISO 68-1).
 * @param engagementMm length of thread that is really engaged
 * @throws FieldError on `material` or `engagementMm`
 */
export function strippingLoadN({
  thread,
  material,
  engagementMm,
}: {
  thread: ThreadLike
  material: ThreadMaterial
  engagementMm: number
}): number {
  const known = asThread(thread)
  within('engagementMm', engagementMm, known.pitchMm, known.diameterMm * 6, 'The engaged length in mm')
  const carrying = Math.max(0, engagementMm - LOST_PITCHES * known.pitchMm)
  return shearOf(material) * shearedAreaPerMm(known) * carrying * BENT_OPEN
}

/** The engaged length that carries a pull without stripping, in mm. */
export function engagementForMm({
  thread,
  material,
  loadN,
}: {
  thread: ThreadLike
  material: ThreadMaterial
  loadN: number
}): number {
  const known = asThread(thread)
  return loadN / (shearOf(material) * shearedAreaPerMm(known) * BENT_OPEN) + LOST_PITCHES * known.pitchMm
}
