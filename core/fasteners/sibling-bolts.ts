import { angleAt, calmed, median } from './tightening-curve'
import type { TighteningSample } from './tightening-curve'

/** Above the torque of running down by this share of the target, a bolt counts as meeting something. */
const RISE_SHARE = 0.08
/** Levels above the running-down torque, as shares of the target, at which a rising curve is measured. */
export const LEVELS = { start: 0.2, first: 0.4, second: 0.7 } as const

/** What good bolts of the same group scatter like before any is measured: share of the way run down, and of the logarithm of the rise. Common practice, no source. */
const USUAL_SCATTER = { rise: 0.035, span: 0.12 }
/** So many measured bolts the usual scatter weighs as. */
const USUAL_WEIGHT = 2
/** Up to this share of the target a curve must reach to be of use. */
const FROM_SHARE = 0.2
/** A bolt outside this many standard deviations is not like its siblings. */
const UNLIKE = 3.5

/** What the good bolts of a group have in common, against which the next one is read. Angles in degrees from the first sample. */
export interface Siblings {
  /** Torque while running down, in N·m. */
  baseNm: number
  riseNm: number
  /** Where they begin to rise, and how much earlier is not like them any more. */
  riseDeg: number
  riseMarginDeg: number
  /** From there to each level, and how many times that is not like them any more; `null` where they were not turned so far. */
  spans: Record<keyof typeof LEVELS, { deg: number; factor: number } | null>
}

function scatter(values: number[], usual: number): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
  return (
    Math.sqrt((USUAL_WEIGHT * usual ** 2 + squares) / (USUAL_WEIGHT + values.length - 1)) *
    Math.sqrt(1 + 1 / values.length)
  )
}

/**
 * Sums up the good bolts of a group.
 * @returns `null` when none of them shows a whole rise
 */
export function siblingsOf(curves: TighteningSample[][], targetNm: number): Siblings | null {
  const whole = curves.filter(samples => samples.length >= 8).map(samples => ({ samples, calm: calmed(samples) }))
  const bases = whole.flatMap(({ samples, calm }) => {
    const up = angleAt(samples, calm, targetNm * FROM_SHARE)
    if (up === null) return []
    return [
      median(
        samples.filter(sample => sample.angleDeg - samples[0]!.angleDeg <= up * 0.7).map(sample => sample.torqueNm),
      ),
    ]
  })
  if (bases.length === 0) return null
  const baseNm = median(bases)
  const riseNm = baseNm + RISE_SHARE * targetNm
  const measured = whole.flatMap(({ samples, calm }) => {
    const rise = lastRise(samples, calm, riseNm)
    return rise === null ? [] : [{ samples, calm, rise }]
  })
  if (measured.length === 0) return null
  const riseDeg = median(measured.map(entry => entry.rise))
  const spanTo = (level: number) => {
    const spans = measured.flatMap(({ samples, calm, rise }) => {
      const at = angleAt(samples, calm, baseNm + level * (targetNm - baseNm))
      return at === null || at <= rise ? [] : [at - rise]
    })
    return spans.length === 0
      ? null
      : { deg: median(spans), factor: Math.exp(UNLIKE * scatter(spans.map(Math.log), USUAL_SCATTER.span)) }
  }
  return {
    baseNm,
    riseNm,
    riseDeg,
    riseMarginDeg: Math.max(
      30,
      UNLIKE *
        scatter(
          measured.map(entry => entry.rise),
          USUAL_SCATTER.rise * riseDeg,
        ),
    ),
    spans: { start: spanTo(LEVELS.start), first: spanTo(LEVELS.first), second: spanTo(LEVELS.second) },
  }
}

/** Where the curve leaves the running-down torque for good. */
function lastRise(samples: TighteningSample[], calm: number[], riseNm: number): number | null {
  const below = calm.findLastIndex(value => value < riseNm)
  return below < 0 || below === samples.length - 1 ? null : samples[below + 1]!.angleDeg - samples[0]!.angleDeg
}
