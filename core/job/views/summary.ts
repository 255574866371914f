import { bayOf } from '../../pack/bay'
import type { Bay } from '../../pack/bay'
import type { CarPosition, Place } from '../../pack/kinds'
import type { DrawnPart } from '../../pack/things'
import type { WorkingHours } from '../../sequence/calendar'
import type { JobState } from '../chapters'
import { fetchId } from '../chapters/again/with-again'
import { partsAwaited } from '../chapters/orders/arrivals'
import type { WeekPlacing } from '../chapters/plan'
import type { PlanMove } from '../chapters/plan/moves'
import type { Trouble } from '../chapters/troubles'
import { restEnd } from './bleed-stage'
import { distanceToGo } from './break-in'
import { changedParts } from './ledger'
import { minutesLeft } from './minutes'
import { partsDue } from './parts-due'
import { standCounts } from './stand-counts'
import { nextStep } from './steps'
import { waitBefore } from './waits'
import type { StepWait } from './waits'
import { workSegments } from './work-segments'
import type { WorkSegment } from './work-segments'

export type JobStatus = 'planned' | 'in-work' | 'waiting' | 'ready' | 'break-in' | 'closed'

/** A job on one line of the Yard. */
export interface JobSummary {
  jobId: string
  number: number
  status: JobStatus
  vehicleName: string
  customer: string
  next: { stepId: string; title: string; place: Place; car: CarPosition } | null
  place: Place
  car: CarPosition
  /** Where one stands at it; a line of before does not say. */
  bay?: Bay
  stepsDone: number
  stepsTotal: number
  minutesLeft: number
  /** Working hours it is planned for; `null` goes on round the clock. */
  hours: WorkingHours | null
  /** Pieces that are off the car. */
  offCount: number
  /** Parts of the drawing that are not as in a whole car: off, or there as a prop. */
  parts: DrawnPart[]
  /** Parts that are not here yet: the day given, and the minutes of work from the step that needs each to the end. */
  dueParts: { name: string; at: string; minutesAfter: number }[]
  /** Minutes left without the idle time in front of those steps. */
  workLeft: number
  /** When the customer was told it would be done. */
  promisedAt: string | null
  /** What moved the plan last; a line of before does not say. */
  moved?: PlanMove | null
  /** What it waits for, and until when if that is known. */
  waitsFor: string | null
  waitsUntil: string | null
  /** The pause before the next step; it may be over. */
  nextWait: StepWait | null
  breakInToGoKm: number | null
  /** The work that is left, cut at the waits that free the mechanic; where it is done, and when it may begin. */
  segments: WorkSegment[]
  site: WeekPlacing
  /** The earlier job it comes back for, and the cause that was found, in words. */
  comebackOf: number | null
  cause: string | null
  lastAt: string | null
  /** The last event of the server's log it was made from; a line of before does not say. */
  lastSeq?: number
}

/** The line of a job on the Yard, from its state. */
export function summarise(state: JobState): JobSummary {
  const next = nextStep(state)
  const wait = waitOf(state)
  const toGo = state.breakIn ? distanceToGo(state.breakIn).toGoKm : null
  const done = Object.keys(state.done).length
  const status: JobStatus = state.calledOff
    ? 'closed'
    : state.handedOver
      ? toGo !== null && toGo > 0
        ? 'break-in'
        : 'closed'
      : wait
        ? 'waiting'
        : !next && state.plan
          ? 'ready'
          : done === 0
            ? 'planned'
            : 'in-work'
  return {
    jobId: state.jobId ?? '',
    number: state.number,
    status,
    vehicleName: state.vehicle?.name ?? '',
    customer: state.vehicle?.customer ?? '',
    next: next && { stepId: next.id, title: next.title, place: next.planned.place, car: next.planned.car },
    place: state.place,
    car: state.car,
    bay: bayOf(state.procedure ?? {}),
    stepsDone: done,
    stepsTotal: state.plan?.order.length ?? 0,
    minutesLeft: minutesLeft(state),
    hours: state.circumstances.hours,
    offCount: standCounts(state).off,
    parts: changedParts(state),
    ...partsDue(state),
    promisedAt: state.promisedAt,
    moved: state.moves.at(-1) ?? null,
    waitsFor: wait?.what ?? null,
    waitsUntil: wait?.until ?? null,
    nextWait: next && waitBefore(state, next.id),
    breakInToGoKm: toGo,
    segments: state.handedOver || state.calledOff ? [] : workSegments(state),
    site: state.site,
    comebackOf: state.comeback?.number ?? null,
    cause: state.causeFound?.title ?? null,
    lastAt: state.lastAt,
    lastSeq: state.lastSeq,
  }
}

/** A trouble that has become work holds up what depends on it, and nothing else. */
function holdsUp({ again, done }: JobState, { troubleId }: Trouble, next: string | undefined): boolean {
  const entry = again.find(work => work.troubleId === troubleId)
  if (!entry) return true
  const waiting = [fetchId(entry.againId), entry.stepId]
  return next !== undefined && waiting.includes(next) && !done[entry.stepId]
}

/** The wait that holds the job up: a trouble that waits for something, or a rest between bleeding rounds. */
export function waitOf(state: JobState): { what: string; until: string | null } | null {
  const next = nextStep(state)
  const trouble = state.troubles.find(entry => !entry.cleared && entry.waitsFor && holdsUp(state, entry, next?.id))
  if (trouble) return { what: trouble.waitsFor!, until: trouble.until }
  const part = partsAwaited(state).find(entry => entry.stepId === next?.id)
  if (part) return { what: part.name, until: part.at }
  for (const [stepId, bleeding] of Object.entries(state.bleeding)) {
    const until = restEnd(bleeding)
    if (!state.done[stepId] && until) return { what: 'Air rising in the clutch line', until }
  }
  return null
}
