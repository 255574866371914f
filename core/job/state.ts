import type { Figure, TighteningPass } from '../fasteners'
import type { CarPosition, Place, Procedure } from '../packs/types'
import type { Plan } from '../sequence/types'
import type { Circumstances, PlanClock } from './circumstances'
import type { EventPayloads, GearResult, PedalFeel, PumpResult, Vehicle } from './events'

export interface DoneRecord { at: string, personId: string, eventId: string }
export interface NoteRecord { stepId: string | null, text: string, at: string, personId: string }
export interface ReadingRecord { stepId: string, readingId: string, value: number | string, unit: string | null, at: string }
export interface TimerRecord { runningSince: string | null, seconds: number }

export interface Trouble {
  troubleId: string
  stepId: string | null
  text: string
  waitsFor: string | null
  until: string | null
  at: string
  cleared: { at: string, how: string } | null
}

export interface TighteningRun {
  runId: string
  stepId: string
  group: string
  boltCount: number
  figure: Figure
  passes: TighteningPass[]
  /** Turns of the wrench done, over all passes. */
  turned: number
  dropped: string | null
}

export interface BleedRound { strokes: number, restSince: string | null, feel: PedalFeel | null }
export interface Bleeding { strokesPerRound: number, restMinutes: number, rounds: BleedRound[] }

export interface BreakIn {
  distanceKm: number
  writtenAs: string
  source: string
  startKm: number
  lastKm: number
}

/** Everything there is to know about a job, computed from its events alone. Plain JSON. */
export interface JobState {
  jobId: string | null
  number: number
  vehicle: Vehicle | null
  complaint: { symptoms: string[], text: string }
  pumpTest: { result: PumpResult, strokes: number | null }
  odometerKm: number | null
  openedAt: string | null
  procedure: Procedure | null
  plan: Plan | null
  circumstances: Circumstances
  /** Where the plan lies on the wall clock. */
  clock: PlanClock | null
  done: Record<string, DoneRecord>
  /** Item id → how many are off, open, unplugged, slack or propped. Items at zero are not listed. */
  ledger: Record<string, number>
  /** Ids of the facts that hold. */
  facts: string[]
  car: CarPosition
  place: Place
  notes: NoteRecord[]
  readings: ReadingRecord[]
  timers: Record<string, TimerRecord>
  troubles: Trouble[]
  /** Fastener group → figures named, the newest last. */
  figures: Record<string, Figure[]>
  runs: TighteningRun[]
  bleeding: Record<string, Bleeding>
  /** Step id → gear → result. */
  gears: Record<string, Record<string, GearResult>>
  breakIn: BreakIn | null
  /** Open entry → why it is left. */
  leftOpen: Record<string, string>
  handedOver: (EventPayloads['handed-over'] & { at: string }) | null
  calledOff: { reason: string, at: string } | null
  lastSeq: number
  lastAt: string | null
}
