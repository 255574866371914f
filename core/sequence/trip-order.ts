import type { Stay } from './bounds/trip-bound'
import { setupMinutes } from './clock'
import { cheapest, constructOrder } from './greedy-order'
import type { Instance } from './instance'

/** An order that keeps to a list of stays; within a stay the step is next that needs the fewest tools fetched. */
export function tripOrder(instance: Instance, stays: Stay[]): Int32Array {
  const stayOf = new Int32Array(instance.count)
  for (const [position, stay] of stays.entries()) for (const step of stay.steps) stayOf[step] = position
  return constructOrder(instance, (_instance, _finish, moment, ready) => {
    const soonest = Math.min(...ready.map(step => stayOf[step]!))
    return cheapest(
      ready.filter(step => stayOf[step] === soonest),
      step => setupMinutes(instance, moment, step),
    )
  })
}
