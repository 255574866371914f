import { within } from '../base/field-error'
import { ATMOSPHERE_BAR, boreArea } from './bore-area'

export interface LostTravel {
  /** Travel of the pad lost against a full line, in mm. */
  lostPedalMm: number
  pedalRatio: number
  masterBoreMm: number
  /** Pressure reached in the line, above the air's, in bar. */
  pressureBar: number
  /** How much line and hose swell, in ml a bar. */
  swellingMlPerBar?: number
}

export interface TrappedAir {
  /** Air left in the line, in ml at atmospheric pressure, had it all the time to cool: the lower bound. */
  volumeMl: number
  /** The same had it no time at all: the upper bound. */
  quickMl: number
  /** What the lost travel displaces, in ml; and what of it the hose takes by swelling. */
  displacedMl: number
  swollenMl: number
}

/** Ratio of specific heats of air. */
const KAPPA = 1.4

/**
 * Air in a line, from the travel it swallows: pressed from p₀ to p₀ + p it gives way by V (1 − p₀ / (p₀ + p)) by Boyle's law
 * (p V constant), or V (1 − (p₀ / (p₀ + p))^(1/κ)) where it has no time to cool. The truth lies between.
 * @throws FieldError on the field at fault
 */
export function trappedAir({
  lostPedalMm,
  pedalRatio,
  masterBoreMm,
  pressureBar,
  swellingMlPerBar = 0,
}: LostTravel): TrappedAir {
  within('lostPedalMm', lostPedalMm, 0, 400, 'The lost travel in mm')
  within('pedalRatio', pedalRatio, 1, 15, 'The ratio of the pedal')
  within('masterBoreMm', masterBoreMm, 5, 60, 'The bore of the master in mm')
  within('pressureBar', pressureBar, 0.1, 150, 'The pressure in bar')
  within('swellingMlPerBar', swellingMlPerBar, 0, 1, 'The swelling in ml a bar')
  const displacedMl = ((lostPedalMm / pedalRatio) * boreArea(masterBoreMm)) / 1000
  const swollenMl = Math.min(displacedMl, swellingMlPerBar * pressureBar)
  const byAir = displacedMl - swollenMl
  const left = ATMOSPHERE_BAR / (ATMOSPHERE_BAR + pressureBar)
  return { volumeMl: byAir / (1 - left), quickMl: byAir / (1 - left ** (1 / KAPPA)), displacedMl, swollenMl }
}

/**
 * Travel of the pad that an amount of air swallows at a pressure, in mm: the other way round.
 * @throws FieldError where the volume or the pressure is none
 */
export function airSwallows({
  volumeMl,
  pedalRatio,
  masterBoreMm,
  pressureBar,
}: {
  volumeMl: number
  pedalRatio: number
  masterBoreMm: number
  pressureBar: number
}): number {
  within('volumeMl', volumeMl, 0, 500, 'The volume of air in ml')
  within('pedalRatio', pedalRatio, 1, 15, 'The ratio of the pedal')
  within('masterBoreMm', masterBoreMm, 5, 60, 'The bore of the master in mm')
  within('pressureBar', pressureBar, 0, 200, 'The pressure in bar')
  return (
    ((volumeMl * (1 - ATMOSPHERE_BAR / (ATMOSPHERE_BAR + pressureBar)) * 1000) / boreArea(masterBoreMm)) * pedalRatio
  )
}
