import { crossPattern } from './cross-pattern'
import { FieldError, within } from '../base/field-error'

export interface Point {
  x: number
  y: number
}

/** Within this share of the radius an arrangement counts as an even circle, and two choices as equal. */
const EVEN = 0.02
/** Of the bolts that keep the clamped ones balanced within this share of the radius, the farthest comes next. */
const BALANCED = 0.15

const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y)

/**
 * The order in which bolts of any arrangement are tightened so that the part comes down flat.
 *
 * An even circle follows the cross pattern. Elsewhere each next bolt keeps the sum of the arms of those already tight
 * nearest to zero about the middle, and among the equally balanced is the one farthest from all that are tight.
 * Source: common practice, no source; on a circle ASME PCC-1 (from memory).
 * @param positions where the bolts are, in any unit of length
 * @returns indices into `positions`, the first bolt first
 * @throws FieldError when a position is no pair of numbers or two bolts share one place
 */
export function tighteningOrder(positions: Point[]): number[] {
  checkPlaces(positions)
  positions.forEach((point, index) => {
    const twin = positions.findIndex(other => other.x === point.x && other.y === point.y)
    if (twin < index) throw new FieldError(`positions[${index}]`, `Bolt ${index + 1} stands where bolt ${twin + 1} is.`)
  })
  return positions.length < 3 ? positions.map((_, index) => index) : (evenCircle(positions) ?? spread(positions))
}

/** @throws FieldError on a place that is no pair of numbers */
export function checkPlaces(positions: Point[]): void {
  positions.forEach((point, index) => {
    if (typeof point?.x !== 'number' || typeof point.y !== 'number')
      throw new FieldError(`positions[${index}]`, 'A place is a pair of numbers.')
    within(`positions[${index}].x`, point.x, -1e6, 1e6, 'A place')
    within(`positions[${index}].y`, point.y, -1e6, 1e6, 'A place')
  })
}

function middleOf(points: Point[]): Point {
  return {
    x: points.reduce((sum, point) => sum + point.x, 0) / points.length,
    y: points.reduce((sum, point) => sum + point.y, 0) / points.length,
  }
}

/** Round the circle from the first position, if the bolts stand evenly on one. */
function evenCircle(positions: Point[]): number[] | null {
  const middle = middleOf(positions)
  const radius = positions.reduce((sum, point) => sum + distance(point, middle), 0) / positions.length
  if (positions.some(point => Math.abs(distance(point, middle) - radius) > EVEN * radius)) return null
  const turn = (2 * Math.PI) / positions.length
  const start = Math.atan2(positions[0]!.y - middle.y, positions[0]!.x - middle.x)
  const places = positions.map(point => {
    const angle = Math.atan2(point.y - middle.y, point.x - middle.x) - start
    return (angle / turn + 2 * positions.length) % positions.length
  })
  if (places.some(place => Math.abs(place - Math.round(place)) > (EVEN * positions.length) / 2)) return null
  const round = places.map(place => Math.round(place) % positions.length)
  if (new Set(round).size !== positions.length) return null
  // Whichever way round the bolts are counted, the second place is the second bolt's side.
  const backwards = round[1]! > positions.length / 2
  const around = round.map((_, place) => round.indexOf(backwards && place > 0 ? positions.length - place : place))
  return crossPattern(positions.length).map(place => around[place]!)
}

function spread(positions: Point[]): number[] {
  const middle = middleOf(positions)
  const radius = Math.max(...positions.map(point => distance(point, middle)))
  const order = [0]
  const arm = { x: positions[0]!.x - middle.x, y: positions[0]!.y - middle.y }
  while (order.length < positions.length) {
    const left = positions.map((_, index) => index).filter(index => !order.includes(index))
    const imbalance = (index: number) =>
      Math.hypot(arm.x + positions[index]!.x - middle.x, arm.y + positions[index]!.y - middle.y)
    const least = Math.min(...left.map(imbalance))
    const balanced = left.filter(index => imbalance(index) <= least + BALANCED * radius)
    const apart = (index: number) => Math.min(...order.map(other => distance(positions[index]!, positions[other]!)))
    const farthest = Math.max(...balanced.map(apart))
    const candidates = balanced.filter(index => apart(index) >= farthest - EVEN * radius)
    const last = positions[order.at(-1)!]!
    const next = candidates.reduce((best, index) =>
      distance(positions[index]!, last) > distance(positions[best]!, last) + EVEN * radius ? index : best,
    )
    order.push(next)
    arm.x += positions[next]!.x - middle.x
    arm.y += positions[next]!.y - middle.y
  }
  return order
}
