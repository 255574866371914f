import { forbiddenNow } from './guards'
import { boltName, isOut } from '../../fasteners'
import type { Fact } from '../../pack/operations'
import type { DrawnPart, LedgerItem } from '../../pack/things'
import type { JobState } from '../chapters'
import type { LeftOpen } from '../chapters/hand-over'

export const openKinds = ['item', 'thing', 'bolt', 'tight', 'figure', 'finding', 'trouble', 'step', 'check'] as const
export type OpenKind = (typeof openKinds)[number]

/** Something that is not as it should be when the car leaves. */
export interface OpenEntry {
  /** `item:…`, `bolt:…` and so on, by its kind; the key under which a reason is kept. */
  entry: string
  kind: OpenKind
  name: string
  count: number
  item: LedgerItem | null
  /** Why it stays as it is, once somebody has said so, and who. */
  left: LeftOpen | null
  /** No reason lets it go. */
  safety: boolean
}

/** An entry with what was said of it. */
export function openEntry(
  state: JobState,
  entry: string,
  kind: OpenKind,
  name: string,
  more: Partial<Pick<OpenEntry, 'count' | 'item' | 'safety'>> = {},
): OpenEntry {
  return { entry, kind, name, count: 1, item: null, safety: false, ...more, left: state.leftOpen[entry] ?? null }
}

/** What is off, open, unplugged, slack or propped at this moment, with the bolts that are out beside what the steps took out. */
export function openEntries(state: JobState): OpenEntry[] {
  const items = Object.entries(state.ledger).map(([id, count]) => {
    const item = state.procedure?.items.find(entry => entry.id === id) ?? null
    return openEntry(state, `item:${id}`, 'item', item?.name ?? id, {
      count,
      item,
      safety: item?.safety === true || item?.state === 'propped',
    })
  })
  return [...items, ...strayBolts(state)]
}

/** How many things are off, open, unplugged, slack or propped. */
export function countOpen(entries: OpenEntry[]): number {
  return entries.reduce((sum, entry) => sum + entry.count, 0)
}

/** Bolts out that count for no entry of the ledger: those that somebody added to the board, or told out ahead of their step. */
function strayBolts(state: JobState): OpenEntry[] {
  return Object.values(state.boards).flatMap(board =>
    board.bolts
      .filter(bolt => isOut(bolt) && bolt.entry === null && (bolt.offWith === null || !state.done[bolt.offWith]))
      .map(bolt => {
        const group = state.procedure?.groups.find(({ id }) => id === board.group)
        return openEntry(
          state,
          `bolt:${board.group}:${bolt.id}`,
          'bolt',
          `${group?.name ?? board.group}, ${boltName(board, bolt)}`,
          { safety: group?.safety === true },
        )
      }),
  )
}

/** Names of what carries weight now: props in the ledger. */
export function whatHolds(state: JobState): OpenEntry[] {
  return openEntries(state).filter(entry => entry.item?.state === 'propped')
}

/** Parts of the drawing that are off, or that stand there as a prop. */
export function changedParts(state: JobState): DrawnPart[] {
  return [...new Set(openEntries(state).flatMap(entry => entry.item?.part ?? []))]
}

/** The fact that forbids a stroke of the pedal now, or `null` when the pedal may be used. */
export function pedalForbidden(state: JobState): Fact | null {
  return forbiddenNow(state).find(({ guard }) => guard === 'pedal')?.fact ?? null
}
