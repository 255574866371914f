import { FieldError, within } from '../base/field-error'

export type DiscWear = 'good' | 'worn' | 'finished'

export interface DiscVerdict {
  verdict: DiscWear
  /** Share of what may wear off that is gone, 0 for new, 1 at the minimum. */
  wornShare: number
  /** Thinnest place, in mm. */
  thinnestMm: number
  /** Thickest less thinnest, in mm. */
  spreadMm: number
  /** Kilometres left at the rate worn so far; only where the distance is known and something is worn. */
  remainingKm?: number
  /** The same with all that is not known of it taken the bad and the good way. */
  remainingRangeKm?: [low: number, high: number]
  /** Worn more on one side than wear alone explains. */
  uneven: boolean
  /** It is thicker than it should be when new: the one or the other thickness is wrong, and no wear is told. */
  thickerThanNew: boolean
  because: string
}

/** From this share on it would not last another set of seals. Common practice, no source. */
const WORN_SHARE = 0.6
/** What a caliper on a lining may be off, and what a new disc varies by, in mm. Common practice, no source. */
const CALIPER_MM = 0.05
const NEW_DISC_MM = 0.1
/** With less than this share of the lining left at its thinnest place it is worn, whatever the mean says. Common practice, no source. */
const THIN_SHARE = 0.25
/** Another driver, or another road, wears it so many times faster or slower. Common practice, no source. */
const DRIVER_TIMES = 1.5
/** No disc is foretold to go further than this, in km. Common practice, no source. */
const FARTHEST_KM = 300_000
/** More than this between thickest and thinnest is no even wear, in mm. Common practice, no source. */
const UNEVEN_MM = 0.3

/**
 * How far a clutch disc is worn, and how far it would still go.
 *
 * The thinnest place decides, the mean gives the share: what a caliper cannot tell from nothing is nothing. What is left is divided by the
 * rate so far; the range lets the thickness when new, the caliper and the spread of the readings be off the one way and the other, and
 * somebody else drive.
 * @param disc thickness when new, least thickness, readings at several places, in mm; `distanceKm` what it ran since new
 * @throws FieldError on a thickness that is none, a minimum that is not below the new one, or no reading
 */
export function discVerdict({
  newMm,
  minimumMm,
  readingsMm,
  distanceKm,
}: {
  newMm: number
  minimumMm: number
  readingsMm: number[]
  distanceKm?: number
}): DiscVerdict {
  within('newMm', newMm, 1, 60, 'The thickness when new in mm')
  within('minimumMm', minimumMm, 0.5, 60, 'The least thickness in mm')
  if (minimumMm >= newMm) throw new FieldError('minimumMm', 'The least thickness lies below the thickness when new.')
  if (readingsMm.length === 0) throw new FieldError('readingsMm', 'At least one reading is wanted.')
  for (const [index, reading] of readingsMm.entries())
    within(`readingsMm[${index}]`, reading, 0.5, newMm + 2, 'The thickness in mm')
  if (distanceKm !== undefined) within('distanceKm', distanceKm, 0, 2_000_000, 'The distance in km')

  const thinnestMm = Math.min(...readingsMm)
  const spreadMm = Math.max(...readingsMm) - thinnestMm
  const meanMm = readingsMm.reduce((sum, reading) => sum + reading, 0) / readingsMm.length
  const wornMm = newMm - meanMm
  const thickerThanNew = -wornMm > CALIPER_MM + NEW_DISC_MM
  const wornShare = Math.max(0, wornMm / (newMm - minimumMm))
  const leftMm = thinnestMm - minimumMm
  const thin = leftMm < THIN_SHARE * (newMm - minimumMm)
  const verdict: DiscWear = leftMm <= CALIPER_MM ? 'finished' : wornShare >= WORN_SHARE || thin ? 'worn' : 'good'
  const uneven = spreadMm > UNEVEN_MM

  const doubt = Math.hypot(CALIPER_MM, NEW_DISC_MM, spreadMm / 2)
  const rateKnown = distanceKm !== undefined && distanceKm > 0 && wornMm > doubt
  const left = (worn: number, rest: number) => Math.min(FARTHEST_KM, (Math.max(0, rest) * distanceKm!) / worn)
  const remaining = rateKnown
    ? {
        remainingKm: left(wornMm, leftMm),
        remainingRangeKm: [
          left((wornMm + doubt) * DRIVER_TIMES, leftMm - CALIPER_MM),
          left((wornMm - doubt) / DRIVER_TIMES, leftMm + CALIPER_MM),
        ] as [number, number],
      }
    : {}

  const state = thickerThanNew
    ? `It measures {${(-wornMm).toFixed(2)} mm} more than a new one: the thickness when new is wrong, or it is another disc. Nothing is said of its wear.`
    : verdict === 'finished'
      ? `At {${thinnestMm.toFixed(2)} mm} it is at its end: {${minimumMm.toFixed(2)} mm} is the least.`
      : `${Math.round(wornShare * 100)} of 100 parts of its lining are gone; {${leftMm.toFixed(2)} mm} are left above the least${verdict === 'worn' && wornShare < WORN_SHARE ? ' at its thinnest place' : ''}.`
  const side = uneven
    ? ` It is {${spreadMm.toFixed(2)} mm} thinner at one place than at another: it ran out of true, or against a face that does.`
    : ''
  return { verdict, wornShare, thinnestMm, spreadMm, ...remaining, uneven, thickerThanNew, because: state + side }
}
