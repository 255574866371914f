/** Ways to get the air out; `unopened` needs none. */
export const bleedMethods = ['pump-rest', 'two-person', 'vacuum', 'pressure', 'reverse', 'gravity', 'pre-filled', 'unopened'] as const
export type BleedMethod = typeof bleedMethods[number]

/** How a round of a method goes. Common practice, no source, but for what follows from the line. */
export interface MethodRound {
  strokes: number
  /** Fluid let out at the bleeder with each stroke, as a share of what the stroke moves. */
  deliveredShare: number
  /** Fluid drawn, pushed or dripping through without strokes: ml a second, above zero from reservoir to slave, and for how long. */
  flowMlS: number
  flowSeconds: number
  restMinutes: number
  /** Share of the air held in the slave that a stroke, or ten seconds of flow, frees. */
  frees: number
}

export const methodRounds: Record<Exclude<BleedMethod, 'pre-filled' | 'unopened'>, MethodRound> = {
  'pump-rest': { strokes: 25, deliveredShare: 0, flowMlS: 0, flowSeconds: 0, restMinutes: 60, frees: 0.06 },
  'two-person': { strokes: 10, deliveredShare: 0.95, flowMlS: 0, flowSeconds: 0, restMinutes: 0, frees: 0.12 },
  'vacuum': { strokes: 0, deliveredShare: 0, flowMlS: 1.5, flowSeconds: 40, restMinutes: 0, frees: 0.12 },
  'pressure': { strokes: 0, deliveredShare: 0, flowMlS: 3, flowSeconds: 25, restMinutes: 0, frees: 0.1 },
  'reverse': { strokes: 0, deliveredShare: 0, flowMlS: -1.5, flowSeconds: 40, restMinutes: 0, frees: 0.2 },
  'gravity': { strokes: 0, deliveredShare: 0, flowMlS: 0.12, flowSeconds: 600, restMinutes: 0, frees: 0.01 },
}
/** A slow full stroke, down and up, in seconds. Common practice, no source. */
export const STROKE_SECONDS = 4
