import { boltName } from '../fasteners'
import type { DrawnPart, Fact, LedgerItem } from '../packs/types'
import type { JobState } from './state'

/** Something that is not as it should be when the car leaves. */
export interface OpenEntry {
  /** `item:…`, `bolt:…`, `trouble:…`, `step:…` or `check:…`; the key under which a reason is kept. */
  entry: string
  kind: 'item' | 'bolt' | 'trouble' | 'step' | 'check'
  name: string
  count: number
  item: LedgerItem | null
  /** Why it stays as it is, once somebody has said so. */
  reason: string | null
}

/** What is off, open, unplugged, slack or propped at this moment. */
export function openEntries(state: JobState): OpenEntry[] {
  return Object.entries(state.ledger).map(([id, count]) => {
    const item = state.procedure?.items.find(entry => entry.id === id) ?? null
    return { entry: `item:${id}`, kind: 'item', name: item?.name ?? id, count, item, reason: state.leftOpen[`item:${id}`] ?? null }
  })
}

/** Everything that stands between the car and its owner: the ledger, troubles not cleared, closing checks not done. */
export function openBeforeHandover(state: JobState): OpenEntry[] {
  const troubles = state.troubles.filter(trouble => !trouble.cleared).map((trouble): OpenEntry => {
    const entry = `trouble:${trouble.troubleId}`
    return { entry, kind: 'trouble', name: trouble.text, count: 1, item: null, reason: state.leftOpen[entry] ?? null }
  })
  const steps = (state.procedure?.operations ?? [])
    .filter(operation => (operation.phase === 'prove' || operation.phase === 'fill') && !state.done[operation.id])
    .map((operation): OpenEntry => {
      const entry = `step:${operation.id}`
      return { entry, kind: 'step', name: operation.title, count: 1, item: null, reason: state.leftOpen[entry] ?? null }
    })
  return [...openEntries(state), ...strayBolts(state), ...troubles, ...steps, ...openChecks(state)]
}

/** Closing checks by hand that were not made, or came out bad. */
function openChecks(state: JobState): OpenEntry[] {
  return (state.procedure?.closing ?? []).filter(check => check.kind === 'hand' && !state.checks[check.id]?.good).map((check): OpenEntry => {
    const entry = `check:${check.id}`
    return { entry, kind: 'check', name: check.title, count: 1, item: null, reason: state.leftOpen[entry] ?? null }
  })
}

/** Bolts out that no step of the plan would put back: those that somebody added to the board. */
function strayBolts(state: JobState): OpenEntry[] {
  return Object.values(state.boards).flatMap(board => board.bolts.filter(bolt => bolt.out && bolt.offWith === null).map((bolt): OpenEntry => {
    const entry = `bolt:${board.group}:${bolt.id}`
    const group = state.procedure?.groups.find(({ id }) => id === board.group)
    return { entry, kind: 'bolt', name: `${group?.name ?? board.group}, ${boltName(board, bolt)}`, count: 1, item: null, reason: state.leftOpen[entry] ?? null }
  }))
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
  return state.procedure?.facts.find(fact => fact.guards === 'pedal' && !state.facts.includes(fact.id)) ?? null
}
