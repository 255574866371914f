import { isOut } from '../../fasteners/bolt-board'
import type { CarDrawing, DrawnThing } from '../../pack/drawing'
import type { FastenerGroup } from '../../pack/fasteners'
import type { ItemState } from '../../pack/kinds'
import { positionTo } from '../../pack/bay'
import type { LedgerItem } from '../../pack/things'
import type { JobState } from '../chapters'
import { blockersOf } from './blockers'
import type { Blocker } from './blockers'
import { stepsLeft } from './steps'

/** How a thing stands, in the order in which one outranks the next: off is ghosted, loose hatched, open dashed. */
export const stands = ['off', 'loose', 'open', 'held', 'whole'] as const
export type ThingStand = (typeof stands)[number]

export interface StandingThing {
  thing: DrawnThing
  stand: ThingStand
}

const standOf: Record<ItemState, ThingStand> = {
  off: 'off',
  slack: 'loose',
  open: 'open',
  unplugged: 'open',
  propped: 'held',
}

/** Every thing of the car's drawing and how it stands: from the ledger alone. A jack or a strap that is not there is left out. */
export function standingThings(state: JobState): StandingThing[] {
  const { procedure } = state
  return (procedure?.drawing?.things ?? []).flatMap((thing): StandingThing[] => {
    const found = itemsOf(state, thing)
      .filter(({ count }) => count > 0)
      .map(({ item }) => (thing.fixings.includes(item.id) && item.state === 'off' ? 'loose' : standOf[item.state]))
    if (thing.appears && found.length === 0) return []
    return [{ thing, stand: stands.find(stand => found.includes(stand)) ?? 'whole' }]
  })
}

export interface ThingItem {
  item: LedgerItem
  count: number
}

/** Entries of the ledger that belong to a thing, whether anything of them is off or not. */
function itemsOf(state: JobState, thing: DrawnThing): ThingItem[] {
  return [...thing.items, ...thing.fixings].flatMap(id => {
    const item = state.procedure?.items.find(entry => entry.id === id)
    return item ? [{ item, count: state.ledger[id] ?? 0 }] : []
  })
}

/** What there is to know of one entry: when it came off, and what puts it back. */
export interface EntryStory extends ThingItem {
  /** The step that took it off, and when; `null` where the log does not say. */
  takenOff: { stepId: string; title: string; at: string; personId: string } | null
  /** The step that puts it back, and what stands in its way now. */
  putBack: { stepId: string; title: string; first: Blocker[] } | null
}

export interface ThingStory extends StandingThing {
  entries: EntryStory[]
  /** Bolts that sit on it: how many there are, and how many of them are out. */
  bolts: { group: FastenerGroup; count: number; out: number }[]
}

/** All that the log knows of one thing of the drawing; `null` where it is not drawn. */
export function thingStory(state: JobState, thingId: string): ThingStory | null {
  const found = standingThings(state).find(({ thing }) => thing.id === thingId)
  if (!found || !state.procedure) return null
  const entries = itemsOf(state, found.thing)
    .filter(({ count }) => count > 0)
    .map(entry => entryStory(state, entry))
  const bolts = state.procedure.groups
    .filter(group => found.thing.groups.includes(group.id))
    .map(group => {
      const board = state.boards[group.id]
      return { group, count: board?.bolts.length ?? group.count, out: board?.bolts.filter(isOut).length ?? 0 }
    })
  return { ...found, entries, bolts }
}

/** When an entry of the ledger came off, and how it goes back. */
export function entryStory(state: JobState, { item, count }: ThingItem): EntryStory {
  return { item, count, takenOff: takenOffBy(state, item.id), putBack: putBackBy(state, item.id) }
}

function takenOffBy(state: JobState, itemId: string): EntryStory['takenOff'] {
  const { procedure, done, plan } = state
  const raising =
    plan?.steps.filter(step => step.kind === 'raise' && itemId in positionTo(procedure!, 'away').takesOff) ?? []
  const takers = [
    ...procedure!.operations
      .filter(operation => itemId in operation.takesOff)
      .map(({ id, title }) => ({ stepId: id, title })),
    ...raising.map(({ id }) => ({ stepId: id, title: positionTo(procedure!, 'away').title })),
  ]
  const last = takers
    .filter(({ stepId }) => done[stepId])
    .sort((a, b) => done[a.stepId]!.at.localeCompare(done[b.stepId]!.at))
    .at(-1)
  return last ? { ...last, at: done[last.stepId]!.at, personId: done[last.stepId]!.personId } : null
}

function putBackBy(state: JobState, itemId: string): EntryStory['putBack'] {
  const stepId = stepsLeft(state).find(id =>
    state.procedure!.operations.some(operation => operation.id === id && itemId in operation.putsBack),
  )
  if (stepId === undefined) return null
  const title = state.procedure!.operations.find(operation => operation.id === stepId)!.title
  return { stepId, title, first: blockersOf(state, stepId) }
}

/** Whether the engine leans now, and by how much about which point. */
export function leanOf(state: JobState): NonNullable<CarDrawing['leans']> | null {
  const leans = state.procedure?.drawing?.leans
  return leans && state.facts.includes(leans.fact) ? leans : null
}
