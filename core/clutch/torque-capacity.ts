import { within } from '../base/field-error'
import { frictionTorque } from './friction-torque'
import type { FrictionClutch } from './friction-torque'

export interface TorqueCapacity {
  /** Carried by a run-in lining, in N·m: the lower of the two. */
  wearNm: number
  /** Carried by a new one, in N·m. */
  pressureNm: number
  /** Asked for, in N·m: engine torque with the factor. */
  askedNm: number
  /** Run-in capacity over what is asked. */
  margin: number
  verdict: 'slips' | 'thin' | 'right' | 'heavy'
  because: string
}

/** A clutch carries more than the engine gives, for heat, oil mist and starts. Common practice, no source. */
const THIN = 1.2
const HEAVY = 2.5

/**
 * What the chosen clutch carries against what the engine will ask of it.
 * @param clutch the lining and its clamp load
 * @param engine peak torque in N·m and the factor for towing or tuning, 1 for neither
 * @throws FieldError on the field at fault
 */
export function torqueCapacity(
  clutch: Omit<FrictionClutch, 'model'>,
  engine: { torqueNm: number; factor: number },
): TorqueCapacity {
  within('torqueNm', engine.torqueNm, 1, 5000, 'The engine torque in N·m')
  within('factor', engine.factor, 0.5, 4, 'The factor')
  const wearNm = frictionTorque({ ...clutch, model: 'uniform-wear' })
  const pressureNm = frictionTorque({ ...clutch, model: 'uniform-pressure' })
  const askedNm = engine.torqueNm * engine.factor
  const margin = wearNm / askedNm
  const verdict = margin < 1 ? 'slips' : margin < THIN ? 'thin' : margin > HEAVY ? 'heavy' : 'right'
  const said = {
    slips: 'It slips under full load.',
    thin: `It carries the load with ${Math.round((margin - 1) * 100)} in 100 to spare; heat or a trace of oil takes that.`,
    right: `It carries ${margin.toFixed(1)} times what is asked.`,
    heavy: `It carries ${margin.toFixed(1)} times what is asked: a heavy pedal for nothing, and a shock through the driveline.`,
  }
  return { wearNm, pressureNm, askedNm, margin, verdict, because: said[verdict] }
}
