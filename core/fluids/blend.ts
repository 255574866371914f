import { within } from '../base/field-error'
import { bottles } from './bottles'
import type { BottleChoice } from './bottles'

/** One kind of a blend. */
export interface BlendPart {
  /** Its share of the filling, 0 to 1. */
  share: number
  bottleMl: number
  onShelfMl: number
}

export interface Blend {
  /** How much of each kind goes in, in ml, and what has to be bought for it, in the order given. */
  parts: (BottleChoice & { ml: number })[]
}

/**
 * A filling mixed of two kinds or more by share, each bought in whole bottles of its own.
 * @param needMl the whole filling, in ml
 * @throws FieldError on shares that do not make one whole, or an amount that is none
 */
export function blend(needMl: number, kinds: BlendPart[]): Blend {
  within('needMl', needMl, 1, 200_000, 'The filling in ml')
  const whole = kinds.reduce((sum, { share }) => sum + share, 0)
  within('shares', whole, 1 - 1e-6, 1 + 1e-6, 'The sum of the shares')
  return {
    parts: kinds.map(({ share, bottleMl, onShelfMl }) => {
      const ml = needMl * share
      return { ml, ...bottles({ needMl: ml, sizes: [{ ml: bottleMl }], onShelfMl }) }
    }),
  }
}
