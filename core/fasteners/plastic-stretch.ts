import type { Thread } from './thread'

/**
 * Elongation at break, as a share. Source: ISO 898-1, least elongation of machined test pieces, and SAE J429 (from memory);
 * aluminium by ISO 8839 (from memory).
 */
const atBreak: Readonly<Record<string, number>> = {
  '4.6': 0.22,
  '4.8': 0.14,
  '5.6': 0.2,
  '5.8': 0.1,
  '6.8': 0.08,
  '8.8': 0.12,
  '9.8': 0.1,
  '10.9': 0.09,
  '12.9': 0.08,
  'grade 2': 0.18,
  'grade 5': 0.14,
  'grade 8': 0.12,
}
const LIGHT = 0.06
/** A neck forms at about half of the elongation at break; from then on less pull draws it further. Common practice, no source. */
const NECK = 0.5
/** Past yield the stretch gathers in the thread next to the hole, over no more than two diameters. Common practice, no source. */
const GATHERS_DIAMETERS = 2

export interface Plastic {
  /** The pull at the end, in N. */
  pullN: number
  /** What stays of the stretch, in mm. */
  permanentMm: number
  /** It necks and breaks before it is drawn so far. */
  breaks: boolean
}

/**
 * How a bolt gives past yield: from there the pull rises on a parabola and is level at its most, where the bolt necks.
 * @param joint pulls at yield and at its most while turned, in N; how far it would have been drawn elastically past yield, in N; how far bolt
 * and parts give together, in mm/N
 */
export function stretchPastYield({
  thread,
  propertyClass,
  clampMm,
  yieldN,
  mostN,
  beyondN,
  complianceMmPerN,
}: {
  thread: Thread
  propertyClass: string
  clampMm: number
  yieldN: number
  mostN: number
  beyondN: number
  complianceMmPerN: number
}): Plastic {
  const name = propertyClass.trim().toLowerCase()
  const uniform = (Object.hasOwn(atBreak, name) ? atBreak[name]! : LIGHT) * NECK
  const neckMm = uniform * Math.min(clampMm, GATHERS_DIAMETERS * thread.diameterMm)
  const drawnMm = beyondN * complianceMmPerN
  const pullAt = (permanentMm: number) => yieldN + (mostN - yieldN) * (1 - (1 - permanentMm / neckMm) ** 2)
  // What is drawn is shared between what stays and what springs back; both grow, so there is one answer.
  const wants = (permanentMm: number) => permanentMm + (pullAt(permanentMm) - yieldN) * complianceMmPerN
  if (wants(neckMm) < drawnMm) return { pullN: mostN, permanentMm: neckMm, breaks: true }
  let [low, high] = [0, neckMm]
  for (let step = 0; step < 50; step++) {
    const middle = (low + high) / 2
    if (wants(middle) < drawnMm) low = middle
    else high = middle
  }
  return { pullN: pullAt(low), permanentMm: low, breaks: false }
}
