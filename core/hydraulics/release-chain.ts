import { FieldError, within } from '../base/field-error'
import { boreArea } from './bore-area'
import { releaseTravel } from './release-travel'

/** What the pedal works through. */
export type Linkage =
  | { kind: 'hydraulic'; masterBoreMm: number; slaveBoreMm: number }
  /** Cable or rods: travel of the pedal's end to one of the fork's. */
  | { kind: 'cable' | 'lever'; ratio: number; stretchMm: number }

export interface ReleaseChain {
  linkage: Linkage
  pedalTravelMm: number
  pedalRatio: number
  forkRatio: number
  fingerRatio: number
  faces: number
  /** Travel of the pad before anything moves. */
  freePlayMm: number
  /** Travel of the pad that air and hose swallow. */
  lostMm?: number
  /** Lift of each face at which the disc runs free, and how far the fingers may be pushed at most. */
  liftWantedMm: number
  bearingMostMm: number
  /** Release load at the bearing, in N. */
  releaseN: number
  /** What the fingers may still come forward as the lining wears, at the bearing, in mm. */
  wearLeftMm?: number
}

export interface ReleaseReport {
  slaveMm: number | null
  bearingMm: number
  liftPerFaceMm: number
  /** Force of the foot, in N, without friction. */
  pedalN: number
  /** Pressure in the line, in bar; `null` without one. */
  pressureBar: number | null
  /** Travel of the pad at which each begins: take-up where the plate begins to lift, released where the faces run free. */
  takeUpMm: number
  releasedMm: number | null
  /** Travel of the pad at which the fingers are pushed further than they may; `null` where the stop comes first. */
  overMm: number | null
  /** Lift at full travel over the lift wanted. */
  margin: number
  curve: { pedalMm: number; liftPerFaceMm: number }[]
  verdict: 'right' | 'short' | 'over' | 'heavy'
  because: string
}

/** More than this share of lift beyond what is wanted is a margin for wear and heat. Common practice, no source. */
const ENOUGH = 1.15
/** A foot holds this all day, and no more. Common practice, no source. */
const HEAVY_N = 220
const POINTS = 80

/**
 * The whole way from the foot to the plate: travels, force, and what margin is left. Tells an upgrade that does not fit
 * before it is fitted: a bigger slave or a second disc that is not lifted free, a smaller one that pushes the fingers too far.
 * @throws FieldError on the field at fault
 */
export function releaseChain(chain: ReleaseChain): ReleaseReport {
  const {
    linkage,
    pedalTravelMm,
    pedalRatio,
    forkRatio,
    fingerRatio,
    faces,
    freePlayMm,
    lostMm = 0,
    liftWantedMm,
    bearingMostMm,
    releaseN,
  } = chain
  within('freePlayMm', freePlayMm, 0, 100, 'The free play in mm')
  within('liftWantedMm', liftWantedMm, 0.05, 3, 'The lift wanted in mm')
  within('bearingMostMm', bearingMostMm, 1, 60, 'The most the bearing may go in mm')
  within('releaseN', releaseN, 0, 20_000, 'The release load in N')
  const stretchMm =
    linkage.kind === 'hydraulic'
      ? 0
      : within('stretchMm', linkage.stretchMm, 0, 20, 'The stretch in mm') *
        within('ratio', linkage.ratio, 0.2, 10, 'The ratio of the linkage') *
        pedalRatio
  const dead = freePlayMm + lostMm + stretchMm
  if (dead >= pedalTravelMm) throw new FieldError('freePlayMm', 'Free play and lost travel take the whole pedal.')
  const at = (pedalMm: number) => travelOf(chain, Math.max(0, pedalMm - dead))
  const full = at(pedalTravelMm)
  const perMm = full.bearingMm / (pedalTravelMm - dead)
  const pedalFor = (bearingMm: number) => dead + bearingMm / perMm
  const releasedMm = pedalFor(liftWantedMm * faces * fingerRatio)
  const overMm = pedalFor(bearingMostMm)
  const slaveN = releaseN / forkRatio
  const pressureBar = linkage.kind === 'hydraulic' ? (slaveN / boreArea(linkage.slaveBoreMm)) * 10 : null
  const masterN =
    linkage.kind === 'hydraulic' ? slaveN * (linkage.masterBoreMm / linkage.slaveBoreMm) ** 2 : slaveN / linkage.ratio
  const pedalN = masterN / pedalRatio
  const margin = full.liftPerFaceMm / liftWantedMm
  return {
    slaveMm: full.slaveMm,
    bearingMm: full.bearingMm,
    liftPerFaceMm: full.liftPerFaceMm,
    pedalN,
    pressureBar,
    takeUpMm: dead,
    releasedMm: releasedMm <= pedalTravelMm ? releasedMm : null,
    overMm: overMm <= pedalTravelMm ? overMm : null,
    margin,
    curve: Array.from({ length: POINTS + 1 }, (_, index) => ({
      pedalMm: (pedalTravelMm * index) / POINTS,
      liftPerFaceMm: at((pedalTravelMm * index) / POINTS).liftPerFaceMm,
    })),
    ...verdictOf({
      margin,
      liftMm: full.liftPerFaceMm,
      liftWantedMm,
      bearingMm: full.bearingMm,
      bearingMostMm,
      pedalN,
      faces,
      wearLeftMm: chain.wearLeftMm,
    }),
  }
}

function travelOf(
  { linkage, pedalRatio, forkRatio, fingerRatio, faces }: ReleaseChain,
  pedalTravelMm: number,
): { slaveMm: number | null; bearingMm: number; liftPerFaceMm: number } {
  if (linkage.kind === 'hydraulic')
    return releaseTravel({
      pedalTravelMm,
      pedalRatio,
      forkRatio,
      fingerRatio,
      faces,
      masterBoreMm: linkage.masterBoreMm,
      slaveBoreMm: linkage.slaveBoreMm,
    })
  const bearingMm = pedalTravelMm / pedalRatio / linkage.ratio / forkRatio
  return { slaveMm: null, bearingMm, liftPerFaceMm: bearingMm / fingerRatio / faces }
}

function verdictOf(found: {
  margin: number
  liftMm: number
  liftWantedMm: number
  bearingMm: number
  bearingMostMm: number
  pedalN: number
  faces: number
  wearLeftMm?: number
}): Pick<ReleaseReport, 'verdict' | 'because'> {
  const { margin, liftMm, liftWantedMm, bearingMm, bearingMostMm, pedalN, faces, wearLeftMm } = found
  const wear =
    wearLeftMm === undefined ? '' : ` {${wearLeftMm.toFixed(1)} mm} are left at the bearing for the lining to wear.`
  if (margin < 1)
    return {
      verdict: 'short',
      because: `Each of ${faces} faces would lift {${liftMm.toFixed(2)} mm} of the {${liftWantedMm.toFixed(2)} mm} wanted: it drags. A larger master, a smaller slave, or less lost travel.`,
    }
  if (bearingMm > bearingMostMm)
    return {
      verdict: 'over',
      because: `The bearing would go {${bearingMm.toFixed(1)} mm} where the fingers stand {${bearingMostMm.toFixed(1)} mm}: set the pedal stop, or they are bent.`,
    }
  if (pedalN > HEAVY_N)
    return {
      verdict: 'heavy',
      because: `The foot would have to push {${Math.round(pedalN)} N}; more than {${HEAVY_N} N} nobody holds at a light.`,
    }
  if (margin < ENOUGH)
    return {
      verdict: 'right',
      because: `It releases with ${Math.round((margin - 1) * 100)} in 100 to spare: little for heat and a drop of air.${wear}`,
    }
  return { verdict: 'right', because: `It releases with ${Math.round((margin - 1) * 100)} in 100 to spare.${wear}` }
}
