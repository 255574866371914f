/** Input that cannot be computed with: which field is at fault, and why, in words for the person who typed it. */
export class FieldError extends RangeError {
  override name = 'FieldError'
  constructor(
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path}: ${reason}`)
  }
}

/**
 * A finite number within bounds, or a `FieldError` on its field.
 * @param low the least value allowed; with `above` it must be exceeded
 */
export function within(path: string, value: number, low: number, high: number, what: string): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) throw new FieldError(path, `${what} is a number.`)
  if (value < low || value > high)
    throw new FieldError(path, `${what} lies between ${low} and ${high}, not at ${value}.`)
  return value
}
