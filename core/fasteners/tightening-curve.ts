/** One reading of a wrench: how far the bolt has been turned, and against what torque. */
export interface TighteningSample {
  angleDeg: number
  torqueNm: number
}

const middle = (sorted: number[]): number =>
  sorted.length % 2
    ? sorted[(sorted.length - 1) / 2]!
    : (sorted[sorted.length / 2 - 1]! + sorted[sorted.length / 2]!) / 2

/** The middle value; zero of nothing. */
export function median(values: number[]): number {
  return values.length === 0 ? 0 : middle([...values].sort((a, b) => a - b))
}

/** The middle one of three numbers. */
export const middleOf = (a: number, b: number, c: number): number =>
  Math.max(Math.min(a, b), Math.min(Math.max(a, b), c))

/** The middle one of three readings, at the angle of the second: a single reading that leaps is gone, a slope stays as it is. */
export function steady(before: TighteningSample, at: TighteningSample, after: TighteningSample): TighteningSample {
  return { angleDeg: at.angleDeg, torqueNm: middleOf(before.torqueNm, at.torqueNm, after.torqueNm) }
}

/** A whole record without single readings that leap; the last stands as it is. */
export function steadied(samples: TighteningSample[]): TighteningSample[] {
  return samples.map((at, index) =>
    index === 0 || index === samples.length - 1 ? at : steady(samples[index - 1]!, at, samples[index + 1]!),
  )
}

/** The scatter of a series that may rise: from its second differences, which a straight slope leaves at zero. In the series' unit. */
export function scatterOf(values: number[]): number {
  const seconds = values.slice(2).map((value, index) => Math.abs(value - 2 * values[index + 1]! + values[index]!))
  return (1.4826 * median(seconds)) / Math.sqrt(6)
}
