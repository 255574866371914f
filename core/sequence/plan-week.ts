import { seededRandom } from '../base/random'
import type { Span, WeekBlock, WeekJob, WeekPlan, WeekWindows } from './week-types'

/** Up to so many jobs, every order of preference is tried. */
const EXACT = 6
const TRIES = 2500
/** A start this much later than the first possible one is as good, if the job is preferred. */
const SLACK = 15
const [LATE, DONE, CHANGE] = [10, 0.1, 5]

/**
 * The days ahead over several cars and one mechanic: which car when, so that promises hold, cars are done soon and little time goes
 * on the road; waits of one car are filled with another. Cars are taken by an order of preference, and the best order is sought:
 * all of them for a few cars, by seeded exchange for more. Same input, same plan.
 */
export function planWeek(jobs: WeekJob[], windows: WeekWindows): WeekPlan {
  const open = jobs.filter(job => job.segments.length > 0)
  const lowerBound = open.reduce((sum, job) => sum + laid([job], windows, [0]).cost, 0)
  const proven = open.length <= EXACT
  let best = laid(
    open,
    windows,
    open.map((_, index) => index).sort((a, b) => due(open[a]!) - due(open[b]!)),
  )
  const consider = (order: number[]) => {
    const plan = laid(open, windows, order)
    if (plan.cost < best.cost - 1e-9) best = plan
    return plan
  }
  if (proven) for (const order of permutations(open.map((_, index) => index))) consider(order)
  else {
    const random = seededRandom(1)
    let order = open.map((_, index) => index).sort((a, b) => due(open[a]!) - due(open[b]!))
    let cost = best.cost
    for (let attempt = 0; attempt < TRIES; attempt++) {
      const [one, other] = [Math.floor(random() * order.length), Math.floor(random() * order.length)]
      const next = [...order]
      next.splice(other, 0, ...next.splice(one, 1))
      const plan = consider(next)
      if (plan.cost <= cost) [order, cost] = [next, plan.cost]
    }
  }
  return { ...best, lowerBound, proven }
}

const due = (job: WeekJob) => job.dueAt ?? Infinity

/** Cars laid onto the days by an order of preference: of those that can begin soonest, the preferred one is worked on until it waits, is done, or the day closes. */
function laid(jobs: WeekJob[], windows: WeekWindows, preference: number[]): Omit<WeekPlan, 'lowerBound' | 'proven'> {
  const next = jobs.map(() => 0)
  const left = jobs.map(job => job.segments[0]!.minutes)
  const ready = jobs.map(job => job.notBefore)
  const ended = jobs.map(() => Infinity)
  const rank = new Map(preference.map((index, place) => [index, place]))
  const blocks: WeekBlock[] = []
  const waits: WeekPlan['waits'] = []
  let [clock, at, travelled, changes]: [number, number | null, number, number] = [0, null, 0, -1]
  for (;;) {
    const can = jobs.flatMap((job, index) => {
      const segment = job.segments[next[index]!]
      if (!segment) return []
      const travel = way(jobs, at, index)
      return [
        {
          index,
          travel,
          start: opening(windows[job.site], Math.max(clock + travel, ready[index]!, segment.readyAt ?? 0)),
        },
      ]
    })
    const soonest = Math.min(...can.map(entry => entry.start))
    if (can.length === 0 || soonest === Infinity) break
    const { index, travel, start } = can
      .filter(entry => entry.start <= soonest + SLACK)
      .sort((a, b) => rank.get(a.index)! - rank.get(b.index)!)[0]!
    const job = jobs[index]!
    const segment = job.segments[next[index]!]!
    const [, closes] = windows[job.site].find(([, to]) => to > start + 1e-9)!
    const end = Math.min(start + left[index]!, closes)
    blocks.push({
      jobId: job.id,
      segment: next[index]!,
      from: start,
      to: end,
      travel: travel > 0 ? [start - travel, start] : null,
    })
    left[index] = left[index]! - (end - start)
    if (at !== index) changes++
    travelled += travel
    at = index
    clock = end
    if (left[index]! > 1e-9) continue
    next[index] = next[index]! + 1
    const following = job.segments[next[index]!]
    if (!following) ended[index] = end
    else {
      left[index] = following.minutes
      ready[index] = end + segment.waitAfter
      if (segment.waitAfter > 0)
        waits.push({ jobId: job.id, from: end, to: end + segment.waitAfter, because: following.because, filledBy: [] })
    }
  }
  for (const wait of waits)
    wait.filledBy = [
      ...new Set(
        blocks
          .filter(block => block.jobId !== wait.jobId && block.from < wait.to && block.to > wait.from)
          .map(block => block.jobId),
      ),
    ]
  const ends = Object.fromEntries(jobs.map((job, index) => [job.id, ended[index]!]))
  const late = Object.fromEntries(
    jobs.map(job => [
      job.id,
      job.dueAt === null ? 0 : Math.max(0, Math.min(ends[job.id]!, horizon(windows)) - job.dueAt),
    ]),
  )
  const cost = jobs.reduce(
    (sum, job) => sum + late[job.id]! * LATE + Math.min(ends[job.id]!, horizon(windows) * 2) * DONE,
    travelled + Math.max(0, changes) * CHANGE,
  )
  return { blocks, ends, late, waits, travelMinutes: travelled, cost }
}

const horizon = (windows: WeekWindows) => windows.bay.at(-1)?.[1] ?? 0

/** Minutes from where the mechanic is to a car: nothing within the bay, out and back again between two customers. */
function way(jobs: WeekJob[], at: number | null, to: number): number {
  if (at === to) return 0
  const out = (index: number | null) => (index === null || jobs[index]!.site === 'bay' ? 0 : jobs[index]!.travelMinutes)
  return out(at) + out(to)
}

/** The first working minute at a moment or after it; `Infinity` past the last window. */
export function opening(windows: Span[], at: number): number {
  const window = windows.find(([, to]) => to > at + 1e-9)
  return window ? Math.max(at, window[0]) : Infinity
}

function* permutations(list: number[]): Generator<number[]> {
  if (list.length < 2) {
    yield list
    return
  }
  for (const [index, head] of list.entries())
    for (const tail of permutations([...list.slice(0, index), ...list.slice(index + 1)])) yield [head, ...tail]
}

export interface WeekRange {
  earliest: number
  latest: number | null
  tooEarly: string | null
  tooLate: string | null
}

/** From when to when a car can be begun: not before what it waits for, and so that its promise can still hold with nobody in its way. */
export function weekRange(job: WeekJob, windows: WeekWindows): WeekRange {
  const [first] = job.segments
  if (!first) return { earliest: 0, latest: null, tooEarly: null, tooLate: null }
  const earliest = opening(windows[job.site], first.readyAt ?? 0)
  const endFrom = (start: number) => laid([{ ...job, notBefore: start, travelMinutes: 0 }], windows, [0]).ends[job.id]!
  if (job.dueAt === null) return { earliest, latest: null, tooEarly: first.because, tooLate: null }
  let latest: number | null = null
  for (const [start] of windows[job.site]) {
    const begin = Math.max(start, earliest)
    if (endFrom(begin) <= job.dueAt) latest = Math.max(latest ?? 0, begin)
  }
  return { earliest, latest, tooEarly: first.because, tooLate: 'Then it is not done when it was promised.' }
}
