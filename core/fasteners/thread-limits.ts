import { minorDiameterMm, pitchDiameterMm } from './thread'
import type { Thread } from './thread'

const INCH_MM = 25.4

/** The diameters of a pair of threads that are worst for its strength, in mm: least metal on either side. */
export interface LeastMaterial {
  /** Of the bolt: its outside and its flanks. */
  boltMajorMm: number
  boltPitchMm: number
  /** Of the tapped hole: its bore and its flanks. */
  holeMinorMm: number
  holePitchMm: number
}

/** Bounds of the ranges of diameters over which ISO 965-1 takes one tolerance, in mm. */
const RANGES = [0.99, 1.4, 2.8, 5.6, 11.2, 22.4, 45, 90, 180]

/**
 * Least material of a bolt and a tapped hole of the usual tolerances, 6g and 6H, or 2A and 2B.
 * Source: the formulae of ISO 965-1 and of ASME B1.1 (from memory).
 */
export function leastMaterial(thread: Thread): LeastMaterial {
  return thread.system === 'metric' ? metric(thread) : unified(thread)
}

/** ISO 965-1, in µm: es(g) = 15 + 11 P; Td(6) = 180 P^⅔ − 3.15 / √P; Td2(6) = 90 P^0.4 d^0.1; TD2(6) = 1.32 Td2(6); TD1(6). */
function metric(thread: Thread): LeastMaterial {
  const { diameterMm, pitchMm } = thread
  const top = RANGES.findIndex(bound => diameterMm <= bound)
  const middle = top > 0 ? Math.sqrt(RANGES[top - 1]! * RANGES[top]!) : diameterMm
  const clear = (15 + 11 * pitchMm) / 1000
  const major = (180 * pitchMm ** (2 / 3) - 3.15 / Math.sqrt(pitchMm)) / 1000
  const flank = (90 * pitchMm ** 0.4 * middle ** 0.1) / 1000
  const minor = (pitchMm >= 1 ? 230 * pitchMm ** 0.7 : 433 * pitchMm - 190 * pitchMm ** 1.22) / 1000
  return {
    boltMajorMm: diameterMm - clear - major,
    boltPitchMm: pitchDiameterMm(thread) - clear - flank,
    holeMinorMm: minorDiameterMm(thread) + minor,
    holePitchMm: pitchDiameterMm(thread) + 1.32 * flank,
  }
}

/** ASME B1.1, in inches, engaged over one diameter: Td2 = 0.0015 ∛D + 0.0015 √D + 0.015 P^⅔; allowance 0.3 Td2; Td = 0.06 P^⅔; TD2 = 1.3 Td2; TD1. */
function unified(thread: Thread): LeastMaterial {
  const d = thread.diameterMm / INCH_MM
  const p = thread.pitchMm / INCH_MM
  const flank = 0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(d) + 0.015 * p ** (2 / 3)
  const clear = 0.3 * flank
  const minor = d < 0.25 ? 0.05 * p ** (2 / 3) + (0.03 * p) / d - 0.002 : 0.25 * p - 0.4 * p ** 2
  return {
    boltMajorMm: (d - clear - 0.06 * p ** (2 / 3)) * INCH_MM,
    boltPitchMm: pitchDiameterMm(thread) - (clear + flank) * INCH_MM,
    holeMinorMm: minorDiameterMm(thread) + minor * INCH_MM,
    holePitchMm: pitchDiameterMm(thread) + 1.3 * flank * INCH_MM,
  }
}
