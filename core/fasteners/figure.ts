import type { ThreadCondition } from './condition'

/** Where a figure comes from. Eldrin never invents one: `computed` is a ceiling's range under the name of who takes it. */
export const sourceKinds = [
  'vehicle-book',
  'kit-sheet',
  'fastener-sheet',
  'measured',
  'trade-practice',
  'computed',
] as const
export type SourceKind = (typeof sourceKinds)[number]

/** What the source says of using the bolts again. */
export const renewRules = ['always', 'once', 'if-damaged'] as const
export type RenewRule = (typeof renewRules)[number]

/** In which order the bolts are turned: across the part, round it, or from its middle outwards as a long pan wants it. */
export const patterns = ['across', 'round', 'middle-out'] as const
export type Pattern = (typeof patterns)[number]

/** One stage of a tightening, in the order they are done. */
export type Stage =
  | { kind: 'torque'; torqueNm: number }
  | { kind: 'angle'; angleDeg: number }
  | { kind: 'wait'; minutes: number }
  /** Once round the circle at the last torque. */
  | { kind: 'lap' }

/** A torque with its source. */
export interface Figure {
  /** The fastener group it is for. */
  group: string
  /** The torque of the last torque stage. */
  torqueNm: number
  sourceKind: SourceKind
  /** Which book, sheet or person, in words. */
  reference: string
  /** Where the source gives more than one torque. */
  stages?: Stage[]
  /** Where the source gives an order; else across. */
  pattern?: Pattern
  /** What the source wants on thread and head. */
  condition?: ThreadCondition
  renew?: RenewRule
  /** Another group whose figure this is, and the reason why it is taken. */
  borrowed?: { group: string; because: string }
  /** Who first entered it and when, where it was taken over from the vehicle's own record. */
  entered?: { by: string; at: string }
}

/** No fastener on a clutch job is set above this; more is a slip of the unit or the key. */
const HIGHEST_TORQUE_NM = 600
const HIGHEST_ANGLE_DEG = 360
const LONGEST_WAIT_MINUTES = 1440

type Problem = { path: string; reason: string }

/**
 * Why a figure cannot be taken, or `null` when it can.
 * Judging it against what the fastener can stand is another matter; this refuses only what cannot be a figure.
 * @returns the field at fault and the reason
 */
export function figureProblem(figure: Omit<Figure, 'group'>): Problem | null {
  const torque = torqueProblem(figure.torqueNm)
  if (torque) return { path: 'torqueNm', reason: torque }
  if (!sourceKinds.includes(figure.sourceKind))
    return { path: 'sourceKind', reason: 'Say where the figure comes from.' }
  if (figure.reference.trim().length < 3) {
    return {
      path: 'reference',
      reason:
        figure.sourceKind === 'computed'
          ? 'Say who takes this figure, and on what ground.'
          : 'Name the book, the sheet or the person the figure comes from.',
    }
  }
  if (figure.borrowed && figure.borrowed.because.trim().length < 10)
    return { path: 'borrowed.because', reason: 'Say why the other fastener’s figure holds for this one.' }
  return figure.stages ? stagesProblem(figure.stages, figure.torqueNm) : null
}

function torqueProblem(torqueNm: number): string | null {
  if (!Number.isFinite(torqueNm) || torqueNm <= 0) return 'A torque is a number above zero.'
  return torqueNm > HIGHEST_TORQUE_NM
    ? `{${Math.round(torqueNm)} N·m} is beyond anything on this job. Check the unit.`
    : null
}

function stagesProblem(stages: Stage[], torqueNm: number): Problem | null {
  let last = 0
  for (const [index, stage] of stages.entries()) {
    const at = (field: string, reason: string) => ({ path: `stages[${index}].${field}`, reason })
    if (stage.kind === 'torque') {
      const problem = torqueProblem(stage.torqueNm)
      if (problem) return at('torqueNm', problem)
      if (stage.torqueNm < last) return at('torqueNm', 'Each torque is at least the one before.')
      last = stage.torqueNm
    }
    if (stage.kind === 'angle' && !(stage.angleDeg > 0 && stage.angleDeg <= HIGHEST_ANGLE_DEG))
      return at('angleDeg', `An angle lies above 0 and up to ${HIGHEST_ANGLE_DEG}°.`)
    if (stage.kind === 'wait' && !(stage.minutes > 0 && stage.minutes <= LONGEST_WAIT_MINUTES))
      return at('minutes', 'A wait lies above 0 minutes and up to a day.')
  }
  if (last === 0) return { path: 'stages', reason: 'A tightening begins with a torque.' }
  return Math.abs(last - torqueNm) > 0.05
    ? { path: 'stages', reason: 'The last torque of the stages is the figure.' }
    : null
}

/** The best source first. For parts of a kit the kit's own sheet goes before the vehicle book. */
const ranks: Record<'vehicle' | 'kit', SourceKind[]> = {
  kit: ['kit-sheet', 'fastener-sheet', 'vehicle-book', 'measured', 'trade-practice', 'computed'],
  vehicle: ['vehicle-book', 'fastener-sheet', 'kit-sheet', 'measured', 'trade-practice', 'computed'],
}

/**
 * Of all figures named for a group the one that counts, and those of other sources that disagree with it.
 * Two sources are never averaged. Of one source the newest counts.
 * @param figures as they were named, the newest last
 * @param part whether the fasteners belong to the vehicle or to a kit
 */
export function figureInForce<T extends Figure>(
  figures: readonly T[],
  part: 'vehicle' | 'kit',
): { figure: T; others: T[] } | null {
  const bySource = ranks[part].flatMap(kind => figures.findLast(figure => figure.sourceKind === kind) ?? [])
  const [figure, ...rest] = bySource
  if (!figure) return null
  return {
    figure,
    others: rest.filter(
      other => other.sourceKind !== 'computed' && Math.abs(other.torqueNm - figure.torqueNm) > 0.005 * figure.torqueNm,
    ),
  }
}

/** What is tightened for a figure: its stages, or its torque alone. */
export function stagesOf(figure: Figure): Stage[] {
  return figure.stages ?? [{ kind: 'torque', torqueNm: figure.torqueNm }]
}
