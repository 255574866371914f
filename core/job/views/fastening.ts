import { boltStands } from '../../fasteners'
import type { BoltStand } from '../../fasteners'
import { groupsSetBy } from '../../packs/check-fasteners'
import type { FastenerGroup } from '../../pack/fasteners'
import type { Operation } from '../../pack/operations'
import type { JobState } from '../chapters'
import type { NamedFigure } from '../chapters/bolts'
import type { LeftOpen } from '../chapters/hand-over'
import { jobFigure } from '../chapters/tightening/runs'

/** How the fasteners of a group stand that were touched on this job. */
export interface GroupStand {
  group: FastenerGroup
  counts: Record<BoltStand, number>
  figure: NamedFigure | null
  /** Who answers for it that no figure is named. */
  excused: LeftOpen | null
}

/** The key under which a missing figure is answered for. */
export const figureEntry = (groupId: string): string => `figure:${groupId}`

/** Every group of the job with how its bolts stand, in the order of the pack. */
export function groupStands(state: JobState): GroupStand[] {
  return (state.procedure?.groups ?? []).map(group => {
    const counts = Object.fromEntries(boltStands.map(stand => [stand, 0])) as Record<BoltStand, number>
    for (const bolt of state.boards[group.id]?.bolts ?? []) counts[bolt.stand]++
    return {
      group,
      counts,
      figure: jobFigure(state, group.id)?.figure ?? null,
      excused: state.leftOpen[figureEntry(group.id)] ?? null,
    }
  })
}

const standWords: Record<BoltStand, string> = {
  untouched: 'not touched',
  out: 'out',
  started: 'started by hand',
  snug: 'snug only',
  figure: 'at their figure',
  feel: 'tight by feel',
}

/** How the bolts of a group stand, those that were touched, each lot on a line that does not break; empty where none was. */
export function standText(counts: Record<BoltStand, number>): string {
  return boltStands
    .flatMap(stand => (stand !== 'untouched' && counts[stand] > 0 ? [`${counts[stand]} ${standWords[stand]}`] : []))
    .map(lot => lot.replaceAll(' ', '\u00a0'))
    .join(', ')
}

/** Groups with bolts that are in and not tight: started or snug, and no more. */
export function notTight(state: JobState): (GroupStand & { count: number })[] {
  return groupStands(state).flatMap(stand =>
    stand.counts.started + stand.counts.snug > 0 ? [{ ...stand, count: stand.counts.started + stand.counts.snug }] : [],
  )
}

/** Safety groups that the job sets and that have neither a figure with its source nor somebody who answers for them. */
export function figuresWanted(state: JobState): FastenerGroup[] {
  const set = new Set((state.procedure?.operations ?? []).flatMap(groupsSetBy))
  return groupStands(state)
    .filter(({ group, figure, excused }) => group.safety && set.has(group.id) && !figure && !excused)
    .map(({ group }) => group)
}

/** Why a step that sets safety fasteners cannot be done: nobody named their figure, and nobody answers for that. */
export function figureMissing(state: JobState, operation: Operation): FastenerGroup | null {
  const groups = groupsSetBy(operation)
  return figuresWanted(state).find(entry => groups.includes(entry.id)) ?? null
}
