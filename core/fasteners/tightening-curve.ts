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

/** Torque with single spikes taken out: each the middle one of itself and the two before it. It looks at nothing that comes later. */
export function calmed(samples: TighteningSample[]): number[] {
  return samples.map((_, index) =>
    median(samples.slice(Math.max(0, index - 2), index + 1).map(sample => sample.torqueNm)),
  )
}

/** The angle from the first sample on at which a torque is first reached, or `null`. */
export function angleAt(samples: TighteningSample[], calm: number[], torqueNm: number): number | null {
  const index = calm.findIndex(value => value >= torqueNm)
  return index < 0 ? null : samples[index]!.angleDeg - samples[0]!.angleDeg
}

/** The scatter of a series that may rise: from its second differences, which a straight slope leaves at zero. In the series' unit. */
export function scatterOf(values: number[]): number {
  const seconds = values.slice(2).map((value, index) => Math.abs(value - 2 * values[index + 1]! + values[index]!))
  return (1.4826 * median(seconds)) / Math.sqrt(6)
}
