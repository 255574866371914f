import type { AskedOrder } from './asked-orders'
import type { BoltBoard, BoltReading, FastenerFacts, Feel, Figure, Point, TighteningPass } from '../fasteners'
import type { BenchState } from './bench-state'
import type { CarPosition, Place, Procedure } from '../packs/types'
import type { Plan } from '../sequence/types'
import type { Circumstances, PlanClock } from './circumstances'
import type { GapRecord } from './gaps'
import type { IssuedPaper } from './issued-papers'
import type { LadderRun } from './ladders'
import type { BreakInReading } from './break-in'
import type { MadeCheck } from './closing'
import type { Payment } from './payments'
import type { WeekPlacing } from './placing'
import type { Diagnosis } from './diagnosis'
import type { RoadNote } from './road-test'
import type { Bubbles, FluidColour } from './bleeding'
import type { EventPayloads, GearResult, PedalFeel, PumpResult, RunWrench, Vehicle } from './events'

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

/** Why something is left as it is, and who answers for that. */
export interface LeftOpen { reason: string, personId: string, at: string }

/** A figure with who named it and when. */
export interface NamedFigure extends Figure { personId: string, at: string }

/** What is known of one bolt in one pass. */
export interface TurnedBolt { passIndex: number, bolt: number, feel?: Feel, reading?: BoltReading }

/** A bolt that stopped its run. */
export type RunStop = Pick<EventPayloads['bolt-stopped'], 'passIndex' | 'bolt' | 'verdict' | 'because' | 'by' | 'reading'> & { at: string, cleared: string | null }

export interface TighteningRun {
  runId: string
  stepId: string | null
  group: string
  boltCount: number
  /** `null` for a run that loosens. */
  figure: Figure | null
  passes: TighteningPass[]
  positions?: Point[]
  boltIds?: string[]
  loosens?: boolean
  wrench?: RunWrench
  /** Turns of the wrench done, over all passes. */
  turned: number
  /** Those of them that a hand or a wrench said something of. */
  turns: TurnedBolt[]
  stops: RunStop[]
  dropped: string | null
}

/** A round by one way: what was counted, and what was seen and felt at its end. */
export interface BleedRound {
  way: string
  strokes: number
  portions: number
  /** Fluid through the line, in ml; below zero upward. Strokes count where the reservoir is known. */
  movedMl: number
  restSince: string | null
  feel: PedalFeel | null
  bubbles?: Bubbles
  colour?: FluidColour
  lostMm?: number
}
/** A reservoir as it was set, and what has come in and gone out since, in ml. */
export interface ReservoirRecord {
  reservoirMl: number
  lowMl: number
  fullMl: number | null
  masterBoreMm: number
  strokeMm: number
  lineMl: number
  /** What a whole stroke moves. */
  eachMl: number
  addedMl: number
  sentMl: number
  pushedMl: number
  strokes: number
  /** When more had run out than stood in it. */
  ranDry: string | null
}

export interface Bleeding {
  strokesPerRound: number
  restMinutes: number
  rounds: BleedRound[]
  boughtMl: number
  /** A spoken count that runs: since when by the server's clock, which device counts, and strokes of the round before it. */
  pace: { since: string, deviceId: string, strokesBefore: number } | null
}

export interface BreakIn {
  distanceKm: number
  writtenAs: string
  source: string
  startKm: number
  startAt: string
  lastKm: number
  readings: BreakInReading[]
}

/** Everything there is to know about a job, computed from its events alone. Plain JSON. */
export interface JobState extends BenchState, Diagnosis {
  jobId: string | null
  number: number
  /** Its number in the garage that it was begun in, where that is another. */
  numberThere: number | null
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
  /** Item id → how many were off at most, in the order in which they first came off. */
  everOff: Record<string, number>
  /** Ids of the facts that hold. */
  facts: string[]
  car: CarPosition
  place: Place
  notes: NoteRecord[]
  readings: ReadingRecord[]
  timers: Record<string, TimerRecord>
  troubles: Trouble[]
  /** Fastener group → figures named, the newest last. */
  figures: Record<string, NamedFigure[]>
  /** Fastener group → what its fasteners are. */
  fasteners: Record<string, FastenerFacts>
  /** Fastener group → its board. */
  boards: Record<string, BoltBoard>
  /** Orders that wait for the supplier's answer, or that it did not take; one a part. */
  askedOrders: AskedOrder[]
  /** Parts wanted beyond the plan's, and why. */
  addedParts: { name: string, because: string, at: string }[]
  runs: TighteningRun[]
  /** Troubles that were taken up a ladder. */
  ladderRuns: LadderRun[]
  /** Gaps measured round the bell, the newest last. */
  gaps: GapRecord[]
  bleeding: Record<string, Bleeding>
  /** Step id → the reservoir its strokes draw from. */
  reservoirs: Record<string, ReservoirRecord>
  /** Step id → gear → result. */
  gears: Record<string, Record<string, GearResult>>
  breakIn: BreakIn | null
  site: WeekPlacing
  payments: Payment[]
  /** Papers that left the house, the newest last. */
  issuedPapers: IssuedPaper[]
  /** Closing checks made by hand. */
  checks: Record<string, MadeCheck>
  /** Task of the road test → what it showed. */
  road: Record<string, RoadNote>
  /** Serious cautions that somebody has read, once for the job. */
  acknowledged: Record<string, { at: string, personId: string }>
  /** Item id → what went back in its place. */
  replaced: Record<string, { by: string, at: string }>
  /** Open entry → why it is left, and who answers for it. */
  leftOpen: Record<string, LeftOpen>
  handedOver: (EventPayloads['handed-over'] & { at: string }) | null
  calledOff: { reason: string, at: string } | null
  lastSeq: number
  lastAt: string | null
}
