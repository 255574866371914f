import { within } from '../base/field-error'

export interface ConcentricGap {
  /** Free way between bearing and fingers with the slave pushed back, in mm. */
  gapMm: number
  /** Shims that bring it into the window, in mm; 0 for none, `null` where no shim helps. */
  shimMm: number | null
  verdict: 'right' | 'too-near' | 'too-far'
  because: string
}

/**
 * Sets up a slave round the input shaft from two depths: bell face to the bearing with the slave pushed right back, and the
 * engine's bell face to the finger tips. The gap is what the bearing travels before it touches; as the lining wears the
 * fingers come towards it, so it must not be used up.
 * A shim behind the slave brings the bearing nearer by its thickness; a bearing too near is cured by no shim.
 * @param depths in mm; `fingersMm` is positive where the tips stand proud of the engine's face; `window` the gap wanted by the sheet
 * @throws FieldError on a length that cannot be
 */
export function concentricGap({
  bearingMm,
  fingersMm,
  windowMm,
  shimsMm,
}: {
  bearingMm: number
  fingersMm: number
  windowMm: [low: number, high: number]
  shimsMm: number[]
}): ConcentricGap {
  within('bearingMm', bearingMm, 0, 400, 'The depth to the bearing in mm')
  within('fingersMm', fingersMm, -200, 400, 'The height of the fingers in mm')
  within('windowMm[0]', windowMm[0], 0, 60, 'The least gap in mm')
  within('windowMm[1]', windowMm[1], windowMm[0], 60, 'The largest gap in mm')
  shimsMm.forEach((shim, index) => within(`shimsMm[${index}]`, shim, 0, 60, 'A shim in mm'))
  const gapMm = bearingMm - fingersMm
  const [low, high] = windowMm
  if (gapMm < low) {
    return {
      gapMm,
      shimMm: null,
      verdict: 'too-near',
      because: `{${gapMm.toFixed(1)} mm} are fewer than {${low.toFixed(1)} mm}: as the lining wears, the fingers push the slave to its end and hold the clutch open. A lower bearing, or a spacer taken out, not a shim.`,
    }
  }
  if (gapMm <= high)
    return {
      gapMm,
      shimMm: 0,
      verdict: 'right',
      because: `{${gapMm.toFixed(1)} mm} lie between {${low.toFixed(1)} mm} and {${high.toFixed(1)} mm}. No shim.`,
    }
  const middle = (low + high) / 2
  const fitting = sums(shimsMm)
    .filter(shim => gapMm - shim >= low && gapMm - shim <= high)
    .sort((a, b) => Math.abs(gapMm - a - middle) - Math.abs(gapMm - b - middle))
  const shimMm = fitting[0] ?? null
  return {
    gapMm,
    shimMm,
    verdict: 'too-far',
    because: `{${gapMm.toFixed(1)} mm} are more than {${high.toFixed(1)} mm}: the slave may run out of travel before it releases. ${shimMm === null ? 'No shim of those named brings it into the window.' : `{${shimMm.toFixed(1)} mm} of shims leave {${(gapMm - shimMm).toFixed(1)} mm}.`}`,
  }
}

/** What up to three shims add up to. */
function sums(shims: number[]): number[] {
  const one = [...new Set(shims.filter(shim => shim > 0))]
  const two = one.flatMap(a => one.map(b => a + b))
  const three = two.flatMap(a => one.map(b => a + b))
  return [...new Set([...one, ...two, ...three].map(sum => Math.round(sum * 1000) / 1000))]
}
