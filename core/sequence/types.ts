import type { CarPosition, Place } from '../packs/types'

/** The circumstances a plan is made for. Minutes unless said. */
export interface PlanSetting {
  /** Walking from one place of the car to another. */
  walkMinutes: number
  /** Laying hands on one tool that the step before did not use. */
  toolMinutes: number
  start: { place: Place, car: CarPosition }
  /** Whether a second pair of hands is there. */
  helper: boolean
}

/** What it costs to get ready for a step after the one before. */
export interface SetupCost { walkMinutes: number, positionMinutes: number, toolMinutes: number }

/** One line of the plan: an operation, or bringing the car up or down. */
export interface PlannedStep {
  id: string
  kind: 'operation' | 'raise' | 'lower'
  place: Place
  /** Where the car is while this is done. */
  car: CarPosition
  /** Minutes from the start of the job to the start and the end of the work itself. */
  startMinutes: number
  finishMinutes: number
  setupMinutes: number
  /** Time with idle hands before this step, and why. */
  waitMinutes: number
  waitBecause?: string
  /** Needs two people while nobody else is there. */
  shortHanded: boolean
}

/** A stay at one place with the car in one position. */
export interface Trip {
  place: Place
  car: CarPosition
  stepIds: string[]
  startMinutes: number
  finishMinutes: number
  minutes: number
  tools: string[]
}

export interface PlanTotals {
  minutes: number
  workMinutes: number
  setupMinutes: number
  waitMinutes: number
  placeChanges: number
  timesRaised: number
}

export interface Plan {
  /** Step ids in the order to be done, bringing the car up and down included. */
  order: string[]
  steps: PlannedStep[]
  trips: Trip[]
  totals: PlanTotals
  /** The same work in the order it is written down, for comparison. */
  authored: PlanTotals
  /** Tool ids, each once, in the order first wanted. */
  tools: string[]
}
