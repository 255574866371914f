/** A way out of a trouble, rung by rung: the gentlest first. */
export interface LadderRung {
  id: string
  /** Only where the layout has one of these steps. */
  with?: string[]
  title: string
  text: string
  /** After so many minutes without success the next rung is due. */
  minutes?: number
  tools: string[]
  parts: string[]
  /** What may be ruined by it, who may be hurt, what it costs. */
  risk?: string
  hurts?: string
  cost?: string
  /** Heat or sparks: every precaution is ticked before it begins. */
  hot?: boolean
  precautions?: string[]
  /** The job waits for somebody else. */
  waits?: boolean
  /** The bolt board is counted here; the gap round the bell is measured here. */
  board?: boolean
  gap?: boolean
}

export interface Ladder {
  id: string
  title: string
  /** How often it is met in a whole job on an ordinary car; common practice, until the garage has counts of its own. */
  perJob?: number
  /** What went on a bolt board that leads here: sheared, stripped, rounded. */
  when: string[]
  /** It is about one bolt or one thing of several: which one is asked. */
  asks?: string
  /** Steps at which it is likely; `everywhere` offers it at any. */
  steps: string[]
  /** Only where the layout has one of these steps. */
  with?: string[]
  everywhere: boolean
  cautions: string[]
  rungs: LadderRung[]
}
