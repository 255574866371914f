import { closesAfter, nextOpen, workThrough } from './calendar'
import type { Calendar } from './calendar'
import type { TimedStep } from './finish-times'

/**
 * Runs through steps in their order, each with the minutes of work that it takes this time.
 * @param calendar working hours whose minute 0 is the start of the run; `null` counts straight through
 * @returns what does it: given the work of a step by its place, and what else it waits for once it is reached, it gives back the minute at
 * which the last is done
 */
export function runner(
  steps: readonly TimedStep[],
  calendar: Calendar | null,
): (workOf: (index: number) => number, heldUp?: (index: number) => number) => number {
  const finish = new Float64Array(steps.length)
  const plain = calendar === null
  return (workOf, heldUp) => {
    let clock = 0
    // The working time that holds the clock; most steps are begun and finished in it.
    let opened = Infinity
    let closes = -Infinity
    for (let index = 0; index < steps.length; index++) {
      const step = steps[index]!
      let start = plain ? clock + step.setupMinutes : clock
      let work = workOf(index)
      if (!plain) work += step.setupMinutes
      if (step.notBefore > start) start = step.notBefore
      for (const wait of step.waits) {
        const free = finish[wait.after]! + wait.minutes
        if (free > start) start = free
      }
      if (heldUp) start += heldUp(index)
      if (plain || (start >= opened && start + work <= closes)) clock = start + work
      else {
        clock = workThrough(calendar, start, work)
        opened = nextOpen(calendar, clock)
        closes = closesAfter(calendar, opened)
      }
      finish[index] = clock
    }
    return clock
  }
}
