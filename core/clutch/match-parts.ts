import { FieldError, within } from '../base/field-error'
import { measured } from '../say/quantity'

/** One measure of a part, old and new. */
export interface MeasurePair {
  name: string
  old: number
  new: number
  unit: string
  /** May differ by this much. */ within: number
  /** What a difference means. */ because: string
}

export interface PartMatch {
  verdict: 'same' | 'differs' | 'wrong-kit'
  /** Measures that differ, the worst first. */
  differs: (MeasurePair & { by: number })[]
  because: string
}

/**
 * Lays a new part against the old one by its measures. A single size that is off may be a later version of the part;
 * a count that is off, or two sizes, is another kit.
 * @param pairs every measure taken of both; a pair with `within: 0` is a count
 * @throws FieldError on a measure that is none, or none at all
 */
export function matchParts(pairs: MeasurePair[]): PartMatch {
  if (pairs.length === 0) throw new FieldError('pairs', 'At least one measure is wanted.')
  pairs.forEach((pair, index) => {
    within(`pairs[${index}].old`, pair.old, -1e6, 1e6, 'The old measure')
    within(`pairs[${index}].new`, pair.new, -1e6, 1e6, 'The new measure')
    within(`pairs[${index}].within`, pair.within, 0, 1e6, 'What they may differ by')
  })
  const differs = pairs
    .map(pair => ({ ...pair, by: pair.new - pair.old }))
    .filter(pair => Math.abs(pair.by) > pair.within + 1e-9)
    .sort((a, b) => Math.abs(b.by) / (b.within || 0.01) - Math.abs(a.by) / (a.within || 0.01))
  const verdict =
    differs.length === 0
      ? 'same'
      : differs.length > 1 || differs.some(pair => pair.within === 0)
        ? 'wrong-kit'
        : 'differs'
  const said = differs.map(
    pair => `${pair.name}: ${measured(pair.new, pair.unit)} against ${measured(pair.old, pair.unit)}. ${pair.because}`,
  )
  return {
    verdict,
    differs,
    because:
      differs.length === 0
        ? `${pairs.length === 1 ? 'The one measure agrees' : `All ${pairs.length} measures agree`}.`
        : said.join(' '),
  }
}
