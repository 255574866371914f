import type { CauseTables, KnownCase, ToolTerms } from '../core/decisions'
import type { Figure } from '../core/fasteners'
import type { BreakInReport, JobSummary } from '../core/job'
import type { FoundThing, ItemState, TermTable, ThreePoint, TradeWords } from '../core/packs'
import type { Role } from '../core/people/roles'
import type { Reader } from '../core/say'
import type { LearnedMinutes, WorkingHours } from '../core/sequence'
import type { UnitPreference } from '../core/units'

import type { MeAnswer } from './who'

/** One thing wrong with what was sent: where and why. */
export interface Issue {
  path: string
  reason: string
}

/** `GET /api/garage` */
export interface GarageAnswer {
  id: string
  name: string
  town: string
  address: string
  words: TradeWords
  units: UnitPreference
  /** Everybody who ever worked here; who is gone signs nothing new. */
  people: { id: string; name: string; gone: boolean; role: Role; signsIn: boolean; hasPin: boolean }[]
  /** Who asks. */
  me: MeAnswer
  /** Jobs that a customer's name has left, the first first: a device lets go of what it has kept of them. */
  erased: { jobId: string; at: string }[]
  /** Whether invitations can be mailed. */
  mails: boolean
  terms: TermTable
  /** What turns up on a car that no layout knows of. */
  found: FoundThing[]
  /** Option id → choice of this garage where trades people disagree. */
  schools: Record<string, string>
  /** Ids of tools that have to be borrowed. */
  toolsMissing: string[]
  /** Tool id → what it costs to have it, where somebody said. */
  toolTerms: Record<string, ToolTerms>
  hours: WorkingHours | null
  /** What an hour of work costs a customer, and in which money (ISO 4217). */
  labourPerHour: number
  currency: string
  taxPercent: number
  partsMarginPercent: number
  callOut: number
  /** By which share of cases an estimate's hours are enough; `null` for the sum of likeliest minutes. */
  priceShare: number | null
  /** What a day late costs the garage, and a day too early. */
  laterPercent: number
  latePerDay: number
  earlyPerDay: number
  /** Tools that stay at hand within a stay. */
  trayTools: number
  paper: 'a4' | 'letter'
  /** IANA name; days on papers are days there. */
  timeZone: string
  /** Where it works, for the hour of darkness; degrees north and east. */
  location: { latitude: number; longitude: number } | null
}

/** `GET /api/causes` */
export interface CausesAnswer {
  tables: CauseTables[]
  cases: (KnownCase & { tableId: string })[]
}

/** `GET /api/minutes`, a line for every piece of work that was timed. */
export interface LearnedLine {
  operationId: string
  title: string
  from: ThreePoint
  learned: LearnedMinutes
}

/** `GET /api/jobs/:id/share`: links that lead to a job, the newest first; `origin` is what they begin with, where it is another than the garage's. */
export interface SharesAnswer {
  origin: string | null
  links: { id: string; createdAt: string; expiresAt: string }[]
}

/** `GET /shared/:token`: what a customer sees of a job. */
export interface SharedAnswer {
  garage: { name: string; town: string }
  reader: Reader
  number: number
  vehicle: { name: string; make: string; model: string; year: number }
  stepsDone: number
  stepsTotal: number
  promisedAt: string | null
  handedOverAt: string | null
  calledOff: boolean
  renewed: string[]
  cause: string | null
  /** How many things were left open, on purpose. */
  left: number
  breakIn: {
    writtenAs: string
    source: string
    distanceKm: number
    readings: { at: string; odometerKm: number }[]
    report: BreakInReport
  } | null
}

/** `GET /api/kits`: a figure of a kit sheet, and the job it was named in last. */
export interface KitLine {
  reference: string
  group: string
  figure: Figure
  jobNumber: number
}

/** `GET /api/vehicles/:id` */
export interface VehicleHistory {
  vehicle: VehicleAnswer
  jobs: JobSummary[]
  figures: Figure[]
  /** Figures of other cars of the same model, for groups this one has none of. */
  alike: { vehicleId: string; vehicleName: string; year: number; figure: Figure }[]
  /** What stood in the way on jobs of the same model and no layout knew of, the most frequent first. */
  found: FoundBefore[]
}

/** Something that was found on a model, as it was last told, and on how many jobs. */
export interface FoundBefore {
  name: string
  state: ItemState
  count: number
  bolts: number
  minutes: number
  goesBack: boolean
  jobs: number
}

/** `POST /api/imports` */
export interface ImportedJob {
  jobId: string
  number: number
  added: number
}

/** `GET /api/search` */
export interface FoundLine {
  summary: JobSummary
  snippet: string
}

/** `GET /api/vehicles` */
export interface VehicleAnswer {
  id: string
  name: string
  make: string
  model: string
  year: number
  customer: string
  gears: string[]
}

/** `GET /api/packs` */
export interface PackLine {
  id: string
  title: string
  about: string
  /** What kinds of cars it stands with in a list; one of before does not say. */
  family?: string
  /** Made by the garage, and so may be changed; with the revision it stands at. */
  own: { revision: number; changedAt: string; changedBy: string } | null
  operationCount: number
  /** Why it cannot be used; `null` when it can. */
  fault: string | null
}

/** `GET /api/packs/:id/file` as JSON: the text of a pack and the revision it stands at, 0 for one that ships. */
export interface PackText {
  id: string
  yaml: string
  revision: number
}
