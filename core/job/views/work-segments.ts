import { stepMinutes } from '../../sequence/step-minutes'
import type { JobState } from '../chapters'
import { partsAwaited } from '../chapters/orders/arrivals'
import { restEnd } from './bleed-stage'
import { ladderMinutes } from './ladders'

/** Work ahead in one go, the wait behind it, and what it cannot begin without. */
export interface WorkSegment {
  minutes: number
  waitAfter: number
  readyAt: string | null
  because: string | null
}

/** A shorter wait is stood through, in minutes. */
const WORTH_LEAVING = 20

/** The work that is left on a job, cut where a wait or a part on its way would send the mechanic to another car. */
export function workSegments(state: JobState): WorkSegment[] {
  const left = state.plan?.steps.filter(step => !state.done[step.id]) ?? []
  const awaited = new Map(partsAwaited(state).map(part => [part.stepId, part]))
  const segments: WorkSegment[] = []
  const fresh = (): WorkSegment => ({ minutes: 0, waitAfter: 0, readyAt: null, because: null })
  let now = { ...fresh(), minutes: ladderMinutes(state) }
  const close = (waitAfter: number) => {
    if (now.minutes > 0) segments.push({ ...now, waitAfter })
    now = fresh()
  }
  for (const step of left) {
    const part = awaited.get(step.id)
    if (part) {
      close(0)
      now = { ...fresh(), readyAt: part.at, because: `${part.name} is on its way.` }
    } else if (step.waitMinutes >= WORTH_LEAVING) close(step.waitMinutes)
    now.minutes +=
      stepMinutes(step) + step.setupMinutes + (part || step.waitMinutes >= WORTH_LEAVING ? 0 : step.waitMinutes)
  }
  close(0)
  const rest = Object.entries(state.bleeding)
    .flatMap(([stepId, bleeding]) => (state.done[stepId] ? [] : (restEnd(bleeding) ?? [])))
    .sort()
    .at(-1)
  const trouble = state.troubles.find(entry => !entry.cleared && entry.waitsFor && entry.until)
  const until = [
    ...(rest ? [{ at: rest, because: 'The clutch line rests.' }] : []),
    ...(trouble ? [{ at: trouble.until!, because: `${trouble.waitsFor} is on its way.` }] : []),
  ].sort((a, b) => b.at.localeCompare(a.at))[0]
  if (until && segments[0] && (segments[0].readyAt === null || segments[0].readyAt < until.at))
    segments[0] = { ...segments[0], readyAt: until.at, because: until.because }
  return segments
}
