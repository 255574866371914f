import { byId } from '../../../base/by-id'
import type { BleedWay } from '../../../pack/bleeding'
import type { Activity, Operation } from '../../../pack/operations'
import type { JobState } from '../../chapters'
import type { Bleeding } from '.'

/** Pump and rest as it was counted before ways stood in the packs; what a step says of its own goes before it. */
const PLAIN: BleedWay = {
  id: '',
  title: 'Pump and rest',
  counts: 'strokes',
  one: 'slow full stroke',
  many: 'slow full strokes',
  perRound: 25,
  restMinutes: 60,
  strokeShare: 0,
  portionMl: 0,
  bleeder: false,
  advice: [],
  calls: [],
  ready: ['Reservoir full'],
  round: ['Slow full strokes, then leave it'],
  over: 'Firm.',
  wrong: 'A level line holds its air.',
}

/** The way a bleeding step is planned by. */
export function plannedWay(state: JobState, activity: Activity & { kind: 'bleed' }): BleedWay {
  const way = state.procedure?.bleeding.find(entry => entry.id === activity.way) ?? PLAIN
  return {
    ...way,
    perRound: activity.strokesPerRound ?? way.perRound,
    restMinutes: activity.restMinutes ?? way.restMinutes,
    strokeShare: activity.deliveredShare ?? way.strokeShare,
  }
}

/** The step that bleeds, whichever way; `null` where nothing is bled. */
export function bleedingStep(state: JobState): (Operation & { activity: Activity & { kind: 'bleed' } }) | null {
  const found = state.procedure?.operations.find(operation => operation.activity?.kind === 'bleed')
  return found?.activity?.kind === 'bleed' ? { ...found, activity: found.activity } : null
}

/** The way that is being gone now, with the counts that were chosen for it. */
export function wayNow(state: JobState, stepId: string): BleedWay | null {
  const bleeding = state.bleeding[stepId]
  const activity = state.procedure && byId(state.procedure.operations, stepId)?.activity
  if (!bleeding || activity?.kind !== 'bleed') return null
  return {
    ...(state.procedure?.bleeding.find(entry => entry.id === bleeding.rounds.at(-1)!.way) ??
      plannedWay(state, activity)),
    perRound: bleeding.strokesPerRound,
    restMinutes: bleeding.restMinutes,
  }
}

/** Whether anything was counted in a round: strokes, fluid, or time. */
export const begun = ({ strokes, movedMl, restSince }: Bleeding['rounds'][number]): boolean =>
  strokes > 0 || movedMl !== 0 || restSince !== null
