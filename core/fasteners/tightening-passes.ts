import { crossPattern } from './cross-pattern'

export type PassKind = 'contact' | 'part' | 'full' | 'check'

/** One time round the bolts. */
export interface TighteningPass {
  kind: PassKind
  /** The wrench setting, or `null` where the bolt is only brought to contact. */
  torqueNm: number | null
  /** Bolt indices in the order they are turned. */
  order: number[]
}

/** Half the figure on the way draws the part down without bending it. Common practice, no source. */
const PART_SHARE = 0.5

/**
 * The passes that bring a circle of bolts to its figure: contact by hand, part torque, full torque,
 * all in the cross pattern, then a check lap round the circle at the full figure.
 *
 * Source: common practice, no source.
 * @param boltCount bolts on the circle, 3 to 24
 * @param finalNm the figure, in N·m, above zero
 * @throws RangeError on a count or a figure outside these
 */
export function tighteningPasses(boltCount: number, finalNm: number): TighteningPass[] {
  if (!Number.isInteger(boltCount) || boltCount < 3 || boltCount > 24) throw new RangeError(`a tightening run has 3 to 24 bolts, not ${boltCount}`)
  if (!Number.isFinite(finalNm) || finalNm <= 0) throw new RangeError('a tightening run needs a figure above zero')
  const cross = crossPattern(boltCount)
  const circle = cross.map((_, index) => index)
  return [
    { kind: 'contact', torqueNm: null, order: cross },
    { kind: 'part', torqueNm: Math.round(finalNm * PART_SHARE * 10) / 10, order: cross },
    { kind: 'full', torqueNm: finalNm, order: cross },
    { kind: 'check', torqueNm: finalNm, order: circle },
  ]
}
