import { FieldError, within } from '../base/field-error'
import { quantity } from '../say/quantity'
import type { FrictionClutch } from './friction-torque'
import { launchHeat } from './launch-heat'
import type { Launch, LaunchHeat } from './launch-heat'
import { releaseDemand } from './release-demand'
import type { ReleaseDemand } from './release-demand'
import { torqueCapacity } from './torque-capacity'
import type { TorqueCapacity } from './torque-capacity'

/** A clutch that may go in. */
export interface ClutchCandidate extends Omit<FrictionClutch, 'model'> {
  name: string
  /** Way of the finger tip against way of the plate. */
  fingerRatio: number
  liftPerFaceMm: number
  /** Iron that takes the heat, in kg. */
  ironKg: number
  /** Lining worn off already, as a share of what may wear; 0 for a new one. */
  wornShare?: number
}

/** What it has to do. */
export interface ClutchUse {
  engineNm: number
  /** For towing or tuning; 1 as built. */
  factor: number
  /** The start that it has to stand, and how many of them in a row. */
  start: Pick<Launch, 'massKg' | 'ratio' | 'tyreRadiusMm' | 'enginePerMinute' | 'loadNm'>
  startsInARow: number
  /** What slave or cable can give at the bearing: how far, in mm, and how hard, in N; left out where it was not worked out. */
  givesMm?: number
  givesN?: number
}

export interface ComparedClutch {
  name: string
  capacity: TorqueCapacity
  release: ReleaseDemand
  /** `null` where it does not even carry the load of the start. */
  heat: LaunchHeat | null
  /** How much warmer the iron is after the starts in a row, in °C. */
  riseC: number | null
  fits: boolean
  /** Why not, or what speaks against it; nothing where it is right. */
  against: string[]
}

export interface ClutchComparison {
  /** Those that fit first; of these the lightest to press. */
  ranked: ComparedClutch[]
  because: string
}

/** Iron that was warmed by more than this in a row of starts burns the lining. Common practice, no source. */
const HOT_C = 200
/** With less than a third of its lining left nobody puts one in again. Common practice, no source. */
const WORN = 2 / 3

/**
 * Clutches side by side for one use: what each carries, what it asks of foot and slave, how warm a row of starts makes it, how much of
 * it is worn; which fits, and why the others do not.
 * @throws FieldError on no candidate, or on a field of one
 */
export function compareClutches(use: ClutchUse, candidates: ClutchCandidate[]): ClutchComparison {
  if (candidates.length === 0) throw new FieldError('candidates', 'At least one clutch is wanted.')
  within('startsInARow', use.startsInARow, 1, 100, 'The number of starts')
  const ranked = candidates
    .map((candidate, index) => compared(use, candidate, `candidates[${index}]`))
    .sort((a, b) => Number(b.fits) - Number(a.fits) || a.release.workJ - b.release.workJ)
  const [first] = ranked
  const others = ranked.slice(1).flatMap(({ name, fits, against }) => {
    if (!fits) return [`Not ${name}: ${against.join(' ')}`]
    return [`${name} fits too, and is heavier to press.${against.length > 0 ? ` ${against.join(' ')}` : ''}`]
  })
  const said = first!.fits
    ? `${first!.name}: ${first!.capacity.because}${first!.against.length > 0 ? ` ${first!.against.join(' ')}` : ''}`
    : `None of them fits this use. ${first!.name}: ${first!.against.join(' ')}`
  return { ranked, because: [said, ...others].join(' ') }
}

function compared(use: ClutchUse, candidate: ClutchCandidate, path: string): ComparedClutch {
  const { name, fingerRatio, liftPerFaceMm, ironKg, wornShare = 0, ...lining } = candidate
  within(`${path}.wornShare`, wornShare, 0, 1, 'The share worn off')
  const capacity = torqueCapacity(lining, { torqueNm: use.engineNm, factor: use.factor })
  const release = releaseDemand({ clampN: lining.clampN, fingerRatio, liftPerFaceMm, faces: lining.faces })
  const carries = capacity.wearNm > use.start.loadNm * 1.01
  const heat = carries
    ? launchHeat({
        ...use.start,
        clutchNm: capacity.wearNm,
        ironKg,
        faceMm2: (Math.PI / 4) * (lining.outerMm ** 2 - lining.innerMm ** 2),
        faces: lining.faces,
      })
    : null
  const riseC = heat && heat.riseC * use.startsInARow
  const stops = [
    capacity.verdict === 'slips' ? capacity.because : null,
    use.givesMm !== undefined && release.bearingMm > use.givesMm
      ? `It wants ${quantity(release.bearingMm, 'mm', 1)} of the bearing, which gets ${quantity(use.givesMm, 'mm', 1)}: it drags.`
      : null,
    use.givesN !== undefined && release.bearingN > use.givesN
      ? `It asks ${quantity(release.bearingN, 'N', 0)} of the bearing, which gives ${quantity(use.givesN, 'N', 0)}.`
      : null,
    riseC !== null && riseC > HOT_C
      ? `${use.startsInARow} such starts in a row warm it by ${quantity(riseC, 'K', 0)}: the lining burns.`
      : null,
    wornShare > WORN ? `${Math.round(wornShare * 100)} in 100 of its lining is gone.` : null,
  ].filter(each => each !== null)
  const noted = [
    capacity.verdict === 'thin' || capacity.verdict === 'heavy' ? capacity.because : null,
    wornShare > 0 && wornShare <= WORN ? `${Math.round(wornShare * 100)} in 100 of its lining is gone.` : null,
  ].filter(each => each !== null)
  return { name, capacity, release, heat, riseC, fits: stops.length === 0, against: stops.length > 0 ? stops : noted }
}
