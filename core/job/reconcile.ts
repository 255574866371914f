import { boltReuse } from '../decisions/bolt-reuse'
import type { LedgerItem, Operation, Part } from '../packs/types'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges, Refusal } from './refusal'
import { jobFigure } from './runs'
import type { JobState } from './state'
import { stepView } from './steps'

/** What goes back in place of an old thing is a new one. */
export interface ReconcilePayloads {
  'entry-replaced': { itemId: string, by: string }
}

export const settlements = ['off', 'back', 'replaced', 'left'] as const
/** Still off, put back, put back as a new one, or left as it is with a reason. */
export type Settlement = typeof settlements[number]

export interface LedgerLine {
  item: LedgerItem
  /** How many are off now, and how many were at most. */
  count: number
  most: number
  settlement: Settlement
  /** What replaced it, or why it is left. */
  words: string | null
}

/** Everything that has come off this car so far, in the order in which it did, and what has become of it. */
export function ledgerLines(state: JobState): LedgerLine[] {
  const { procedure } = state
  if (!procedure) return []
  return Object.entries(state.everOff).flatMap(([id, count]): LedgerLine[] => {
    const item = procedure.items.find(entry => entry.id === id)
    if (!item) return []
    const off = state.ledger[id] ?? 0
    const reason = state.leftOpen[`item:${id}`]?.reason
    const by = state.replaced[id]?.by
    const settlement = off > 0 ? (reason === undefined ? 'off' : 'left') : by === undefined ? 'back' : 'replaced'
    return [{ item, count: off, most: count, settlement, words: off > 0 ? reason ?? null : by ?? null }]
  })
}

/** Why a thing may not go back as it came off: it is used once, or its bolts are spent. `null` where it may. */
export function mustBeNew(state: JobState, item: LedgerItem): string | null {
  if (item.singleUse) return item.singleUse
  if (!item.group) return null
  const verdict = boltReuse({ figure: jobFigure(state, item.group)?.figure ?? null, facts: state.fasteners[item.group] ?? null, bolts: state.boards[item.group]?.bolts ?? [] })
  return verdict.verdict === 'renew' ? verdict.because : null
}

/** The part that goes in instead of an old thing, where a step of the plan uses one. */
export function newPartFor(state: JobState, item: LedgerItem): Part | null {
  const used = item.newPart !== undefined && state.procedure!.operations.some(operation => (operation.parts[item.newPart!] ?? 0) > 0)
  return used ? state.procedure!.parts.find(part => part.id === item.newPart) ?? null : null
}

/** New parts that a finished step has used go in instead of the old things. */
export function noteNewParts(state: JobState, operation: Operation, at: string): void {
  for (const item of state.procedure!.items) {
    if (item.newPart === undefined || !operation.parts[item.newPart]) continue
    state.replaced[item.id] ??= { by: state.procedure!.parts.find(part => part.id === item.newPart)?.name ?? item.name, at }
  }
}

/** What a step puts back that has to be new, and whether the log knows that it is: somebody said so, or the step itself uses new ones. */
export function newPartsOf(state: JobState, stepId: string): { item: LedgerItem, because: string, by: string | null }[] {
  return (stepView(state, stepId)?.putsBack ?? []).flatMap(({ item }) => {
    const because = mustBeNew(state, item)
    const own = state.procedure!.operations.find(operation => operation.id === stepId)?.parts[item.newPart ?? '']
    return because === null ? [] : [{ item, because, by: state.replaced[item.id]?.by ?? (own ? newPartFor(state, item)?.name ?? null : null) }]
  })
}

export const reconcileAppliers = {
  'entry-replaced': (state: JobState, { payload, deviceTime }: JobEvent<'entry-replaced'>) => {
    state.replaced[payload.itemId] = { by: payload.by, at: deviceTime }
  },
}

export const reconcileJudges: Pick<Judges, 'entry-replaced'> = {
  'entry-replaced': (state, { payload }) => ledgerLines(state).some(line => line.item.id === payload.itemId)
    ? null
    : refuse('payload.itemId', 'Nothing of that name has come off this car.'),
}

/** Why a step cannot be done with the old thing. */
export function oldPartRefused(state: JobState, stepId: string): Refusal | null {
  const wanted = newPartsOf(state, stepId).find(entry => entry.by === null)
  return wanted ? refuse('payload.stepId', `${wanted.item.name}: new ones go in. ${wanted.because} Say that they are new, or leave the step.`) : null
}
