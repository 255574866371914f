/**
 * Coarse pitch in mm by nominal diameter in mm. Source: ISO 261, ISO 262 (from memory).
 */
export const coarsePitchMm: Readonly<Record<string, number>> = {
  '1': 0.25,
  '1.2': 0.25,
  '1.4': 0.3,
  '1.6': 0.35,
  '1.8': 0.35,
  '2': 0.4,
  '2.2': 0.45,
  '2.5': 0.45,
  '3': 0.5,
  '3.5': 0.6,
  '4': 0.7,
  '4.5': 0.75,
  '5': 0.8,
  '6': 1,
  '7': 1,
  '8': 1.25,
  '9': 1.25,
  '10': 1.5,
  '11': 1.5,
  '12': 1.75,
  '14': 2,
  '16': 2,
  '18': 2.5,
  '20': 2.5,
  '22': 2.5,
  '24': 3,
  '27': 3,
  '30': 3.5,
  '33': 3.5,
  '36': 4,
  '39': 4,
  '42': 4.5,
  '45': 4.5,
  '48': 5,
  '52': 5,
  '56': 5.5,
  '60': 5.5,
  '64': 6,
}

/** The pitches that ISO 261 knows, in mm. A fine pitch is one of these below the coarse one. */
export const standardPitchesMm: readonly number[] = [
  0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.7, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6,
]

export type UnifiedSeries = 'UNC' | 'UNF' | 'UNEF'

interface UnifiedSize {
  inch: number
  UNC?: number
  UNF?: number
  UNEF?: number
}

/**
 * Unified sizes: diameter in inches and threads per inch of each series. Source: ASME B1.1 (from memory).
 */
export const unifiedSizes: Readonly<Record<string, UnifiedSize>> = {
  '#2': { inch: 0.086, UNC: 56, UNF: 64 },
  '#4': { inch: 0.112, UNC: 40, UNF: 48 },
  '#5': { inch: 0.125, UNC: 40, UNF: 44 },
  '#6': { inch: 0.138, UNC: 32, UNF: 40 },
  '#8': { inch: 0.164, UNC: 32, UNF: 36 },
  '#10': { inch: 0.19, UNC: 24, UNF: 32 },
  '#12': { inch: 0.216, UNC: 24, UNF: 28, UNEF: 32 },
  '1/4': { inch: 0.25, UNC: 20, UNF: 28, UNEF: 32 },
  '5/16': { inch: 0.3125, UNC: 18, UNF: 24, UNEF: 32 },
  '3/8': { inch: 0.375, UNC: 16, UNF: 24, UNEF: 32 },
  '7/16': { inch: 0.4375, UNC: 14, UNF: 20, UNEF: 28 },
  '1/2': { inch: 0.5, UNC: 13, UNF: 20, UNEF: 28 },
  '9/16': { inch: 0.5625, UNC: 12, UNF: 18, UNEF: 24 },
  '5/8': { inch: 0.625, UNC: 11, UNF: 18, UNEF: 24 },
  '3/4': { inch: 0.75, UNC: 10, UNF: 16, UNEF: 20 },
  '7/8': { inch: 0.875, UNC: 9, UNF: 14, UNEF: 20 },
  '1': { inch: 1, UNC: 8, UNF: 12, UNEF: 20 },
  '1 1/8': { inch: 1.125, UNC: 7, UNF: 12, UNEF: 18 },
  '1 1/4': { inch: 1.25, UNC: 7, UNF: 12, UNEF: 18 },
  '1 3/8': { inch: 1.375, UNC: 6, UNF: 12, UNEF: 18 },
  '1 1/2': { inch: 1.5, UNC: 6, UNF: 12, UNEF: 18 },
}
