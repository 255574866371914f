import type { ScaleLinear } from 'd3-scale'
import { momentOf } from '../../core/job'
import type { PlanClock } from '../../core/job'
import type { Place, Procedure } from '../../core/packs'
import type { Plan } from '../../core/sequence'
import { minutesText } from '../words/durations'
import type { PlanScale } from './plan-scale'
import { clockText, weekdayText } from '../words/dates'

export interface WaitBar {
  key: string
  place: Place
  from: number
  to: number
  row: number
  label: string
}

/** Waits shorter than this fill themselves and are not drawn. */
const SHORTEST_WAIT = 10
/** How near marks may come, in px. */
const APART = 64

/** Room for the words beside a bar, px. */
const WAIT_WORDS = 72

/** Waits between steps as bars below the lanes: what fills a wait stands above it. The longest of those after one step is drawn. */
export function waitBars(plan: Plan, procedure: Procedure, x: ScaleLinear<number, number>): WaitBar[] {
  const steps = new Map(plan.steps.map(step => [step.id, step]))
  const longest = new Map<string, number>()
  for (const link of procedure.links) {
    if (link.waitMinutes >= SHORTEST_WAIT && steps.has(link.before))
      longest.set(link.before, Math.max(longest.get(link.before) ?? 0, link.waitMinutes))
  }
  const ends: number[] = []
  return [...longest]
    .map(([stepId, minutes]) => ({ step: steps.get(stepId)!, minutes }))
    .sort((a, b) => a.step.finishMinutes - b.step.finishMinutes)
    .map(({ step, minutes }) => {
      const from = step.finishMinutes
      const to = from + minutes
      const free = ends.findIndex(end => end <= x(from))
      const row = free < 0 ? ends.length : free
      ends[row] = x(to) + WAIT_WORDS
      return { key: step.id, place: step.place, from, to, row, label: minutesText(minutes) }
    })
}

export interface MilestoneMark {
  stepId: string
  label: string
  place: Place
  x: number
  row: number
  anchor: 'start' | 'end'
}

const ROWS = 3

/** What is reached and when, in rows so that words do not run over each other; what finds no room goes without. */
export function milestoneMarks(plan: Plan, procedure: Procedure, x: ScaleLinear<number, number>): MilestoneMark[] {
  const named = new Map(
    procedure.operations.flatMap(operation =>
      operation.milestone ? [[operation.id, operation.milestone] as const] : [],
    ),
  )
  const right = x.range().at(-1)!
  const until = Array<number>(ROWS).fill(-Infinity)
  return plan.steps.flatMap(step => {
    const label = named.get(step.id)
    if (label === undefined) return []
    const at = x(step.finishMinutes)
    const width = label.length * 8.5 + 8
    const anchor = at + width > right ? ('end' as const) : ('start' as const)
    const begin = anchor === 'end' ? at - width : at
    const row = until.findLastIndex(end => begin > end)
    if (row < 0) return []
    until[row] = begin + width
    return [{ stepId: step.id, label, place: step.place, x: at, row, anchor }]
  })
}

export interface HourMark {
  minutes: number
  label: string
  anchor: 'start' | 'middle' | 'end'
}

/** Whole hours of the wall clock along the axis; the first of a day carries its name. */
export function hourMarks(plan: Plan, clock: PlanClock, { x, closed }: PlanScale): HourMark[] {
  const end = plan.steps.at(-1)?.finishMinutes ?? 0
  const start = new Date(momentOf(clock, 0))
  // What is done lies end to end and tells no hour.
  const first = new Date(clock.at)
  first.setMinutes(60, 0, 0)
  const marks: HourMark[] = []
  let last = -Infinity
  let day = ''
  const offset = (first.getTime() - start.getTime()) / 60_000
  for (let minutes = offset; minutes <= end; minutes += 60) {
    if (closed.some(([from, to]) => minutes > from && minutes < to)) continue
    const at = x(minutes)
    if (at < last + APART) continue
    const date = new Date(start.getTime() + minutes * 60_000)
    const name = weekdayText(date)
    marks.push({
      minutes,
      label: name === day ? clockText(date) : `${name} ${clockText(date)}`,
      anchor: at < 30 ? 'start' : at > x.range().at(-1)! - 30 ? 'end' : 'middle',
    })
    last = at + (name === day ? 0 : 44)
    day = name
  }
  return marks
}
