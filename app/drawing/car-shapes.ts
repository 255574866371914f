import type { Shape } from '../../core/packs'

export interface Bounds {
  left: number
  right: number
  low: number
  high: number
}

/** Points of a line or shape, two numbers each. */
function points(numbers: number[]): [number, number][] {
  return Array.from({ length: numbers.length / 2 }, (_, index) => [numbers[index * 2]!, numbers[index * 2 + 1]!])
}

/** A drawing's shape as an SVG path, with its heights measured downward from `topMm`. */
export function pathOf([kind, ...numbers]: Shape, topMm: number): string {
  if (kind === 'rect') {
    const [x, low, width, height] = numbers as [number, number, number, number]
    return `M${x} ${topMm - low} h${width} v${-height} h${-width} Z`
  }
  if (kind === 'circle') {
    const [x, y, radius] = numbers as [number, number, number]
    return `M${x - radius} ${topMm - y} a${radius} ${radius} 0 1 0 ${2 * radius} 0 a${radius} ${radius} 0 1 0 ${-2 * radius} 0 Z`
  }
  return (
    points(numbers)
      .map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x} ${topMm - y}`)
      .join(' ') + (kind === 'shape' ? ' Z' : '')
  )
}

/** What a thing's shapes reach, for the place of its label. */
export function boundsOf(shapes: Shape[]): Bounds | null {
  const all = shapes.flatMap(([kind, ...numbers]): [number, number][] => {
    if (kind === 'rect')
      return [
        [numbers[0]!, numbers[1]!],
        [numbers[0]! + numbers[2]!, numbers[1]! + numbers[3]!],
      ]
    if (kind === 'circle')
      return [
        [numbers[0]! - numbers[2]!, numbers[1]! - numbers[2]!],
        [numbers[0]! + numbers[2]!, numbers[1]! + numbers[2]!],
      ]
    return points(numbers)
  })
  if (all.length === 0) return null
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)]
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
}
