import { expect, it } from 'vitest'
import { measureOff } from './clock'

/** A server whose clock differs by so much, reached by ways of these lengths, in ms. */
function world(offMs: number, ways: [there: number, back: number][]) {
  let here = 1_000_000
  const left = [...ways]
  return {
    now: () => here,
    ask: async () => {
      const way = left.shift()
      if (!way) throw new Error('nobody')
      here += way[0]
      const there = here + offMs
      here += way[1]
      return there
    },
  }
}
const measured = ({ ask, now }: ReturnType<typeof world>) => measureOff(ask, now)

it('takes the quickest answer for the truest', async () => {
  const slow: [number, number] = [900, 100]
  expect(await measured(world(7_200_000, [slow, [20, 20], slow]))).toBe(7_200_000)
})
it('is off by no more than half of the way', async () => {
  const found = await measured(
    world(-3_600_000, [
      [300, 100],
      [300, 100],
      [300, 100],
    ]),
  )
  expect(Math.abs(found! + 3_600_000)).toBeLessThanOrEqual(200)
})
it('is satisfied with one answer, and knows nothing without', async () => {
  expect(await measured(world(5_000, [[10, 10]]))).toBe(5_000)
  expect(await measured(world(5_000, []))).toBeNull()
})
