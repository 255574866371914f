/** On what something that was propped, hung or set under stands: with a foot on the floor it keeps the car at its height. */
export const feet = ['floor', 'car'] as const
export type Foot = (typeof feet)[number]

/** One way in which a load is held. All of it must be there; what this work never takes off is there all the time. */
export interface Hold {
  /** A jack, beam or strap, by its ledger item. */
  prop?: string
  /** What it hangs or stands in: ledger items of which none is off. */
  fitted?: string[]
  /** Bolts of a group that are in and at their figure. What is started or snug holds nothing. */
  bolts?: { group: string; atFigure: number }
}

/** Something heavy that falls when it is let go. */
export interface Load {
  id: string
  name: string
  /** The ledger item by which it is out of the car; then it lies where it was put. */
  out?: string
  /** Light enough for a hand to hold until the very next step. */
  byHand?: boolean
  /** Any one of these is enough. */
  heldBy: Hold[]
}
