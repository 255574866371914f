/** Area of a bore, in mm². */
export function boreArea(boreMm: number): number {
  return (Math.PI / 4) * boreMm ** 2
}

/** Atmospheric pressure, in bar: the standard atmosphere (ISO 2533). */
export const ATMOSPHERE_BAR = 1.01325
