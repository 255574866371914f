import { FieldError, within } from '../base/field-error'

/** A job that is finished: what was foretold of it, as draws, and what it took. */
export interface Foretold {
  predicted: readonly number[]
  actual: number
}

export interface Calibration {
  /** Where each job fell in what was foretold, from 0 to 1; evenly spread where that was right. */
  pit: number[]
  /** Of a hundredth share that was foretold, the share of jobs that were done by then. */
  coverage: { 50: number; 80: number; 95: number }
  /** Mean loss over all shares from 1 to 19 twentieths, in the unit of what was foretold; less is better, and sharp and right is least. */
  pinball: number
}

const TWENTIETHS = Array.from({ length: 19 }, (_, index) => (index + 1) / 20)

/**
 * How what was foretold came true.
 * Source: probability integral transform and quantile loss, Gneiting, Balabdaoui and Raftery 2007; from memory.
 * @throws FieldError where nothing was foretold, or a number is none
 */
export function calibration(pairs: readonly Foretold[]): Calibration {
  if (pairs.length === 0) throw new FieldError('pairs', 'At least one job is wanted.')
  const sorted = pairs.map(({ predicted, actual }, index) => {
    if (predicted.length === 0) throw new FieldError(`pairs[${index}].predicted`, 'Nothing was foretold.')
    within(`pairs[${index}].actual`, actual, -1e9, 1e9, 'What it took')
    predicted.forEach((value, at) => within(`pairs[${index}].predicted[${at}]`, value, -1e9, 1e9, 'What was foretold'))
    return { draws: [...predicted].sort((a, b) => a - b), actual }
  })
  const pit = sorted.map(({ draws, actual }) => {
    const below = draws.filter(value => value < actual).length
    const same = draws.filter(value => value === actual).length
    return (below + same / 2) / draws.length
  })
  const covered = (share: number) =>
    sorted.filter(({ draws, actual }) => actual <= quantile(draws, share)).length / sorted.length
  const losses = sorted.flatMap(({ draws, actual }) =>
    TWENTIETHS.map(share => {
      const off = actual - quantile(draws, share)
      return off >= 0 ? share * off : (share - 1) * off
    }),
  )
  return {
    pit,
    coverage: { 50: covered(0.5), 80: covered(0.8), 95: covered(0.95) },
    pinball: losses.reduce((sum, loss) => sum + loss, 0) / losses.length,
  }
}

/** The least draw below or at which a share of all lies. */
function quantile(draws: readonly number[], share: number): number {
  return draws[Math.min(draws.length - 1, Math.max(0, Math.ceil(share * draws.length) - 1))]!
}
