import { dict } from '../../base/dict'
import type { Chapter, JobState } from '../chapters'
import { refuse } from '../log/chapter'
import type { Book } from '../log/chapter'
import { holdingBack, openBeforeHandover } from '../views/before-handover'
import { openEntries } from '../views/ledger'
import { odometerOdd } from './odometer'
import { stopTimer } from './steps/timers'

export interface HandOverEvents {
  /** `entry` is its kind and id: `item:…`, `bolt:…`, `tight:…`, `figure:…`, `finding:…`, `trouble:…`, `step:…`, `check:…`. */
  'left-open': { entry: string; reason: string }
  /** What was left, or answered for, is open again. */
  'left-open-withdrawn': { entry: string }
  'handed-over': { to: string; odometerKm: number | null }
  /** The job ends without its work being done. */
  'called-off': { reason: string }
}

/** Why something is left as it is, and who answers for that. */
export interface LeftOpen {
  reason: string
  personId: string
  at: string
}

/** How the job ends. */
export interface HandOverState {
  /** Open entry → why it is left, and who answers for it. */
  leftOpen: Record<string, LeftOpen>
  handedOver: (HandOverEvents['handed-over'] & { at: string }) | null
  calledOff: { reason: string; at: string } | null
}

export const notHandedOver = (): HandOverState => ({ leftOpen: dict(), handedOver: null, calledOff: null })

/** How a job has ended, and what is told to whoever goes on. */
export const ended: Book<JobState>['ended'] = ({ handedOver, calledOff }) => {
  if (handedOver)
    return {
      permission: 'afterHandover',
      refusal: refuse('type', 'The car is handed over. Undo the hand-over to go on working.'),
    }
  if (calledOff)
    return { permission: 'afterCallOff', refusal: refuse('type', 'The job is called off. Undo that to go on working.') }
  return null
}

export const handOver: Chapter<HandOverEvents> = {
  'left-open': {
    words: 'Reason',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      openBeforeHandover(state).some(entry => entry.entry === payload.entry)
        ? null
        : refuse('payload.entry', 'This is not open on this job.'),
    apply: (state, { payload, deviceTime, personId }) => {
      state.leftOpen[payload.entry] = { reason: payload.reason, personId, at: deviceTime }
    },
  },
  'left-open-withdrawn': {
    words: 'Reason taken back',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      state.leftOpen[payload.entry] ? null : refuse('payload.entry', 'No reason is written down for this.'),
    apply: (state, { payload }) => {
      delete state.leftOpen[payload.entry]
    },
  },
  'handed-over': {
    words: 'Hand-over',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.plan) return refuse('type', 'The job has no plan yet.')
      const open = holdingBack(openBeforeHandover(state))
      if (open.length === 0) return payload.odometerKm === null ? null : odometerOdd(state, payload.odometerKm)
      const names = open
        .slice(0, 3)
        .map(entry => entry.name)
        .join('; ')
      const safety = open.find(entry => entry.safety && entry.left)
      if (safety)
        return refuse('type', `${safety.name}: this is not left with a reason. It is put right before the car goes.`)
      return refuse(
        'type',
        `${open.length} ${open.length === 1 ? 'entry is' : 'entries are'} open without a reason: ${names}${open.length > 3 ? ' and more' : ''}.`,
      )
    },
    apply: (state, { payload, deviceTime }) => {
      state.handedOver = { ...payload, at: deviceTime }
      if (payload.odometerKm !== null) state.odometerKm = payload.odometerKm
      stopTimers(state, deviceTime)
    },
  },
  'called-off': {
    words: 'Calling off',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: state => {
      const open = openEntries(state).filter(entry => !entry.left)
      return open.length === 0
        ? null
        : refuse(
            'type',
            `${open.length} ${open.length === 1 ? 'thing is' : 'things are'} still off the car without a reason: ${open[0]!.name}.`,
          )
    },
    apply: (state, { payload, deviceTime }) => {
      state.calledOff = { reason: payload.reason, at: deviceTime }
      stopTimers(state, deviceTime)
    },
  },
}

function stopTimers(state: JobState, at: string): void {
  for (const stepId of Object.keys(state.timers)) stopTimer(state, stepId, at)
}
