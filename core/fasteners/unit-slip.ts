import { convert } from '../units'
import type { UnitId } from '../units'
import { ABSURD_TORQUE_NM, judgeSpec } from './judge-spec'
import type { Joint } from './judge-spec'

const torqueUnits = ['N·m', 'lbf·ft', 'lbf·in'] as const satisfies UnitId[]
export type TorqueUnit = (typeof torqueUnits)[number]

/** A wrench is set by well-used figures of about this share of yield; of two readings of a number the nearer is offered. */
const USUAL_SHARE = 0.65

/**
 * The unit that was probably meant, when a number is implausible in the unit it was typed with and plausible in another.
 * @param typed the number and its unit as typed
 * @returns the other unit and the torque it makes, or `null` when the figure is plausible as typed or nowhere
 * @throws FieldError when the joint cannot be computed with
 * @example unitSlip({ thread: 'M6', propertyClass: '8.8' }, { value: 80, unit: 'lbf·ft' }) // lbf·in, 9.04 N·m
 */
export function unitSlip(
  joint: Joint,
  typed: { value: number; unit: TorqueUnit },
): { unit: TorqueUnit; torqueNm: number } | null {
  const read = (unit: TorqueUnit) => {
    const torqueNm = convert(typed.value, unit, 'N·m')
    return torqueNm >= 0.1 && torqueNm <= ABSURD_TORQUE_NM
      ? { unit, torqueNm, ...judgeSpec({ ...joint, torqueNm }) }
      : null
  }
  if (read(typed.unit)?.verdict === 'plausible') return null
  const others = torqueUnits
    .filter(unit => unit !== typed.unit)
    .map(read)
    .filter(entry => entry?.verdict === 'plausible')
  const best = others.sort((a, b) => Math.abs(a!.utilisation - USUAL_SHARE) - Math.abs(b!.utilisation - USUAL_SHARE))[0]
  return best ? { unit: best.unit, torqueNm: best.torqueNm } : null
}
