import { within } from '../base/field-error'
import { brakeFluid, GRAVITY } from './fluid'
import type { LineFluid } from './fluid'

/** A slug in a wide vertical tube rises at this share of √(g D) (Dumitrescu 1943, Davies and Taylor 1950). */
const SLUG_SHARE = 0.345
/** Below this Eötvös number ρ g D² / σ surface tension holds a slug where it is; Bretherton 1961 found 4 × 0.842. */
const HELD = 3.37
/** Between these shares of the bore a bubble turns from a sphere into a slug. */
const SLUG_BETWEEN = [0.5, 0.7] as const
/** A wall slows by its law of creeping flow up to the first Reynolds number, by that of quicker flow from the second on. */
const CREEPS_BETWEEN = [1, 100] as const
/** In a line less steep than this, in degrees, a slug does not keep its nose; from there on down its speed goes to nothing. Own choice. */
const FLAT_DEG = 10
const STEPS = 60

/**
 * How fast a bubble climbs in a line at rest, in mm/s along the line. All from memory:
 *
 * A small one: buoyancy against drag, Stokes with the Schiller–Naumann correction, slowed by the wall: in creeping flow after Haberman and
 * Sayre 1958, in quicker flow as (1 − λ²)^1.5 of the ratio λ of the diameters (Clift, Grace and Weber, Bubbles, Drops and Particles, 1978).
 * One that fills the bore: a slug after Wallis, One-dimensional Two-phase Flow, 1969, which in a narrow bore does not rise at all.
 * A slope drives a sphere by its sine; a slug is quickest in a line that leans (Zukoski 1966, as Bendiksen 1984 and Weber 1981 put it).
 * In a level line nothing climbs.
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
  const steepDeg = Math.abs(slopeDeg)
  const [from, to] = SLUG_BETWEEN
  const asSlug = smooth((ratio - from) / (to - from))
  const speed =
    (asSlug < 1 ? (1 - asSlug) * sphereRise(diameterMm, ratio, fluid) * Math.sin(radians(steepDeg)) : 0) +
    (asSlug > 0 ? asSlug * slugRise(boreMm, steepDeg, fluid) : 0)
  return speed * Math.sign(slopeDeg)
}

const radians = (degrees: number) => (degrees * Math.PI) / 180
/** From 0 to 1 without a corner. */
const smooth = (share: number) => {
  const x = Math.min(1, Math.max(0, share))
  return x * x * (3 - 2 * x)
}

/** In a vertical line k √(g D), k = 0.345 (1 − e^(−0.01 N / 0.345)) (1 − e^((3.37 − Eo) / m)), N the inverse viscosity number, m by N; leaning, a share of the level drift (0.54 − 1.76 Eo^−0.56) √(g D) is added by the cosine. */
function slugRise(boreMm: number, steepDeg: number, { densityKgM3, viscosityMPas, surfaceMNm }: LineFluid): number {
  const bore = boreMm / 1000
  const eotvos = (densityKgM3 * GRAVITY * bore ** 2) / (surfaceMNm / 1000)
  if (eotvos <= HELD) return 0
  const inverse = (densityKgM3 * Math.sqrt(GRAVITY * bore ** 3)) / (viscosityMPas / 1000)
  const m = inverse > 250 ? 10 : inverse > 18 ? 69 * inverse ** -0.35 : 25
  const thin = 1 - Math.exp((-0.01 * inverse) / SLUG_SHARE)
  const free = thin * Math.sqrt(GRAVITY * bore) * 1000
  const upright = SLUG_SHARE * (1 - Math.exp((HELD - eotvos) / m))
  const level = Math.max(0, 0.54 - 1.76 * eotvos ** -0.56)
  const leans = radians(steepDeg)
  return free * (upright * Math.sin(leans) + level * Math.cos(leans)) * Math.min(1, steepDeg / FLAT_DEG)
}

/** A sphere in a bore, in mm/s: Stokes' law where it is slow, drag 24 / Re (1 + 0.15 Re^0.687) beyond, and the wall. */
function sphereRise(diameterMm: number, ratio: number, { densityKgM3, viscosityMPas }: LineFluid): number {
  const [d, mu] = [diameterMm / 1000, viscosityMPas / 1000]
  const stokes = (densityKgM3 * GRAVITY * d ** 2) / (18 * mu)
  let speed = stokes
  for (let step = 0; step < STEPS; step++) {
    const reynolds = (densityKgM3 * speed * d) / mu
    speed = (speed + stokes / (1 + 0.15 * reynolds ** 0.687)) / 2
  }
  const reynolds = (densityKgM3 * speed * d) / mu
  return speed * 1000 * slowedByWall(ratio, reynolds)
}

/** What is left of the speed in a bore: the two laws, one turning into the other by the logarithm of the Reynolds number. */
function slowedByWall(ratio: number, reynolds: number): number {
  const creeping =
    (1 - 2.105 * ratio + 2.0865 * ratio ** 3 - 1.7068 * ratio ** 5 + 0.72603 * ratio ** 6) / (1 - 0.75857 * ratio ** 5)
  const quick = Math.max(0, 1 - ratio ** 2) ** 1.5
  const [from, to] = CREEPS_BETWEEN
  const asQuick = smooth(Math.log(Math.max(reynolds, 1e-12) / from) / Math.log(to / from))
  return Math.max(0, (1 - asQuick) * creeping + asQuick * quick)
}
