import { within } from '../base/field-error'

export interface DrainReport {
  /** What came out over what belongs in, 0 to 1 and above. */
  share: number
  low: boolean
  because: string
}

/** Less than this share of its filling explains bad shifting. Common practice, no source. */
const LOW_SHARE = 0.8

/**
 * What the amount that was drained says against what belongs in. What its look means stands with the answers of the sheet.
 * @throws FieldError on an amount that is none
 */
export function drained({ outMl, capacityMl }: { outMl: number; capacityMl: number }): DrainReport {
  within('outMl', outMl, 0, 100_000, 'What came out in ml')
  within('capacityMl', capacityMl, 50, 100_000, 'What belongs in, in ml')
  const share = outMl / capacityMl
  const percent = Math.round(share * 100)
  const low = share < LOW_SHARE
  return {
    share,
    low,
    because: low
      ? `Only ${percent} in 100 of its filling came out: it ran low, and that alone explains stiff or noisy gears. Look for the leak.`
      : `${percent} in 100 of its filling came out.`,
  }
}

/** Strokes of a syringe or hand pump that bring an amount in, rounded up. @throws FieldError on a stroke that is none */
export function syringeStrokes(amountMl: number, strokeMl: number): number {
  within('amountMl', amountMl, 0, 100_000, 'The amount in ml')
  within('strokeMl', strokeMl, 5, 5000, 'One stroke in ml')
  return Math.ceil(amountMl / strokeMl - 1e-9)
}
