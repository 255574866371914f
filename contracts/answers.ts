import type { TermTable, TradeWords } from '../core/packs'
import type { WorkingHours } from '../core/sequence'
import type { UnitPreference } from '../core/units'

/** One thing wrong with what was sent: where and why. */
export interface Issue { path: string, reason: string }

/** `GET /api/garage` */
export interface GarageAnswer {
  id: string
  name: string
  town: string
  words: TradeWords
  units: UnitPreference
  people: { id: string, name: string }[]
  terms: TermTable
  /** Option id → choice of this garage where trades people disagree. */
  schools: Record<string, string>
  /** Ids of tools that have to be borrowed. */
  toolsMissing: string[]
  hours: WorkingHours | null
  /** What an hour of work costs a customer, and in which money (ISO 4217). */
  labourPerHour: number
  currency: string
  /** Where it works, for the hour of darkness; degrees north and east. */
  location: { latitude: number, longitude: number } | null
}

/** `GET /api/vehicles` */
export interface VehicleAnswer { id: string, name: string, make: string, model: string, year: number, customer: string, gears: string[] }

/** `GET /api/packs` */
export interface PackLine {
  id: string
  title: string
  about: string
  /** Made by the garage, and so may be changed; with the revision it stands at. */
  own: { revision: number, changedAt: string, changedBy: string } | null
  operationCount: number
  /** Why it cannot be used; `null` when it can. */
  fault: string | null
}

/** `GET /api/packs/:id/file` as JSON: the text of a pack and the revision it stands at, 0 for one that ships. */
export interface PackText { id: string, yaml: string, revision: number }
