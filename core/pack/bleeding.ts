import type { ThreePoint } from './kinds'

export const bleedCounts = ['strokes', 'portions', 'minutes'] as const

/** One word of the spoken count of two people, and how long it lasts. */
export interface BleedCall {
  say: string
  by: 'pedal' | 'bleeder'
  seconds: number
  about: string
}

/** What bears on how a line is bled. */
export interface BleedSituation {
  /** Whether the line was opened; a slave moved aside unopened needs nothing. */
  opened: boolean
  /** A new set that came filled, with its strap. */
  preFilled: boolean
  slave: 'outside' | 'concentric'
  bleeder: 'at-top' | 'low' | 'none'
  helper: boolean
  /** Ids of the aids at hand, as the ways name what they want. */
  tools: string[]
  /** Minutes that the car may stand before it has to go. */
  minutesLeft: number
  sharedReservoir: boolean
}

/** What can be asked of a situation by a rule: all that is one of a few. */
export type BleedCondition = Partial<
  Pick<BleedSituation, 'opened' | 'preFilled' | 'slave' | 'bleeder' | 'helper' | 'sharedReservoir'>
>

/** A reason for a way or against it, where its condition holds. */
export interface BleedRule {
  when: BleedCondition
  /** Points it gives or takes. */
  points?: number
  /** It rules the way out. */
  closes?: boolean
  because: string
}

/** A school of bleeding: what is counted, how a round goes, what ends it, what speaks for it. */
export interface BleedWay {
  id: string
  title: string
  /** Strokes of the pedal, portions of fluid, or minutes with the bleeder open. */
  counts: (typeof bleedCounts)[number]
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
  /** Share of the air held in the slave that a stroke, or ten seconds of flow, frees; a way without it takes no air out. */
  frees?: number
  /** How fast fluid is let through where no strokes are counted, in ml/s. */
  flowMlS?: number
  /** The aid without which it cannot be done. */
  wants?: { id: string; name: string }
  advice: BleedRule[]
  calls: BleedCall[]
  /** What is made sure of before the first count, how a round goes, what ends it, what goes wrong with it. */
  ready: string[]
  round: string[]
  over: string
  wrong: string
}

/** What of a way its simulation and the advice need. */
export type BleedPhysics = Pick<
  BleedWay,
  | 'id'
  | 'title'
  | 'counts'
  | 'minutes'
  | 'perRound'
  | 'restMinutes'
  | 'strokeShare'
  | 'portionMl'
  | 'bleeder'
  | 'frees'
  | 'flowMlS'
  | 'wants'
  | 'advice'
>
