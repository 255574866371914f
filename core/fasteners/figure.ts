/** Where a figure comes from. Eldrin never invents one. */
export const sourceKinds = ['vehicle-book', 'kit-sheet', 'fastener-sheet', 'measured', 'trade-practice'] as const
export type SourceKind = typeof sourceKinds[number]

/** A torque with its source. */
export interface Figure {
  /** The fastener group it is for. */
  group: string
  torqueNm: number
  sourceKind: SourceKind
  /** Which book, sheet or person, in words. */
  reference: string
}

/** No fastener on a clutch job is set above this; more is a slip of the unit or the key. */
const HIGHEST_TORQUE_NM = 600

/**
 * Why a figure cannot be taken, or `null` when it can.
 * Judging it against what the fastener can stand is another matter; this refuses only what cannot be a figure.
 * @returns the field at fault and the reason
 */
export function figureProblem(figure: Pick<Figure, 'torqueNm' | 'sourceKind' | 'reference'>): { path: 'torqueNm' | 'sourceKind' | 'reference', reason: string } | null {
  if (!Number.isFinite(figure.torqueNm) || figure.torqueNm <= 0) return { path: 'torqueNm', reason: 'A torque is a number above zero.' }
  if (figure.torqueNm > HIGHEST_TORQUE_NM) return { path: 'torqueNm', reason: `${Math.round(figure.torqueNm)} N·m is beyond anything on this job. Check the unit.` }
  if (!sourceKinds.includes(figure.sourceKind)) return { path: 'sourceKind', reason: 'Say where the figure comes from.' }
  if (figure.reference.trim().length < 3) return { path: 'reference', reason: 'Name the book, the sheet or the person the figure comes from.' }
  return null
}
