import type { TighteningSample } from './tightening-curve'
import type { TighteningVerdict } from './tightening-reader'

/** What a hand says of a bolt after it, with a wrench that only clicks. */
export const feels = ['normal', 'tight-early', 'keeps-turning', 'gave-way'] as const
export type Feel = (typeof feels)[number]

/** A feel in the words of the reading, so that both lead to the same. */
export function feelVerdict(feel: Feel): { verdict: TighteningVerdict; because: string } {
  switch (feel) {
    case 'normal':
      return { verdict: 'good', because: 'It came tight as the others did.' }
    case 'tight-early':
      return { verdict: 'early', because: 'It was tight before the others were.' }
    case 'keeps-turning':
      return { verdict: 'yielding', because: 'It turned on without getting tighter.' }
    case 'gave-way':
      return { verdict: 'gave-way', because: 'It let go under the hand.' }
  }
}

/** What a speaking wrench leaves of a bolt. */
export interface BoltReading {
  verdict: TighteningVerdict
  peakNm: number
  angleDeg: number
  curve: [angleDeg: number, torqueNm: number][]
}

/** A curve of at most so many points is kept. */
const KEPT_POINTS = 240

/**
 * A reading to be kept: the whole way down thinly, the rise densely, so that it still serves as a sibling.
 * @param samples the whole curve
 */
export function keepReading(verdict: TighteningVerdict, samples: readonly TighteningSample[]): BoltReading {
  const peakNm = Math.max(0, ...samples.map(sample => sample.torqueNm))
  const rise = samples.findIndex(sample => sample.torqueNm > peakNm * 0.2)
  const dense = samples.length - Math.max(rise - 10, 0)
  const every = Math.max(1, Math.ceil(dense / (KEPT_POINTS * 0.7)))
  const sparse = Math.max(1, Math.ceil((samples.length - dense) / (KEPT_POINTS * 0.3)))
  const kept = samples.filter(
    (_, index) =>
      index === samples.length - 1 ||
      (index >= samples.length - dense ? (index - rise) % every === 0 : index % sparse === 0),
  )
  const round = (value: number) => Math.round(value * 100) / 100
  return {
    verdict,
    peakNm: round(peakNm),
    angleDeg: round(samples.at(-1)?.angleDeg ?? 0),
    curve: kept.map(({ angleDeg, torqueNm }) => [round(angleDeg), round(torqueNm)]),
  }
}

/** A kept reading as samples. */
export function samplesOf(reading: BoltReading): TighteningSample[] {
  return reading.curve.map(([angleDeg, torqueNm]) => ({ angleDeg, torqueNm }))
}
