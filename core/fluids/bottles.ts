import { FieldError, within } from '../base/field-error'

export interface BottleSize {
  ml: number
  price?: number
}

export interface BottleChoice {
  /** How many of each size, the largest first. */
  bottles: { ml: number; count: number }[]
  boughtMl: number
  leftMl: number
  /** What they cost, where every size has its price. */
  price: number | null
}

const MOST_OF_A_SIZE = 60

/**
 * Whole bottles that hold an amount: the cheapest where prices are known, else the least left over, else the fewest.
 * Every combination is weighed, since the cheapest is not always the largest bottle.
 * @param needMl what has to go in, in ml; `onShelfMl` is there already in the same kind
 * @throws FieldError on an amount or a bottle that is none
 */
export function bottles({
  needMl,
  sizes,
  onShelfMl = 0,
}: {
  needMl: number
  sizes: BottleSize[]
  onShelfMl?: number
}): BottleChoice {
  within('needMl', needMl, 0, 100_000, 'The amount in ml')
  within('onShelfMl', onShelfMl, 0, 1_000_000, 'What is on the shelf in ml')
  if (sizes.length === 0) throw new FieldError('sizes', 'At least one size of bottle is wanted.')
  for (const [index, size] of sizes.entries()) {
    within(`sizes[${index}].ml`, size.ml, 10, 250_000, 'The bottle in ml')
    if (size.price !== undefined) within(`sizes[${index}].price`, size.price, 0, 100_000, 'The price')
  }
  const wanted = Math.max(0, needMl - onShelfMl)
  const ordered = [...sizes].sort((a, b) => b.ml - a.ml)
  const priced = ordered.every(size => size.price !== undefined)
  let best: { counts: number[]; score: [number, number, number] } | null = null
  const weigh = (index: number, counts: number[], ml: number, price: number, count: number) => {
    if (ml >= wanted || index === ordered.length) {
      if (ml < wanted) return
      const left = ml - wanted
      const score: [number, number, number] = priced ? [price, left, count] : [left, count, 0]
      if (!best || lower(score, best.score))
        best = { counts: [...counts, ...new Array<number>(ordered.length - counts.length).fill(0)], score }
      return
    }
    const size = ordered[index]!
    const enough = Math.min(MOST_OF_A_SIZE, Math.ceil((wanted - ml) / size.ml))
    for (let take = index === ordered.length - 1 ? enough : 0; take <= enough; take++)
      weigh(index + 1, [...counts, take], ml + take * size.ml, price + take * (size.price ?? 0), count + take)
  }
  weigh(0, [], 0, 0, 0)
  if (!best) throw new FieldError('needMl', 'No number of these bottles holds that much.')
  const { counts } = best as { counts: number[] }
  const bought = ordered.map((size, index) => ({ ml: size.ml, count: counts[index]! }))
  const boughtMl = bought.reduce((sum, bottle) => sum + bottle.ml * bottle.count, 0)
  return {
    bottles: bought.filter(bottle => bottle.count > 0),
    boughtMl,
    leftMl: boughtMl + onShelfMl - needMl,
    price: priced ? ordered.reduce((sum, size, index) => sum + size.price! * counts[index]!, 0) : null,
  }
}

function lower(a: [number, number, number], b: [number, number, number]): boolean {
  const at = a.findIndex((value, index) => Math.abs(value - b[index]!) > 1e-9)
  return at >= 0 && a[at]! < b[at]!
}
