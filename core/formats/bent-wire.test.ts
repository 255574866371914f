import { expect, it } from 'vitest'
import type { BentWire } from '../pack/bodies'
import { bentWire, cutLengthMm } from './bent-wire'

const hook: BentWire = {
  id: 'hook',
  name: 'Hook',
  wireMm: 4,
  bendRadiusMm: 8,
  points: [
    [0, 0],
    [0, 100],
    [50, 100],
  ],
  count: 2,
}

it('is cut by its middle line: straights less what the bend takes, and a quarter of its circle', () => {
  // By hand: 150 − 2 × 10 + 10 π/2 = 145.71.
  expect(cutLengthMm(hook)).toBeCloseTo(150 - 20 + 5 * Math.PI, 9)
  expect(cutLengthMm({ ...hook, points: hook.points.slice(0, 2) })).toBe(100)
})
it('is drawn at 1:1, both edges a wire apart, with what is cut and bent', () => {
  const drawing = bentWire(hook, { title: 'Hook', subtitle: 'Job 1', length: value => `${value} mm` })
  const texts = drawing.shapes.flatMap(shape => (shape.kind === 'text' ? [shape.text] : []))
  expect(texts).toContain('2 × wire 4 mm, cut 146 mm')
  expect(texts).toContain('90°')
  const [inner, outer] = drawing.shapes.flatMap(shape => (shape.kind === 'path' && !shape.dash ? [shape.points] : []))
  expect(Math.abs(inner![0]![0] - outer![0]![0])).toBeCloseTo(4, 9)
  expect(drawing.heightMm).toBeGreaterThan(100)
})
it('a bend is made smaller where its straights are too short for it', () => {
  const tight = { ...hook, bendRadiusMm: 40 }
  expect(cutLengthMm(tight)).toBeCloseTo(150 - 50 + (25 * Math.PI) / 2, 9)
})
