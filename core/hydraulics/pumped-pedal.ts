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
  holds: (seen: PumpedPedal) => boolean | null
  likely: Record<PedalCause, number>
  yes: string
  no: string
}

/** How likely each sign is under each cause. From memory, trade practice. */
const SIGNS: Sign[] = [
  {
    holds: seen => seen.risesMm >= 8,
    likely: { air: 0.85, 'leaking-seal': 0.6, 'worn-clutch': 0.05, sound: 0.03 },
    yes: 'The bite rises with strokes.',
    no: 'The bite does not rise with strokes.',
  },
  {
    holds: seen => (seen.fallsBackShare === undefined || seen.risesMm < 8 ? null : seen.fallsBackShare > 0.5),
    likely: { air: 0.85, 'leaking-seal': 0.7, 'worn-clutch': 0.3, sound: 0.3 },
    yes: 'It falls back after a rest.',
    no: 'It stays up after a rest.',
  },
  {
    holds: seen => (seen.sinksMm === undefined ? null : seen.sinksMm > 4),
    likely: { air: 0.08, 'leaking-seal': 0.85, 'worn-clutch': 0.04, sound: 0.02 },
    yes: 'It sinks under the foot.',
    no: 'It holds under the foot.',
  },
  {
    holds: seen => seen.wet ?? null,
    likely: { air: 0.1, 'leaking-seal': 0.7, 'worn-clutch': 0.03, sound: 0.02 },
    yes: 'Fluid is missing or a cylinder is wet.',
    no: 'The level stands and everything is dry.',
  },
  {
    holds: seen => (seen.biteShare === undefined ? null : seen.biteShare > 0.7),
    likely: { air: 0.05, 'leaking-seal': 0.08, 'worn-clutch': 0.6, sound: 0.12 },
    yes: 'It bites high, near the top.',
    no: 'It does not bite near the top.',
  },
]

/**
 * What a pumped pedal says: Bayes over four causes, each sign counted once and taken as independent of the others.
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
    return holds === null ? [] : [{ sign, holds }]
  })
  const weights = pedalCauses.map(cause =>
    known.reduce(
      (weight, { sign, holds }) => weight * (holds ? sign.likely[cause] : 1 - sign.likely[cause]),
      PRIOR[cause],
    ),
  )
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return pedalCauses
    .map((cause, index): PedalCauseRank => ({
      cause,
      probability: weights[index]! / total,
      because: known
        .filter(({ sign, holds }) => {
          const mean = pedalCauses.reduce(
            (sum, other) => sum + (holds ? sign.likely[other] : 1 - sign.likely[other]) * PRIOR[other],
            0,
          )
          return (holds ? sign.likely[cause] : 1 - sign.likely[cause]) > mean * 1.15
        })
        .map(({ sign, holds }) => (holds ? sign.yes : sign.no)),
    }))
    .sort((a, b) => b.probability - a.probability)
}
