import { OrderError } from '../sequence/plan-in-order'
import { benchJudges, notReadyToGoIn } from './admit-bench'
import { boltJudges } from './admit-bolts'
import { askedOrderJudges, isAsked } from './asked-orders'
import { tryCompleteActivity } from './activity'
import { bleedJudges } from './bleeding'
import { closingJudges } from './closing'
import { diagnosisJudges } from './diagnosis'
import { roadJudges } from './road-test'
import { blockersOf } from './blockers'
import { changedPlan } from './change-plan'
import { cautionJudges, cautionUnread } from './cautions'
import { gapJudges, gapLeft } from './gaps'
import { ladderJudges } from './ladders'
import { effectiveEvents } from './effective-events'
import type { EventType, JobEvent } from './events'
import { findingsOfStep, openFindings } from './bad-findings'
import { holdingBack, openBeforeHandover } from './before-handover'
import { figureMissing } from './fastening'
import { issuedPaperJudges } from './issued-papers'
import { openEntries } from './ledger'
import { oldPartRefused, reconcileJudges } from './reconcile'
import { refuse, unknownStep } from './refusal'
import { reservoirJudges } from './reservoir'
import type { Judges, Refusal } from './refusal'
import type { JobState } from './state'
import { switchBarrier } from './switch-barrier'
import { lastUndoable } from './undo'

export type { Refusal } from './refusal'

function latestReading(state: JobState, stepId: string, readingId: string): number | string | undefined {
  return state.readings.findLast(reading => reading.stepId === stepId && reading.readingId === readingId)?.value
}

const judges: Judges = {
  'job-opened': state => state.jobId ? refuse('type', 'The job is open already.') : null,
  'options-switched': (state, { payload }) => {
    if (!state.procedure) return refuse('type', 'The job has no plan yet.')
    const barrier = switchBarrier({ procedure: state.procedure, done: Object.keys(state.done), car: state.car }, payload.procedure)
    return barrier === null ? null : refuse('options', barrier)
  },
  'plan-changed': (state, { payload }) => {
    if (!state.plan) return refuse('type', 'The job has no plan yet.')
    const { helper, arrivals } = payload.circumstances
    if (helper && Date.parse(helper.to) <= Date.parse(helper.from)) return refuse('payload.circumstances.helper.to', 'The helper leaves before coming.')
    const unknown = arrivals.find(arrival => !state.procedure!.parts.some(part => part.id === arrival.partId))
    if (unknown) return refuse('payload.circumstances.arrivals', `This job uses no part "${unknown.partId}".`)
    const stranger = payload.order.find(id => !state.procedure!.operations.some(operation => operation.id === id))
    if (stranger !== undefined) return refuse('payload.order', `The plan of this job has no step "${stranger}".`)
    try {
      changedPlan(state, payload)
      return null
    }
    catch (error) {
      if (error instanceof OrderError) return refuse('payload.order', error.because)
      if (error instanceof RangeError) return refuse('payload.circumstances', error.message)
      throw error
    }
  },
  'step-done': (state, { payload: { stepId } }) => {
    const unknown = unknownStep(state, stepId)
    if (unknown) return unknown
    if (state.done[stepId]) return refuse('payload.stepId', 'This step is done already.')
    const [blocker] = blockersOf(state, stepId)
    if (blocker) return refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`)
    const unread = cautionUnread(state, stepId)
    if (unread) return unread
    const operation = state.procedure!.operations.find(entry => entry.id === stepId)
    if (!operation) return null
    const unfinished = tryCompleteActivity(state, operation)
    if (unfinished) return refuse('payload.stepId', unfinished)
    const missing = operation.readings.find(spec => spec.required && !state.readings.some(reading => reading.stepId === stepId && reading.readingId === spec.id))
    if (missing) return refuse('payload.stepId', `The reading is wanted first: ${missing.name}.`)
    const stop = operation.readings.find(spec => spec.kind === 'choice' && spec.stops?.includes(String(latestReading(state, stepId, spec.id))))
    if (stop) return refuse('payload.stepId', `${stop.name}: ${latestReading(state, stepId, stop.id)}. ${stop.about ?? ''} Put it right and take the reading again.`)
    const [bad] = openFindings(findingsOfStep(state, operation))
    if (bad) return refuse('payload.stepId', `${bad.name}: ${bad.answer}. ${bad.because} Deal with it, or say who answers for it and why.`)
    const wanted = figureMissing(state, operation)
    if (wanted) return refuse('payload.stepId', `${wanted.name}: no figure is named. Somebody drives on them: name it with its source, or say who answers for it and why.`)
    return oldPartRefused(state, stepId) ?? notReadyToGoIn(state, stepId)
  },
  'note-added': (state, { payload }) => unknownStep(state, payload.stepId),
  'reading-taken': (state, { payload }) => {
    const unknown = unknownStep(state, payload.stepId)
    if (unknown) return unknown
    const spec = state.procedure!.operations.find(entry => entry.id === payload.stepId)?.readings.find(entry => entry.id === payload.readingId)
    if (!spec) return refuse('payload.readingId', `This step asks for no reading "${payload.readingId}".`)
    if (spec.kind === 'choice') {
      if (!spec.choices.includes(String(payload.value))) return refuse('payload.value', `One of: ${spec.choices.join(', ')}.`)
      const left = gapLeft(state, payload.stepId, payload.readingId, payload.value)
      return left === null ? null : refuse('payload.value', left)
    }
    if (typeof payload.value !== 'number') return refuse('payload.value', 'A number is wanted.')
    if (payload.unit !== spec.unit) return refuse('payload.unit', `The reading is kept in ${spec.unit}.`)
    if (payload.value < (spec.low ?? -Infinity) || payload.value > (spec.high ?? Infinity)) {
      return refuse('payload.value', `Between ${spec.low ?? 'any'} and ${spec.high ?? 'any'} ${spec.unit}. Check the unit and the reading.`)
    }
    return null
  },
  'timer-started': (state, { payload }) => unknownStep(state, payload.stepId)
    ?? (state.timers[payload.stepId]?.runningSince ? refuse('payload.stepId', 'The timer of this step is running already.') : null),
  'timer-stopped': (state, { payload }) => unknownStep(state, payload.stepId)
    ?? (state.timers[payload.stepId]?.runningSince ? null : refuse('payload.stepId', 'The timer of this step is not running.')),
  'trouble-raised': (state, { payload }) => unknownStep(state, payload.stepId)
    ?? (state.troubles.some(entry => entry.troubleId === payload.troubleId) ? refuse('payload.troubleId', 'This trouble is in the log already.') : null),
  'trouble-cleared': (state, { payload }) => {
    const trouble = state.troubles.find(entry => entry.troubleId === payload.troubleId)
    if (!trouble) return refuse('payload.troubleId', 'No such trouble on this job.')
    return trouble.cleared ? refuse('payload.troubleId', 'This trouble is cleared already.') : null
  },
  ...boltJudges,
  ...benchJudges,
  ...askedOrderJudges,
  ...issuedPaperJudges,
  ...ladderJudges,
  ...gapJudges,
  ...cautionJudges,
  ...reconcileJudges,
  ...reservoirJudges,
  'run-dropped': (state, { payload }) => state.runs.some(run => run.runId === payload.runId && run.dropped === null)
    ? null
    : refuse('payload.runId', 'No such run is open on this job.'),
  ...bleedJudges,
  ...diagnosisJudges,
  ...closingJudges,
  ...roadJudges,
  'gear-tried': (state, { payload }) => {
    const unknown = unknownStep(state, payload.stepId)
    if (unknown) return unknown
    if (!state.vehicle!.gears.includes(payload.gear)) return refuse('payload.gear', `This car has no gear "${payload.gear}".`)
    const [blocker] = blockersOf(state, payload.stepId)
    return blocker ? refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`) : null
  },
  'break-in-set': (state, { payload }) => odometerOdd(state, payload.odometerKm),
  'odometer-read': (state, { payload }) => {
    if (!state.breakIn) return odometerOdd(state, payload.odometerKm)
    return payload.odometerKm < state.breakIn.lastKm ? refuse('payload.odometerKm', `The odometer stood at ${Math.round(state.breakIn.lastKm)} km already.`) : null
  },
  'left-open': (state, { payload }) => openBeforeHandover(state).some(entry => entry.entry === payload.entry)
    ? null
    : refuse('payload.entry', 'This is not open on this job.'),
  'left-open-withdrawn': (state, { payload }) => state.leftOpen[payload.entry] ? null : refuse('payload.entry', 'No reason is written down for this.'),
  'handed-over': (state, { payload }) => {
    if (state.handedOver) return refuse('type', 'The car is handed over already.')
    if (!state.plan) return refuse('type', 'The job has no plan yet.')
    const open = holdingBack(openBeforeHandover(state))
    if (open.length === 0) return payload.odometerKm === null ? null : odometerOdd(state, payload.odometerKm)
    const names = open.slice(0, 3).map(entry => entry.name).join('; ')
    const safety = open.find(entry => entry.safety && entry.left)
    if (safety) return refuse('type', `${safety.name}: this is not left with a reason. It is put right before the car goes.`)
    return refuse('type', `${open.length} ${open.length === 1 ? 'entry is' : 'entries are'} open without a reason: ${names}${open.length > 3 ? ' and more' : ''}.`)
  },
  'called-off': (state) => {
    const open = openEntries(state).filter(entry => !entry.left)
    return open.length === 0 ? null : refuse('type', `${open.length} ${open.length === 1 ? 'thing is' : 'things are'} still off the car without a reason: ${open[0]!.name}.`)
  },
  'undone': (_state, { payload }, log) => {
    const target = log.find(event => event.id === payload.eventId)
    if (!target) return refuse('payload.eventId', 'No such event on this job.')
    if (target.type === 'undone') return null
    if (!effectiveEvents(log).includes(target)) return refuse('payload.eventId', 'That is undone already.')
    return lastUndoable(log) === target ? null : refuse('payload.eventId', 'Something came after it. Undo goes back one act at a time.')
  },
}

/** No car is driven farther than this between take-in and hand-over, in km: more is a slip of the key or the unit. */
const FARTHEST_KM = 5000

/** An odometer that stood higher when the car came, or that nobody can have driven to since. */
function odometerOdd(state: JobState, odometerKm: number): Refusal | null {
  const came = state.odometerKm
  if (came === null) return null
  // A mile typed as it is shown comes back a little short.
  if (odometerKm < came - 1) return refuse('payload.odometerKm', `The odometer stood at ${Math.round(came)} km already when it was last read. It does not run back: check the figure and its unit.`)
  return odometerKm > came + FARTHEST_KM ? refuse('payload.odometerKm', `That is ${Math.round(odometerKm - came)} km more than when it was last read. Check the figure and its unit.`) : null
}

/** Acts that still make sense on a job that was called off. */
const afterCallOff: EventType[] = ['note-added', 'undone', 'paid', 'paper-issued']

/** Acts that still make sense when the car is with its owner again. */
const afterHandover: EventType[] = ['note-added', 'break-in-set', 'odometer-read', 'undone', 'trouble-raised', 'trouble-cleared', 'old-part-gone', 'cause-found', 'paid', 'paper-issued']

/**
 * Whether an event may enter the log of a job in this state.
 * @param log the events so far, in order; `state` is what `reduceJob` makes of them
 * @returns `null` when it may, else the field at fault and the reason
 */
export function admit(state: JobState, event: JobEvent, log: JobEvent[]): Refusal | null {
  if (state.jobId === null && event.type !== 'job-opened') return refuse('jobId', 'The job has not been opened.')
  // What the supplier has taken is in the log, whatever became of the job meanwhile.
  if (event.type === 'order-failed' || (event.type === 'part-ordered' && isAsked(state, event.payload.orderId))) return judges[event.type]?.(state, event as never, log) ?? null
  if (state.handedOver && !afterHandover.includes(event.type)) return refuse('type', 'The car is handed over. Undo the hand-over to go on working.')
  if (state.calledOff && !afterCallOff.includes(event.type)) return refuse('type', 'The job is called off. Undo that to go on working.')
  const judge = judges[event.type] as ((state: JobState, event: JobEvent, log: JobEvent[]) => Refusal | null) | undefined
  return judge?.(state, event, log) ?? null
}
