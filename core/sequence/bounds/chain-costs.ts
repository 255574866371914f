import { EITHER } from '../instance'
import type { Instance } from '../instance'

/**
 * For each step the fewest minutes of walking, raising and lowering along the costliest chain of links that begins with it.
 * @returns a function of the step and of where mechanic and car are before it
 */
export function chainCosts(instance: Instance): (step: number, place: number, car: number) => number {
  const { count, walkMinutes, positionMinutes } = instance
  /** Cost after the step, by the height the car was at before a step that leaves it as it is. */
  const behind = new Float64Array(count * 2)
  const from = (step: number, place: number, car: number) => {
    const wanted = instance.car[step]!
    const during = wanted === EITHER ? car : wanted
    return (
      (instance.place[step] === place ? 0 : walkMinutes) +
      (during === car ? 0 : positionMinutes[during]!) +
      behind[step * 2 + during]!
    )
  }
  for (let position = count - 1; position >= 0; position--) {
    const step = instance.topological[position]!
    for (let car = 0; car < 2; car++) {
      let most = 0
      for (const next of instance.after[step]!) most = Math.max(most, from(next, instance.place[step]!, car))
      behind[step * 2 + car] = most
    }
  }
  return from
}
