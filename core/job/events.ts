import type { AskedOrderPayloads } from './asked-orders'
import type { IssuedPaperPayloads } from './issued-papers'
import type { BoltCondition, BoltDetails, BoltReading, FastenerFacts, Feel, Figure, Point, TighteningPass, TighteningVerdict } from '../fasteners'
import type { Procedure } from '../packs/types'
import type { Plan } from '../sequence/types'
import type { BenchPayloads } from './bench-events'
import type { BleedPayloads } from './bleeding'
import type { ClosingPayloads } from './closing'
import type { PaymentPayloads } from './payments'
import type { PlacingPayloads } from './placing'
import type { DiagnosisPayloads } from './diagnosis'
import type { RoadPayloads } from './road-test'
import type { CautionPayloads } from './cautions'
import type { GapPayloads } from './gaps'
import type { LadderPayloads } from './ladders'
import type { ReconcilePayloads } from './reconcile'
import type { ReservoirPayloads } from './reservoir'
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

/** The wrench a run is done with, as it was when the run began. */
export interface RunWrench { id: string, name: string, overdue: boolean, adapterLengthMm: number, adapterAngleDeg: number, lengthMm: number }

/** What each type of event carries. */
export interface EventPayloads extends BenchPayloads, BleedPayloads, ClosingPayloads, DiagnosisPayloads, PaymentPayloads, PlacingPayloads, RoadPayloads, CautionPayloads, AskedOrderPayloads, IssuedPaperPayloads, GapPayloads, LadderPayloads, ReconcilePayloads, ReservoirPayloads {
  'job-opened': {
    number: number
    /** Its number in the garage that it was begun in, where that is another. */
    numberThere?: number
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
  /** What the fasteners of a group are and what they go into. */
  'fastener-described': { group: string, fastener: FastenerFacts }
  'board-outlined': { group: string, outline: string }
  /** Puts a bolt on the board, or moves it there. */
  'bolt-placed': { group: string, boltId: string, xMm: number, yMm: number }
  /** Takes a bolt off the board: the car has none there. */
  'bolt-lifted': { group: string, boltId: string }
  'bolt-described': { group: string, boltId: string, details: BoltDetails, condition: BoltCondition | null }
  'bolts-out': { group: string, boltIds: string[], condition: BoltCondition | null }
  /** `stand` says how they stand; without it they are snug. */
  'bolts-in': { group: string, boltIds: string[], stand?: 'started' | 'snug' | 'figure' | 'feel' }
  /** `stepId` is `null` for a run that belongs to no step, `figure` for one that loosens; `boltIds` are those of the board where it holds these very bolts. */
  'run-started': {
    runId: string, stepId: string | null, group: string, boltCount: number, figure: Figure | null, passes: TighteningPass[]
    positions?: Point[], boltIds?: string[], loosens?: boolean, wrench?: RunWrench
  }
  /** What is left of a pass, with a wrench that cannot speak. */
  'pass-turned': { runId: string, passIndex: number }
  'bolt-turned': { runId: string, passIndex: number, bolt: number, feel?: Feel, reading?: BoltReading }
  /** A bolt that must not be turned on: the wrench saw it, or the hand felt it. */
  'bolt-stopped': { runId: string, passIndex: number, bolt: number, verdict: Exclude<TighteningVerdict, 'good'>, because: string, by: 'wrench' | 'feel', reading?: BoltReading }
  'stop-cleared': { runId: string, how: string }
  /** A bolt, a thread or a head that went, and the way out that is taken. */
  'bolt-broken': { group: string, boltId: string, how: 'sheared' | 'stripped' | 'rounded', wayOut: string, troubleId: string, text: string, parts: string[], waitsFor: string | null, until: string | null }
  'run-dropped': { runId: string, reason: string }
  'gear-tried': { stepId: string, gear: string, result: GearResult }
  'break-in-set': { distanceKm: number, writtenAs: string, source: string, odometerKm: number }
  /** `stopAndGo` is the share of the way since the last reading, `hard` that it slipped, was launched or pulled. */
  'odometer-read': { odometerKm: number, stopAndGo?: number, hard?: boolean }
  'left-open': { entry: string, reason: string }
  /** What was left, or answered for, is open again. */
  'left-open-withdrawn': { entry: string }
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
    /** ISO 8601, by the device's clock; set right by the server where that clock was wrong when the device posted. */
    deviceTime: string
    /** What the device's own clock said, where `deviceTime` was set right. */
    saidAt?: string
    personId: string
    type: K
    payload: EventPayloads[K]
  }
}[T]
