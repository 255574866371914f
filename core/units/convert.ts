import { parseUnit, quantityOf, toBase } from './units'
import type { UnitId } from './units'

/** A unit that is not known, or two that measure different things. */
export class UnitError extends Error {
  override name = 'UnitError'
}

function known(name: string): UnitId {
  const unit = parseUnit(name)
  if (unit === null) throw new UnitError(`"${name}" is not a unit Eldrin knows`)
  return unit
}

/**
 * Converts a value from one unit to another of the same kind.
 *
 * Source of the factors: NIST SP 811, appendix B.
 * @param value a finite number in `from`
 * @param from a unit or one of its usual spellings, e.g. `lbf·ft`
 * @param to the unit wanted
 * @throws UnitError on an unknown unit, unlike kinds (torque to length) or a value that is not a finite number
 * @example convert(40, 'lbf·ft', 'N·m') // 54.23…
 */
export function convert(value: number, from: string, to: string): number {
  const source = known(from)
  const target = known(to)
  if (!Number.isFinite(value)) throw new UnitError(`${value} ${source} is not a finite number`)
  if (quantityOf(source) !== quantityOf(target)) {
    throw new UnitError(`${source} measures ${quantityOf(source)}, ${target} measures ${quantityOf(target)}`)
  }
  if (source === target) return value
  const a = toBase(source)
  const b = toBase(target)
  return (value * a.factor + a.offset - b.offset) / b.factor
}
