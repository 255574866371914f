import { dict } from '../../base/dict'
import type { Chapter, JobState } from '../chapters'
import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'
import { ledgerLines } from '../views/reconcile'

export type RenewDecision = 'renew' | 'leave'

/** What is decided of parts in reach, and why. */
export interface Decided {
  decisions: { partId: string; decision: RenewDecision }[]
  because: string
}

export interface RenewalEvents {
  /** What is put into the question whether a part is renewed while it is open; `null` leaves what Eldrin found. */
  'renewal-weighed': {
    partId: string
    partCost: number | null
    minutesNow: number | null
    minutesLater: number | null
    chance: number
    comebackCost: number
    /** How likely the new part fails in the same time, 0 to 1, and in how many years the old one would; left out, as is common. */
    newFails?: number
    yearsLater?: number
  }
  'renewal-decided': Decided
  /** Machine, keep or buy: what was chosen, and what lay side by side. */
  'way-chosen': {
    option: string
    choice: string
    because: string
    ways: { id: string; money: number; finishMinutes: number; chance: number; closed: string | null }[]
  }
  /** What goes back in place of an old thing is a new one. */
  'entry-replaced': { itemId: string; by: string }
}

/** What is put into the question of one part, and what was decided. */
export interface Renewal {
  weighed: Omit<RenewalEvents['renewal-weighed'], 'partId'> | null
  decision: RenewDecision | null
  because: string
  at: string
}

/** What is renewed while it is open, and why. */
export interface RenewalState {
  renewals: Record<string, Renewal>
  ways: (RenewalEvents['way-chosen'] & { at: string })[]
  /** Item id → what went back in its place. */
  replaced: Record<string, { by: string; at: string }>
}

export const noRenewals = (): RenewalState => ({ renewals: dict(), ways: [], replaced: dict() })

export const renewals: Chapter<RenewalEvents> = {
  'renewal-weighed': {
    words: 'What is put into the question',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => unknownReach(state, payload.partId),
    apply: (state, { payload: { partId, ...weighed }, deviceTime }) => {
      state.renewals[partId] = { decision: null, because: '', ...state.renewals[partId], weighed, at: deviceTime }
    },
  },
  'renewal-decided': {
    words: 'Decision',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => unknownDecided(state, payload),
    apply: (state, { payload, deviceTime }) => decide(state, payload, deviceTime),
  },
  'way-chosen': {
    words: 'Way chosen',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      Object.hasOwn(state.procedure?.options ?? {}, payload.option)
        ? null
        : refuse('payload.option', `This job has no option "${payload.option}".`),
    apply: (state, { payload, deviceTime }) => {
      state.ways.push({ ...payload, at: deviceTime })
    },
  },
  'entry-replaced': {
    words: 'New part',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      ledgerLines(state).some(line => line.item.id === payload.itemId)
        ? null
        : refuse('payload.itemId', 'Nothing of that name has come off this car.'),
    apply: (state, { payload, deviceTime }) => {
      state.replaced[payload.itemId] = { by: payload.by, at: deviceTime }
    },
  },
}

/** Writes down what is decided of parts. */
export function decide(state: RenewalState, { decisions, because }: Decided, at: string): void {
  for (const { partId, decision } of decisions)
    state.renewals[partId] = { weighed: state.renewals[partId]?.weighed ?? null, decision, because, at }
}

/** Why it cannot be decided of parts: one of them does not come within reach. */
export function unknownDecided(state: Pick<JobState, 'procedure'>, { decisions }: Decided): Refusal | null {
  return decisions.map(({ partId }) => unknownReach(state, partId)).find(refusal => refusal !== null) ?? null
}

function unknownReach(state: Pick<JobState, 'procedure'>, partId: string): Refusal | null {
  return state.procedure?.bench.reachable.some(entry => entry.id === partId)
    ? null
    : refuse('payload.partId', `On this job no part "${partId}" comes within reach.`)
}
