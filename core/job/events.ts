import type { Figure, TighteningPass } from '../fasteners'
import type { Procedure } from '../packs/types'
import type { Plan } from '../sequence/types'
import type { Circumstances, PlanClock } from './circumstances'

export type GearResult = 'clean' | 'stiff' | 'noisy' | 'refuses'
export type PedalFeel = 'soft' | 'better' | 'firm'
/** What the pedal did when pumped 15 to 20 times at take-in. */
export type PumpResult = 'not-done' | 'no-change' | 'rises'

export interface Vehicle {
  id: string
  name: string
  make: string
  model: string
  year: number
  customer: string
  /** Forward gears and reverse as they are written on the knob. */
  gears: string[]
}

/** What each type of event carries. */
export interface EventPayloads {
  'job-opened': {
    number: number
    vehicle: Vehicle
    complaint: { symptoms: string[], text: string }
    pumpTest: { result: PumpResult, strokes: number | null }
    odometerKm: number | null
  }
  /** The work and its order. */
  'plan-made': { procedure: Procedure, plan: Plan, circumstances?: Circumstances, clock?: PlanClock }
  /** Another way of doing it: other work, planned on from the steps done. */
  'options-switched': { procedure: Procedure, plan: Plan, circumstances: Circumstances, clock: PlanClock }
  /** The same work in another order, or under other circumstances. `order` holds the operations not yet done. */
  'plan-changed': { circumstances: Circumstances, order: string[], at: string, utcOffsetMinutes: number, lowerBoundMinutes: number, proven: boolean }
  'step-done': { stepId: string }
  'note-added': { stepId: string | null, text: string }
  'reading-taken': { stepId: string, readingId: string, value: number | string, unit: string | null }
  'timer-started': { stepId: string }
  'timer-stopped': { stepId: string }
  'trouble-raised': { troubleId: string, stepId: string | null, text: string, waitsFor: string | null, until: string | null }
  'trouble-cleared': { troubleId: string, how: string }
  'figure-named': Figure
  'run-started': { runId: string, stepId: string, group: string, boltCount: number, figure: Figure, passes: TighteningPass[] }
  'bolt-turned': { runId: string, passIndex: number, bolt: number }
  'run-dropped': { runId: string, reason: string }
  'bleed-opened': { stepId: string, strokesPerRound: number, restMinutes: number }
  'stroke-counted': { stepId: string }
  'rest-started': { stepId: string }
  'pedal-judged': { stepId: string, feel: PedalFeel }
  'gear-tried': { stepId: string, gear: string, result: GearResult }
  'break-in-set': { distanceKm: number, writtenAs: string, source: string, odometerKm: number }
  'odometer-read': { odometerKm: number }
  'left-open': { entry: string, reason: string }
  'handed-over': { to: string, odometerKm: number | null }
  /** The job ends without its work being done. */
  'called-off': { reason: string }
  'undone': { eventId: string }
}

export type EventType = keyof EventPayloads

/** One thing that happened on a job. Never changed, never removed; a correction is another event. */
export type JobEvent<T extends EventType = EventType> = {
  [K in T]: {
    /** UUID given by the device. */
    id: string
    jobId: string
    /** Place in the job's log, given by the server; `null` until it has answered. */
    seq: number | null
    deviceId: string
    /** ISO 8601, by the device's clock. */
    deviceTime: string
    personId: string
    type: K
    payload: EventPayloads[K]
  }
}[T]
