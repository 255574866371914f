import { gripped } from './grip'
import { RiseMark } from './rise-mark'
import { RunningLine } from './running-line'
import { median, steadied } from './tightening-curve'
import type { TighteningSample } from './tightening-curve'

/** Above the torque of running down by this share of the target, a bolt counts as meeting something. */
export const RISE_SHARE = 0.08
/** Levels above the running-down torque, as shares of the target, at which a rising curve is measured. */
export const LEVELS = { start: 0.2, first: 0.4, second: 0.7 } as const

/** What good bolts of the same group scatter like before any is measured: share of the way run down, and of the logarithm of the rise. Common practice, no source. */
const USUAL_SCATTER = { rise: 0.035, span: 0.12 }
/** So many measured bolts the usual scatter weighs as. */
const USUAL_WEIGHT = 2
/** A bolt outside this many standard deviations is not like its siblings. */
const UNLIKE = 3.5
/** A bolt may run down so many times heavier than the heaviest of its siblings. Common practice, no source. */
const HEAVIER = 1.6
/** A curve of fewer readings says nothing. */
const LEAST_READINGS = 8

/** What the good bolts of a group have in common, against which the next one is read. Angles in degrees from the first sample. */
export interface Siblings {
  /** Torque while running down, just before they rise, in N·m. */
  baseNm: number
  /** The most that is like them once they were turned so far, in N·m: a nut that locks is met somewhere, a cover is drawn down from somewhere on. */
  expectedNm: (turnedDeg: number) => number
  /** Where they begin to rise, and how much earlier is not like them any more. */
  riseDeg: number
  riseMarginDeg: number
  /** From there to each level, and how many times that is not like them any more; `null` where they were not turned so far. */
  spans: Record<keyof typeof LEVELS, { deg: number; factor: number } | null>
  /** How far the straightest part of their rise strays from a line, in N·m: friction that drifts, and no single readings. */
  bendsNm: number
}

interface Measured {
  samples: TighteningSample[]
  baseNm: number
  riseDeg: number
  riseIndex: number
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
  const measured = curves.flatMap(curve => measure(curve, targetNm) ?? [])
  if (measured.length === 0) return null
  const baseNm = median(measured.map(entry => entry.baseNm))
  const riseDeg = median(measured.map(entry => entry.riseDeg))
  const spanTo = (level: number) => {
    const spans = measured.flatMap(({ samples, baseNm: own, riseDeg: rise, riseIndex }) => {
      const wanted = own + level * (targetNm - own)
      const at = samples.findIndex(({ torqueNm }, index) => index >= riseIndex && torqueNm >= wanted)
      const span = at < 0 ? 0 : samples[at]!.angleDeg - samples[0]!.angleDeg - rise
      return span > 0 ? [span] : []
    })
    return spans.length === 0
      ? null
      : { deg: median(spans), factor: Math.exp(UNLIKE * scatter(spans.map(Math.log), USUAL_SCATTER.span)) }
  }
  return {
    baseNm,
    expectedNm: expectedBy(measured),
    riseDeg,
    riseMarginDeg: Math.max(
      30,
      UNLIKE *
        scatter(
          measured.map(entry => entry.riseDeg),
          USUAL_SCATTER.rise * riseDeg,
        ),
    ),
    spans: { start: spanTo(LEVELS.start), first: spanTo(LEVELS.first), second: spanTo(LEVELS.second) },
    bendsNm: Math.max(...measured.map(entry => bendOf(entry, targetNm))),
  }
}

/** Running down is kept in pieces so long, in degrees; bolts of a group are alike to within two of them. */
const PIECE_DEG = 45

/** What bolts of a group may run down with, by what the heaviest of the good ones did thereabouts. */
function expectedBy(measured: Measured[]): (turnedDeg: number) => number {
  const most: number[] = []
  for (const { samples, riseIndex } of measured) {
    const sums: { sum: number; count: number }[] = []
    for (const { angleDeg, torqueNm } of samples.slice(0, riseIndex)) {
      const piece = (sums[Math.floor((angleDeg - samples[0]!.angleDeg) / PIECE_DEG)] ??= { sum: 0, count: 0 })
      piece.sum += torqueNm
      piece.count++
    }
    sums.forEach(({ sum, count }, index) => (most[index] = Math.max(most[index] ?? 0, sum / count)))
  }
  const thereabouts = Array.from(
    most,
    (_, at) => HEAVIER * Math.max(0, ...most.slice(Math.max(0, at - 2), at + 3).filter(Number.isFinite)),
  )
  return turnedDeg => thereabouts[Math.min(Math.floor(turnedDeg / PIECE_DEG), thereabouts.length - 1)] ?? 0
}

/** Part of the rise that is straight in a sound bolt, as levels, and over how many degrees single readings are evened out. */
const STRAIGHT = { from: 0.35, overDeg: 8 }

/** How far a good bolt strays from the line through the straight part of its rise, evened over a few degrees. */
function bendOf({ samples, baseNm, riseIndex }: Measured, targetNm: number): number {
  const from = samples.findIndex(
    ({ torqueNm }, index) => index >= riseIndex && torqueNm >= baseNm + STRAIGHT.from * (targetNm - baseNm),
  )
  const part = from < 0 ? [] : samples.slice(from)
  if (part.length < LEAST_READINGS) return 0
  const line = new RunningLine()
  for (const { angleDeg, torqueNm } of part) line.add(angleDeg, torqueNm)
  const fit = line.fit(0, part.length)
  const rest = part.map(({ angleDeg, torqueNm }) => torqueNm - fit.at(angleDeg))
  let most = 0
  for (let start = 0, end = 0; end < part.length; end++) {
    while (part[end]!.angleDeg - part[start]!.angleDeg > STRAIGHT.overDeg) start++
    const over = rest.slice(start, end + 1)
    if (over.length >= 3) most = Math.max(most, Math.abs(over.reduce((sum, value) => sum + value, 0) / over.length))
  }
  return most
}

/** Where a good bolt met its part, and what it ran down with. */
function measure(curve: TighteningSample[], targetNm: number): Measured | null {
  const samples = steadied(gripped(curve, targetNm))
  if (samples.length < LEAST_READINGS) return null
  const mark = new RiseMark(targetNm, RISE_SHARE, () => targetNm / 2, Infinity)
  for (const sample of samples) mark.add(sample)
  if (mark.index <= 0) return null
  return {
    samples,
    baseNm: mark.levelNm,
    riseIndex: mark.index,
    riseDeg: samples[mark.index]!.angleDeg - samples[0]!.angleDeg,
  }
}
