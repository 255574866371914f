import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'

export function unknownGroup(state: JobState, group: string): Refusal | null {
  return state.procedure?.groups.some(entry => entry.id === group)
    ? null
    : refuse('payload.group', `This job has no fastener group "${group}".`)
}

export function unknownBolt(state: JobState, group: string, boltIds: string[]): Refusal | null {
  const unknown = unknownGroup(state, group)
  if (unknown) return unknown
  const stranger = boltIds.find(id => !state.boards[group]?.bolts.some(bolt => bolt.id === id))
  return stranger === undefined ? null : refuse('payload.boltId', `There is no bolt "${stranger}" on this board.`)
}
