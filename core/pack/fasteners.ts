/**
 * The outline of a part that bolts hold, in mm about its middle, +y up, as seen from the side of the gearbox:
 * a closed line through points, drawn round where `smooth`, or a circle.
 */
export interface Outline {
  id: string
  name: string
  points?: [x: number, y: number][]
  smooth?: boolean
  circleMm?: number
  marks: { name: string; x: number; y: number; radiusMm: number }[]
}

/** Where a bolt of a group typically is. */
export interface BoltPlace {
  id: string
  x: number
  y: number
  /** The step that takes it out; the step that undoes that one puts it back. */
  offWith?: string
  /** The side it goes in from. */
  from?: 'box' | 'engine'
  /** Under its head. */
  lengthMm?: number
  /** What else it holds. */
  holds?: string
}

/** The typical map of a group's bolts. */
export interface BoltMap {
  outline: string
  /** Every bolt is out before this step. */
  clearFor?: string
  places: BoltPlace[]
}

export const heavyRuns = ['locking', 'drawn'] as const

/** Fasteners that share a figure. */
export interface FastenerGroup {
  id: string
  name: string
  count: number
  part: 'vehicle' | 'kit'
  treatment?: string
  board?: BoltMap
  /** Somebody drives on it: it is set at a figure with its source, or a person answers for it by name. */
  safety?: boolean
  /** Where figures for fasteners of this kind usually lie, in N·m; one far outside is questioned. Common practice, no source. */
  usualNm?: [low: number, high: number]
  /** What makes them run heavier than clean threads do: nuts that lock, or a sprung part that they draw down. */
  runs?: (typeof heavyRuns)[number]
}
