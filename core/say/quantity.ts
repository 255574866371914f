/** Units that the core says quantities in. `K` is a difference of temperature. */
export const saidUnits = ['N·m', 'kN', 'N', 'mm', 'kg', 'ml', 'km', 'bar', '°C', 'K'] as const
export type SaidUnit = (typeof saidUnits)[number]

/**
 * A quantity in a sentence: kept as a token with its number and unit, and rendered with the sentence in the reader's units.
 * @param value in `unit`
 * @param digits as many as were measured; without them the number as it is
 * @example `Only ${quantity(3.21, 'mm', 1)} are held.` // 'Only {3.2 mm} are held.'
 */
export function quantity(value: number, unit: SaidUnit, digits?: number): string {
  return Number.isFinite(value)
    ? `{${digits === undefined ? value : value.toFixed(digits)} ${unit}}`
    : `${value} ${unit}`
}

/** A value in whatever unit: one that is said in sentences as a quantity, any other as it is. */
export function measured(value: number, unit: string, digits?: number): string {
  return saidUnits.some(said => said === unit)
    ? quantity(value, unit as SaidUnit, digits)
    : `${digits === undefined ? value : value.toFixed(digits)} ${unit}`.trim()
}

export const km = (value: number, digits = 0): string => quantity(value, 'km', digits)
