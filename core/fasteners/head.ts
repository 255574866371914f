import { FieldError } from '../base/field-error'
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
 * Bearing diameter under a flange head, dw in mm. Source: EN 1665 and ISO 4162 (from memory).
 */
const flangeBearingMm: Readonly<Record<string, number>> = {
  '5': 9.8,
  '6': 12.2,
  '8': 15.8,
  '10': 19.6,
  '12': 23.8,
  '14': 27.6,
  '16': 31.9,
  '20': 39.9,
}

/**
 * Bearing diameter under a round head with a socket, dw in mm. Source: ISO 4762 (from memory).
 */
const roundBearingMm: Readonly<Record<string, number>> = {
  '3': 5.07,
  '4': 6.53,
  '5': 8.03,
  '6': 9.38,
  '8': 12.33,
  '10': 15.33,
  '12': 17.23,
  '14': 20.17,
  '16': 23.17,
  '20': 28.87,
}

/** Heads by the ring they bear on. */
export const headShapes = ['hexagon', 'flange', 'round'] as const
export type HeadShape = (typeof headShapes)[number]

/** Bearing by kind of head, and its share of the thread's diameter for sizes that the tables lack. */
const bearings: Readonly<Record<HeadShape, { known: Readonly<Record<string, number>>; share: number }>> = {
  hexagon: { known: hexBearingMm, share: 1.42 },
  flange: { known: flangeBearingMm, share: 1.97 },
  round: { known: roundBearingMm, share: 1.5 },
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

/** The bearing under a head and its clearance hole, in mm, where nobody measured them. Sizes between follow the proportion of their kind. */
export function usualHead(
  { diameterMm }: Thread,
  head: HeadShape = 'hexagon',
): { headContactDiameterMm: number; holeDiameterMm: number } {
  const key = String(diameterMm)
  if (!Object.hasOwn(bearings, head))
    throw new FieldError('head', `"${head}" is not a kind of head. Known are ${headShapes.join(', ')}.`)
  const { known, share } = bearings[head]
  return {
    headContactDiameterMm: known[key] ?? share * diameterMm,
    holeDiameterMm: mediumHoleMm[key] ?? 1.1 * diameterMm,
  }
}
