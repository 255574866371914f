import type { BleedMethod } from '../hydraulics/bleed-methods'
import type { ThreePoint } from './types'

export const bleedCounts = ['strokes', 'portions', 'minutes'] as const

/** One word of the spoken count of two people, and how long it lasts. */
export interface BleedCall { say: string, by: 'pedal' | 'bleeder', seconds: number, about: string }

/** A school of bleeding: what is counted, how a round goes, what ends it. */
export interface BleedWay {
  id: string
  title: string
  /** The physics it follows, by which it is advised and simulated. */
  method: BleedMethod
  /** Strokes of the pedal, portions of fluid, or minutes with the bleeder open. */
  counts: typeof bleedCounts[number]
  /** What one count is called, and many. */
  one: string
  many: string
  /** Hands on, as the plan counts it: low, likely and high. The rest that follows is a wait of the plan. */
  minutes?: ThreePoint
  perRound: number
  /** Rest between rounds; where minutes are counted, how long the bleeder stays open. */
  restMinutes: number
  /** Share of a stroke that leaves at the bleeder. */
  strokeShare: number
  /** Fluid through the line with one portion, in ml; below zero it goes up into the reservoir. */
  portionMl: number
  /** Whether it lets air out at a bleeder. */
  bleeder: boolean
  calls: BleedCall[]
  /** What is made sure of before the first count, how a round goes, what ends it, what goes wrong with it. */
  ready: string[]
  round: string[]
  over: string
  wrong: string
}
