import { within } from '../base/field-error'

/** What the pumped pedal showed. What was not looked at is left out. */
export interface PumpedPedal {
  /** How much higher it bites after so many strokes, in mm at the pad. */
  risesMm: number
  strokes: number
  /** How much of that is gone again after a minute of rest, 0 to 1. */
  fallsBackShare?: number
  /** How far the pad sinks in a minute under the foot, in mm. */
  sinksMm?: number
  /** Whether the level in the reservoir has fallen, or a cylinder is wet. */
  wet?: boolean
  /** How high it bites from the floor, as a share of the travel. */
  biteShare?: number
}

export const pedalCauses = ['air', 'leaking-seal', 'worn-clutch', 'sound'] as const
export type PedalCause = (typeof pedalCauses)[number]

export interface PedalCauseRank {
  cause: PedalCause
  probability: number
  because: string[]
}

/** How often each is the one at a garage's door, before anything is tried. From memory, trade practice. */
const PRIOR: Record<PedalCause, number> = { air: 0.35, 'leaking-seal': 0.2, 'worn-clutch': 0.25, sound: 0.2 }

interface Sign {
  /** How far the sign holds, from 0 to 1: a reading near its edge says little either way. `null` where nobody looked. */
  holds: (seen: PumpedPedal) => number | null
  /** How much it counts at all, from 0 to 1; in full where it is left out. */
  weighs?: (seen: PumpedPedal) => number
  likely: Record<PedalCause, number>
  yes: string
  no: string
}

/** How finely a rise is read off a pad with a rule, in mm. Common practice, no source. */
const RISE_MM = 1.5

/** How far a reading lies beyond an edge that it is not read more finely to: a half on it, as good as sure three times that away (logistic). */
const beyond = (value: number, edge: number, fineness: number): number => 1 / (1 + Math.exp((edge - value) / fineness))

/** How likely each sign is under each cause. From memory, trade practice. */
const SIGNS: Sign[] = [
  {
    holds: seen => beyond(seen.risesMm, 8, RISE_MM),
    likely: { air: 0.85, 'leaking-seal': 0.6, 'worn-clutch': 0.05, sound: 0.03 },
    yes: 'The bite rises with strokes.',
    no: 'The bite does not rise with strokes.',
  },
  {
    holds: seen => (seen.fallsBackShare === undefined ? null : beyond(seen.fallsBackShare, 0.5, 0.1)),
    weighs: seen => beyond(seen.risesMm, 8, RISE_MM),
    likely: { air: 0.85, 'leaking-seal': 0.7, 'worn-clutch': 0.3, sound: 0.3 },
    yes: 'It falls back after a rest.',
    no: 'It stays up after a rest.',
  },
  {
    holds: seen => (seen.sinksMm === undefined ? null : beyond(seen.sinksMm, 4, 1)),
    likely: { air: 0.08, 'leaking-seal': 0.85, 'worn-clutch': 0.04, sound: 0.02 },
    yes: 'It sinks under the foot.',
    no: 'It holds under the foot.',
  },
  {
    holds: seen => (seen.wet === undefined ? null : Number(seen.wet)),
    likely: { air: 0.1, 'leaking-seal': 0.7, 'worn-clutch': 0.03, sound: 0.02 },
    yes: 'Fluid is missing or a cylinder is wet.',
    no: 'The level stands and everything is dry.',
  },
  {
    holds: seen => (seen.biteShare === undefined ? null : beyond(seen.biteShare, 0.7, 0.05)),
    likely: { air: 0.05, 'leaking-seal': 0.08, 'worn-clutch': 0.6, sound: 0.12 },
    yes: 'It bites high, near the top.',
    no: 'It does not bite near the top.',
  },
]

/**
 * What a pumped pedal says: Bayes over four causes, each sign counted once and taken as independent of the others, by
 * how far it holds.
 * @returns causes with their probabilities, which add up to one, the likeliest first, each with the signs that speak for it
 * @throws FieldError on the field at fault
 */
export function pumpedPedal(seen: PumpedPedal): PedalCauseRank[] {
  within('risesMm', seen.risesMm, -50, 200, 'The rise in mm')
  within('strokes', seen.strokes, 1, 100, 'The strokes')
  if (seen.fallsBackShare !== undefined)
    within('fallsBackShare', seen.fallsBackShare, 0, 1, 'The share that falls back')
  if (seen.sinksMm !== undefined) within('sinksMm', seen.sinksMm, 0, 200, 'The sinking in mm')
  if (seen.biteShare !== undefined) within('biteShare', seen.biteShare, 0, 1, 'The bite')
  const known = SIGNS.flatMap(sign => {
    const holds = sign.holds(seen)
    return holds === null ? [] : [{ sign, holds, counts: sign.weighs?.(seen) ?? 1 }]
  })
  type Known = (typeof known)[number]
  const likely = ({ sign, holds, counts }: Known, cause: PedalCause) =>
    (holds * sign.likely[cause] + (1 - holds) * (1 - sign.likely[cause])) ** counts
  const weights = pedalCauses.map(cause => known.reduce((weight, entry) => weight * likely(entry, cause), PRIOR[cause]))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return pedalCauses
    .map((cause, index): PedalCauseRank => ({
      cause,
      probability: weights[index]! / total,
      because: known
        .filter(entry => {
          const mean = pedalCauses.reduce((sum, other) => sum + likely(entry, other) * PRIOR[other], 0)
          return likely(entry, cause) > mean * 1.15
        })
        .map(({ sign, holds }) => (holds >= 0.5 ? sign.yes : sign.no)),
    }))
    .sort((a, b) => b.probability - a.probability)
}
