import { FieldError, within } from '../base/field-error'

export const couplings = ['good', 'fair', 'poor'] as const
/** How well hands can hold it: handles, edges, or nothing. */
export type Coupling = (typeof couplings)[number]

export interface Lift {
  massKg: number
  /** From the middle between the ankles to the hands, in cm. */
  horizontalCm: number
  /** Height of the hands at the start, in cm. */
  verticalCm: number
  /** How far it travels up or down, in cm. */
  travelCm: number
  /** How far the trunk is turned, in degrees. */
  asymmetryDeg: number
  liftsPerMinute: number
  durationHours: number
  coupling: Coupling
}

export interface LiftingIndex {
  /** What this lift allows nearly everybody, in kg; 0 where the geometry allows nothing. */
  limitKg: number
  /** Mass over limit; from 1 on the risk rises, from 3 on it is high. `Infinity` where nothing is allowed. */
  index: number
  multipliers: {
    horizontal: number
    vertical: number
    distance: number
    asymmetry: number
    frequency: number
    coupling: number
  }
}

/** Constants of the equation as the manual's worked examples have them, in lb and in; its metric ones are these, rounded. */
const LOAD_KG = 51 * 0.45359237
const NEAR_CM = 10 * 2.54
const KNUCKLE_CM = 30 * 2.54
const FALL_PER_CM = 0.0075 / 2.54
const TRAVEL_CM = 1.8 * 2.54
const LONGEST_HOURS = 8

/**
 * Frequency multipliers by lifts a minute for up to one, two and eight hours; `low` where hands start below 75 cm, `high` above.
 * NIOSH, Applications Manual for the Revised NIOSH Lifting Equation, 1994, table 5; from memory.
 */
const frequencyTable: { perMinute: number; low: [number, number, number]; high: [number, number, number] }[] = [
  { perMinute: 0.2, low: [1, 0.95, 0.85], high: [1, 0.95, 0.85] },
  { perMinute: 0.5, low: [0.97, 0.92, 0.81], high: [0.97, 0.92, 0.81] },
  { perMinute: 1, low: [0.94, 0.88, 0.75], high: [0.94, 0.88, 0.75] },
  { perMinute: 2, low: [0.91, 0.84, 0.65], high: [0.91, 0.84, 0.65] },
  { perMinute: 3, low: [0.88, 0.79, 0.55], high: [0.88, 0.79, 0.55] },
  { perMinute: 4, low: [0.84, 0.72, 0.45], high: [0.84, 0.72, 0.45] },
  { perMinute: 5, low: [0.8, 0.6, 0.35], high: [0.8, 0.6, 0.35] },
  { perMinute: 6, low: [0.75, 0.5, 0.27], high: [0.75, 0.5, 0.27] },
  { perMinute: 7, low: [0.7, 0.42, 0.22], high: [0.7, 0.42, 0.22] },
  { perMinute: 8, low: [0.6, 0.35, 0.18], high: [0.6, 0.35, 0.18] },
  { perMinute: 9, low: [0.52, 0.3, 0], high: [0.52, 0.3, 0.15] },
  { perMinute: 10, low: [0.45, 0.26, 0], high: [0.45, 0.26, 0.13] },
  { perMinute: 11, low: [0.41, 0, 0], high: [0.41, 0.23, 0] },
  { perMinute: 12, low: [0.37, 0, 0], high: [0.37, 0.21, 0] },
  { perMinute: 13, low: [0, 0, 0], high: [0.34, 0, 0] },
  { perMinute: 14, low: [0, 0, 0], high: [0.31, 0, 0] },
  { perMinute: 15, low: [0, 0, 0], high: [0.28, 0, 0] },
]

/**
 * The revised NIOSH lifting equation: how much a person may lift in this posture, and how the load compares.
 * Source: NIOSH, Applications Manual for the Revised NIOSH Lifting Equation, 1994 (DHHS 94-110); from memory.
 * It is made for two hands, standing; lying under a car or kneeling it flatters, so treat its limit there as the most there can be.
 * @throws FieldError on the field at fault
 */
export function liftingIndex(lift: Lift): LiftingIndex {
  within('massKg', lift.massKg, 0.1, 2000, 'The mass in kg')
  within('horizontalCm', lift.horizontalCm, 0, 200, 'The distance to the hands in cm')
  within('verticalCm', lift.verticalCm, 0, 250, 'The height of the hands in cm')
  within('travelCm', lift.travelCm, 0, 250, 'The way in cm')
  within('asymmetryDeg', lift.asymmetryDeg, 0, 180, 'The turn of the trunk in degrees')
  within('liftsPerMinute', lift.liftsPerMinute, 0, 60, 'Lifts a minute')
  within('durationHours', lift.durationHours, 0, LONGEST_HOURS, 'The hours')
  if (!couplings.includes(lift.coupling)) throw new FieldError('coupling', `One of: ${couplings.join(', ')}.`)

  const multipliers = {
    horizontal: lift.horizontalCm > 63.5 ? 0 : NEAR_CM / Math.max(NEAR_CM, lift.horizontalCm),
    vertical: lift.verticalCm > 175 ? 0 : 1 - FALL_PER_CM * Math.abs(lift.verticalCm - KNUCKLE_CM),
    distance: lift.travelCm > 175 ? 0 : 0.82 + TRAVEL_CM / Math.max(NEAR_CM, lift.travelCm),
    asymmetry: lift.asymmetryDeg > 135 ? 0 : 1 - 0.0032 * lift.asymmetryDeg,
    frequency: frequency(lift),
    coupling: { good: 1, fair: lift.verticalCm < 75 ? 0.95 : 1, poor: 0.9 }[lift.coupling],
  }
  const limitKg = Object.values(multipliers).reduce((product, factor) => product * factor, LOAD_KG)
  return { limitKg, index: limitKg > 0 ? lift.massKg / limitKg : Infinity, multipliers }
}

function frequency({ liftsPerMinute, durationHours, verticalCm }: Lift): number {
  const row = frequencyTable.find(entry => liftsPerMinute <= entry.perMinute + 1e-9)
  if (!row) return 0
  return row[verticalCm < 75 ? 'low' : 'high'][durationHours <= 1 ? 0 : durationHours <= 2 ? 1 : 2]
}
