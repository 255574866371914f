import type { JobState } from '../../chapters'
import { changeBolt } from './boards'

export const breakKinds = ['sheared', 'stripped', 'rounded'] as const
/** How a bolt went: its shank, the thread it goes into, or its head. */
export type BreakKind = (typeof breakKinds)[number]

/** Notes that a bolt went. The others of its group have had the same load and are suspect, where more than a head has gone. */
export function breakBolt(state: JobState, group: string, boltId: string, how: BreakKind): void {
  changeBolt(state, group, boltId, bolt => ({ ...bolt, condition: how }))
  const board = state.boards[group]
  if (board && how !== 'rounded')
    state.boards[group] = {
      ...board,
      bolts: board.bolts.map(bolt => (bolt.id === boltId ? bolt : { ...bolt, suspect: true })),
    }
}
