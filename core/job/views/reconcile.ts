import { boltReuse } from '../../decisions/bolt-reuse'
import type { LedgerItem, Part } from '../../pack/things'
import type { JobState } from '../chapters'
import { jobFigure } from '../chapters/tightening/runs'
import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'
import { stepView } from './steps'

export const settlements = ['off', 'back', 'replaced', 'left'] as const
/** Still off, put back, put back as a new one, or left as it is with a reason. */
export type Settlement = (typeof settlements)[number]

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
    return [{ item, count: off, most: count, settlement, words: off > 0 ? (reason ?? null) : (by ?? null) }]
  })
}

/** Why a thing may not go back as it came off: it is used once, or its bolts are spent. `null` where it may. */
export function mustBeNew(state: JobState, item: LedgerItem): string | null {
  if (item.singleUse) return item.singleUse
  if (!item.group) return null
  const verdict = boltReuse({
    figure: jobFigure(state, item.group)?.figure ?? null,
    facts: state.fasteners[item.group] ?? null,
    bolts: state.boards[item.group]?.bolts ?? [],
  })
  return verdict.verdict === 'renew' ? verdict.because : null
}

/** The part that goes in instead of an old thing, where a step of the plan uses one. */
export function newPartFor(state: JobState, item: LedgerItem): Part | null {
  const used =
    item.newPart !== undefined &&
    state.procedure!.operations.some(operation => (operation.parts[item.newPart!] ?? 0) > 0)
  return used ? (state.procedure!.parts.find(part => part.id === item.newPart) ?? null) : null
}

/** What a step puts back that has to be new, and whether the log knows that it is: somebody said so, or the step itself uses new ones. */
export function newPartsOf(
  state: JobState,
  stepId: string,
): { item: LedgerItem; because: string; by: string | null }[] {
  return (stepView(state, stepId)?.putsBack ?? []).flatMap(({ item }) => {
    const because = mustBeNew(state, item)
    const own = state.procedure!.operations.find(operation => operation.id === stepId)?.parts[item.newPart ?? '']
    return because === null
      ? []
      : [{ item, because, by: state.replaced[item.id]?.by ?? (own ? (newPartFor(state, item)?.name ?? null) : null) }]
  })
}

/** Why a step cannot be done with the old thing. */
export function oldPartRefused(state: JobState, stepId: string): Refusal | null {
  const wanted = newPartsOf(state, stepId).find(entry => entry.by === null)
  return wanted
    ? refuse(
        'payload.stepId',
        `${wanted.item.name}: new ones go in. ${wanted.because} Say that they are new, or leave the step.`,
      )
    : null
}
