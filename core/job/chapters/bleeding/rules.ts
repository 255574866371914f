import { byId } from '../../../base/by-id'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { blockersOf } from '../../views/blockers'
import { reservoirLow } from '../../views/reservoir'
import { unknownStep } from '../plan/unknown-step'
import type { BleedingEvents } from '.'
import { wayNow } from './ways'

const lastRound = (state: JobState, stepId: string) => state.bleeding[stepId]!.rounds.at(-1)!

/** Why a bleeding cannot be opened here. */
export function bleedingRefused(state: JobState, { stepId, way }: BleedingEvents['bleed-opened']): Refusal | null {
  const unknown = unknownStep(state, stepId)
  if (unknown) return unknown
  if (byId(state.procedure!.operations, stepId)?.activity?.kind !== 'bleed')
    return refuse('payload.stepId', 'This step is not a bleeding.')
  if (state.bleeding[stepId]) return refuse('payload.stepId', 'Bleeding is open on this step already.')
  const [blocker] = blockersOf(state, stepId)
  return blocker ? refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`) : unknownWay(state, way)
}

export function notOpen(state: JobState, stepId: string): Refusal | null {
  return (
    unknownStep(state, stepId) ??
    (state.bleeding[stepId] ? null : refuse('payload.stepId', 'Bleeding has not been opened on this step.'))
  )
}

/** Nothing more is counted where it is not open, or the pedal is firm. */
export function notRunning(state: JobState, stepId: string): Refusal | null {
  return (
    notOpen(state, stepId) ??
    (lastRound(state, stepId).feel === 'firm' ? refuse('payload.stepId', 'The pedal is judged firm already.') : null)
  )
}

export function resting(state: JobState, stepId: string, reason: string): Refusal | null {
  return state.bleeding[stepId] && lastRound(state, stepId).restSince !== null ? refuse('payload.stepId', reason) : null
}

export function unknownWay(state: JobState, way: string | undefined): Refusal | null {
  if (way === undefined || state.procedure!.bleeding.some(entry => entry.id === way)) return null
  return refuse('payload.way', `This job knows no way of bleeding called "${way}".`)
}

/** A way that counts strokes counts them while the reservoir holds out; a watched reservoir one by one. */
export function strokeRefused(
  state: JobState,
  { stepId, count = 1 }: BleedingEvents['stroke-counted'],
): Refusal | null {
  const stopped =
    notOpen(state, stepId) ??
    resting(state, stepId, 'This round is resting. Judge the pedal before the next strokes.') ??
    notRunning(state, stepId)
  if (stopped) return stopped
  if (wayNow(state, stepId)?.counts !== 'strokes') return refuse('payload.stepId', 'This way counts no strokes.')
  return (
    reservoirLow(state, stepId) ??
    (count > 1 && state.reservoirs[stepId]
      ? refuse('payload.count', 'The reservoir is watched stroke by stroke.')
      : null)
  )
}

/** A portion goes the way its school sends it; one out at the bleeder wants fluid above the low mark, one upward wants room. */
export function portionRefused(state: JobState, { stepId, ml }: BleedingEvents['portion-moved']): Refusal | null {
  const stopped = notRunning(state, stepId)
  if (stopped) return stopped
  const way = wayNow(state, stepId)
  if (way?.counts === 'strokes') return refuse('payload.ml', 'This way counts strokes.')
  if (way?.counts === 'portions' && Math.sign(ml) !== Math.sign(way.portionMl))
    return refuse(
      'payload.ml',
      ml > 0 ? 'This way pushes fluid up into the reservoir.' : 'This way lets fluid out at the bleeder.',
    )
  // What the bottle holds after the bleeder stood open has run out already: it is written down whatever is left.
  return way?.counts === 'minutes' ? null : reservoirLow(state, stepId, ml)
}

/** Words are called where a way has them, while the round runs and the reservoir holds out. */
export function paceRefused(state: JobState, stepId: string): Refusal | null {
  const stopped = notRunning(state, stepId) ?? resting(state, stepId, 'This round is resting.')
  if (stopped) return stopped
  return (wayNow(state, stepId)?.calls.length ?? 0) > 0
    ? reservoirLow(state, stepId)
    : refuse('payload.stepId', 'This way has no words to call.')
}
