import type { FoundBefore } from '../contracts/answers'
import type { AddedStep } from '../core/job'

/**
 * What was found on a model, thing by thing.
 * @param told the steps that were added on its jobs, the newest job first
 */
export function foundBefore(told: { jobId: string; step: AddedStep }[]): FoundBefore[] {
  const things = new Map<string, FoundBefore & { on: Set<string> }>()
  for (const { jobId, step } of told) {
    const thing = step.takesOff.find(({ isFastener }) => !isFastener)
    if (!thing) continue
    const key = `${thing.name.toLowerCase()} ${thing.state}`
    const known = things.get(key)
    if (known) known.on.add(jobId)
    else
      things.set(key, {
        name: thing.name,
        state: thing.state,
        count: thing.count,
        bolts: step.takesOff.find(({ isFastener }) => isFastener)?.count ?? 0,
        minutes: step.minutes,
        goesBack: step.refit !== null,
        jobs: 0,
        on: new Set([jobId]),
      })
  }
  return [...things.values()].map(({ on, ...thing }) => ({ ...thing, jobs: on.size })).sort((a, b) => b.jobs - a.jobs)
}
