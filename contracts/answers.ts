import type { TermTable, TradeWords } from '../core/packs'
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
}

/** `GET /api/vehicles` */
export interface VehicleAnswer { id: string, name: string, make: string, model: string, year: number, customer: string, gears: string[] }

/** `GET /api/packs` */
export interface PackLine { id: string, title: string, about: string }
