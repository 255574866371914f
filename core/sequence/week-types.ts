/** A stretch of time, in minutes from the start of the days planned. */
export type Span = [from: number, to: number]

/** Work on one car that is done in one go, and the wait behind it that frees the mechanic. */
export interface WeekSegment {
  minutes: number
  waitAfter: number
  /** Not before this, for the reason given: a part on its way, a rest that runs. */
  readyAt: number | null
  because: string | null
}

export interface WeekJob {
  id: string
  segments: WeekSegment[]
  /** Put off until then by hand. */
  notBefore: number
  dueAt: number | null
  site: 'bay' | 'driveway'
  /** From the garage to where the car stands. */
  travelMinutes: number
}

/** When work can be done in the bay, and on a driveway, where it ends with the light. */
export interface WeekWindows {
  bay: Span[]
  driveway: Span[]
}

/** Work on one car without a break: laid down at the latest when the day closes, and taken up again where that is best. */
export interface WeekBlock {
  jobId: string
  segment: number
  from: number
  to: number
  /** The way there before it, if any. */
  travel: Span | null
}

export interface WeekPlan {
  blocks: WeekBlock[]
  /** When each job is done; `Infinity` where the days planned do not hold it. */
  ends: Record<string, number>
  late: Record<string, number>
  /** Waits of one car, and the cars worked on meanwhile. */
  waits: { jobId: string; from: number; to: number; because: string | null; filledBy: string[] }[]
  travelMinutes: number
  /** What is made small: minutes late, tenfold; a tenth of every minute until a car is done; minutes on the road; five for each change of car. */
  cost: number
  /** No week can cost less: each job alone on it. */
  lowerBound: number
  /** Whether every order of preference was tried. */
  proven: boolean
}
