import { FieldError, within } from '../base/field-error'

/**
 * The cross (star) pattern for bolts evenly spaced on a circle: each next bolt lies as far as possible
 * from the ones just tightened, so that the part comes down flat.
 *
 * An even circle is a set of opposite pairs. A pair is tightened together, and the pairs themselves,
 * being axes, stand on a circle of half as many places: they follow the cross pattern of that circle.
 * This gives 1-3-2-4 for four, 1-4-2-5-3-6 for six and 1-5-3-7-2-6-4-8 for eight bolts.
 * An odd circle has no opposites; the next bolt is then the one farthest from the last.
 *
 * Source: the orders agree with the legacy cross patterns of ASME PCC-1 (from memory).
 * @param count how many bolts, a whole number from 1 up
 * @returns indices 0…count−1 round the circle, in tightening order
 * @throws RangeError when `count` is not a whole number from 1 up
 */
export function crossPattern(count: number): number[] {
  within('count', count, 1, 1000, 'The number of bolts')
  if (!Number.isInteger(count))
    throw new FieldError('count', `A bolt circle has a whole number of bolts, not ${count}.`)
  if (count === 1) return [0]
  if (count % 2 === 0) {
    const half = count / 2
    return crossPattern(half).flatMap(bolt => [bolt, bolt + half])
  }
  const stride = (count - 1) / 2
  return Array.from({ length: count }, (_, turn) => (turn * stride) % count)
}
