import type { Thread } from './thread'

/**
 * Bearing diameter under the head of a hexagon bolt, dw in mm. Source: ISO 4017, product grade A (from memory).
 */
const hexBearingMm: Readonly<Record<string, number>> = {
  '3': 4.57,
  '4': 5.88,
  '5': 6.88,
  '6': 8.88,
  '7': 9.63,
  '8': 11.63,
  '10': 14.63,
  '12': 16.63,
  '14': 19.64,
  '16': 22.49,
  '18': 25.34,
  '20': 28.19,
  '22': 31.71,
  '24': 33.61,
}

/**
 * Clearance hole, medium fit, in mm. Source: ISO 273 (from memory).
 */
const mediumHoleMm: Readonly<Record<string, number>> = {
  '3': 3.4,
  '4': 4.5,
  '5': 5.5,
  '6': 6.6,
  '7': 7.6,
  '8': 9,
  '10': 11,
  '12': 13.5,
  '14': 15.5,
  '16': 17.5,
  '18': 20,
  '20': 22,
  '22': 24,
  '24': 26,
}

/** The bearing under a plain hexagon head and its clearance hole, in mm, where nobody measured them. Sizes between follow the proportion of their kind. */
export function usualHead({ diameterMm }: Thread): { headContactDiameterMm: number; holeDiameterMm: number } {
  const key = String(diameterMm)
  return {
    headContactDiameterMm: hexBearingMm[key] ?? 1.42 * diameterMm,
    holeDiameterMm: mediumHoleMm[key] ?? 1.1 * diameterMm,
  }
}
