import { within } from '../base/field-error'
import { brakeFluid, GRAVITY } from './fluid'
import type { LineFluid } from './fluid'

/** A slug in a wide vertical tube rises at this share of √(g D) (Dumitrescu 1943, Davies and Taylor 1950). */
const SLUG_SHARE = 0.345
/** Below this Eötvös number ρ g D² / σ surface tension holds a slug where it is; Bretherton 1961 found 4 × 0.842. */
const HELD = 3.37
/** A bubble wider than this share of the bore moves as a slug. */
const SLUG_FROM = 0.6
const STEPS = 60

/**
 * How fast a bubble climbs in a line at rest, in mm/s along the line. All from memory:
 *
 * A small one: buoyancy against drag, Stokes with the Schiller–Naumann correction, slowed by the wall as (1 − λ²)^1.5 of the
 * ratio λ of the diameters (Clift, Grace and Weber, Bubbles, Drops and Particles, 1978). One that fills more than 0.6 of the
 * bore: a slug after Wallis, One-dimensional Two-phase Flow, 1969, which in a narrow bore does not rise at all.
 * A slope drives it by its sine; in a level line nothing climbs.
 *
 * @param bubble its diameter as a sphere, the bore, and how steeply the line rises to the reservoir
 * @throws FieldError on the field at fault
 */
export function bubbleRise(
  { diameterMm, boreMm, slopeDeg }: { diameterMm: number; boreMm: number; slopeDeg: number },
  fluid: LineFluid = brakeFluid,
): number {
  within('diameterMm', diameterMm, 0, 1000, 'The diameter of the bubble in mm')
  within('boreMm', boreMm, 0.5, 50, 'The bore in mm')
  within('slopeDeg', slopeDeg, -90, 90, 'The slope in degrees')
  if (slopeDeg === 0 || diameterMm === 0) return 0
  const ratio = diameterMm / boreMm
  const speed = ratio > SLUG_FROM ? slugRise(boreMm, fluid) : sphereRise(diameterMm, fluid) * (1 - ratio ** 2) ** 1.5
  return speed * Math.sin((slopeDeg * Math.PI) / 180)
}

/** k √(g D), k = 0.345 (1 − e^(−0.01 N / 0.345)) (1 − e^((3.37 − Eo) / m)), N the inverse viscosity number, m by N. */
function slugRise(boreMm: number, { densityKgM3, viscosityMPas, surfaceMNm }: LineFluid): number {
  const bore = boreMm / 1000
  const eotvos = (densityKgM3 * GRAVITY * bore ** 2) / (surfaceMNm / 1000)
  if (eotvos <= HELD) return 0
  const inverse = (densityKgM3 * Math.sqrt(GRAVITY * bore ** 3)) / (viscosityMPas / 1000)
  const m = inverse > 250 ? 10 : inverse > 18 ? 69 * inverse ** -0.35 : 25
  return (
    SLUG_SHARE *
    (1 - Math.exp((-0.01 * inverse) / SLUG_SHARE)) *
    (1 - Math.exp((HELD - eotvos) / m)) *
    Math.sqrt(GRAVITY * bore) *
    1000
  )
}

/** A sphere in fluid without walls, in mm/s: Stokes' law where it is slow, drag 24 / Re (1 + 0.15 Re^0.687) beyond. */
function sphereRise(diameterMm: number, { densityKgM3, viscosityMPas }: LineFluid): number {
  const [d, mu] = [diameterMm / 1000, viscosityMPas / 1000]
  const stokes = (densityKgM3 * GRAVITY * d ** 2) / (18 * mu)
  let speed = stokes
  for (let step = 0; step < STEPS; step++) {
    const reynolds = (densityKgM3 * speed * d) / mu
    speed = (speed + stokes / (1 + 0.15 * reynolds ** 0.687)) / 2
  }
  return speed * 1000
}
