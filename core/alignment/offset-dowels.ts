import { within } from '../base/field-error'
import { turnDeg } from './dial-reading'

export interface DowelAdvice {
  /** Eccentricity of the dowels to fit, in mm; `null` where none of those offered makes it better. */
  dowelMm: number | null
  /** Where the eccentric side of both dowels points, in degrees on the circle of the dial. */
  pointTo: number
  /** How far the bore lies off with them in, in mm. */
  leftMm: number
  /** What the dial will then show, in mm. */
  leftTotalMm: number
}

/**
 * Which offset dowels bring a bore to the middle, and which way they are turned. Both dowels are turned alike,
 * so the whole bell moves by their eccentricity, straight to where they point.
 * A dowel that moves it too far leaves it off on the other side; the one that leaves least is advised.
 * @param offset how far the bore lies off, and which way it has to go
 * @param sizesMm eccentricities that can be had, in mm
 */
export function offsetDowels(offset: { offsetMm: number; atDeg: number }, sizesMm: number[]): DowelAdvice {
  within('offset.offsetMm', offset.offsetMm, 0, 100, 'The offset in mm')
  sizesMm.forEach((size, index) => within(`sizesMm[${index}]`, size, 0, 100, 'The size of a dowel in mm'))
  const best = sizesMm.reduce<{ size: number | null; left: number }>(
    (found, size) => {
      const left = Math.abs(offset.offsetMm - size)
      return left < found.left ? { size, left } : found
    },
    { size: null, left: offset.offsetMm },
  )
  return { dowelMm: best.size, pointTo: turnDeg(offset.atDeg), leftMm: best.left, leftTotalMm: best.left * 2 }
}
