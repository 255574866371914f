import type { Link } from '../../../pack/operations'
import { OrderError } from '../../../sequence/plan-in-order'
import type { Pin } from '../../../sequence/types'

/**
 * An order with a step put into it: as late as may be, directly before the first that waits for it, or as early as may be.
 * What follows on another at once is not parted.
 * @throws OrderError where what it waits for comes after what waits for it
 */
export function putInOrder(
  order: readonly string[],
  stepId: string,
  { links, pins, late }: { links: readonly Link[]; pins: readonly Pin[]; late: boolean },
): string[] {
  const place = new Map(order.map((id, index) => [id, index]))
  const into = links.filter(link => link.after === stepId && place.has(link.before))
  const out = links.filter(link => link.before === stepId && place.has(link.after))
  const first = Math.max(0, ...into.map(link => place.get(link.before)! + 1))
  const last = Math.min(order.length, ...out.map(link => place.get(link.after)!))
  const isTied = (index: number) => {
    const [before, after] = [order[index - 1], order[index]]
    return (
      links.some(link => link.atOnce && link.before === before && link.after === after) ||
      pins.some(pin => pin.after === before && pin.stepId === after)
    )
  }
  const places = Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index)
  if (late && out.length > 0) places.reverse()
  const at = places.find(index => !isTied(index))
  if (at === undefined) {
    const barrier = into.find(link => place.get(link.before)! + 1 === first) ?? out[0]!
    throw new OrderError(stepId, barrier.because)
  }
  return [...order.slice(0, at), stepId, ...order.slice(at)]
}
