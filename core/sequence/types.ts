import type { CarPosition, Place } from '../pack/kinds'
import type { WorkingHours } from './calendar'

/** A step put directly after another by the mechanic; `null` puts it first of all. */
export interface Pin {
  stepId: string
  after: string | null
}

/** How well somebody knows the work on a layout. */
export const skills = ['first-time', 'has-done-it', 'does-it-weekly'] as const
export type Skill = (typeof skills)[number]

/** The circumstances a plan is made for. Minutes unless said; moments in minutes from the start of the job. */
export interface PlanSetting {
  /** Walking from one place of the car to another. */
  walkMinutes: number
  /** Laying hands on one tool that the step before did not use. */
  toolMinutes: number
  /** Washing hands after dirty work before work that wants them clean. */
  washMinutes: number
  start: { place: Place; car: CarPosition }
  /** Whether a second pair of hands is there all the time. */
  helper: boolean
  /** When a second pair of hands comes for a while. */
  helperWindow: { fromMinutes: number; toMinutes: number } | null
  /** Working hours; `null` counts straight through. */
  hours: WorkingHours | null
  /** The minute of the day and the weekday (0 for Sunday) at which the job starts. */
  startMinuteOfDay: number
  startWeekday: number
  /** Parts that are still on their way. */
  arrivals: { partId: string; atMinutes: number }[]
  pins: Pin[]
  /** So many tools stay at hand within a stay; left out, only those of the step before. */
  trayTools?: number
  /** How well the person knows this work; left out, as most do. */
  skill?: Skill
  /** Tools that are done without: every step that uses one takes longer; left out where there is none. */
  without?: string[]
}

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
  /** Minutes of the work itself, whatever closing time lies in between; a plan of long ago does not say. */
  minutes?: number
  setupMinutes: number
  /** Time with idle hands before this step, and why. */
  waitMinutes: number
  waitBecause?: string
  /** Hours after closing that fall before or into this step, and what was left of a day that it did not fit into. */
  closedMinutes?: number
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
  /** Minutes in working hours from start to finish. */
  minutes: number
  workMinutes: number
  setupMinutes: number
  waitMinutes: number
  /** Minutes between start and finish in which nobody works. */
  closedMinutes: number
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
  /** No order of this work is done in fewer minutes. */
  lowerBoundMinutes: number
  /** Whether no order is shorter. */
  proven: boolean
  /** Tool ids, each once, in the order first wanted. */
  tools: string[]
  /** What the plan was made for. */
  setting: PlanSetting
  /** Pins that could not be kept, and why. */
  droppedPins: { stepId: string; because: string }[]
}
