import { boltReuse } from '../decisions/bolt-reuse'
import type { LedgerItem } from '../packs/types'
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
  const { procedure, done } = state
  if (!procedure) return []
  const most = new Map<string, number>()
  const taken = [
    ...procedure.operations.filter(operation => done[operation.id]).map(({ id, takesOff }) => ({ at: done[id]!.at, takesOff })),
    ...Object.entries(done).filter(([id]) => state.plan?.steps.some(step => step.id === id && step.kind === 'raise')).map(([, { at }]) => ({ at, takesOff: procedure.positions.raised.takesOff })),
  ].sort((a, b) => a.at.localeCompare(b.at))
  for (const [item, count] of taken.flatMap(({ takesOff }) => Object.entries(takesOff))) most.set(item, Math.max(count, state.ledger[item] ?? 0, most.get(item) ?? 0))
  return [...most].flatMap(([id, count]): LedgerLine[] => {
    const item = procedure.items.find(entry => entry.id === id)
    if (!item) return []
    const off = state.ledger[id] ?? 0
    const reason = state.leftOpen[`item:${id}`]
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

/** What a step puts back that has to be new, and whether somebody has said that it is. */
export function newPartsOf(state: JobState, stepId: string): { item: LedgerItem, because: string, by: string | null }[] {
  return (stepView(state, stepId)?.putsBack ?? []).flatMap(({ item }) => {
    const because = mustBeNew(state, item)
    return because === null ? [] : [{ item, because, by: state.replaced[item.id]?.by ?? null }]
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
