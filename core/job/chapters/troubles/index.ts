import { byId } from '../../../base/by-id'
import type { Chapter } from '../../chapters'
import { refuse } from '../../log/chapter'
import { unknownGroup } from '../bolts/unknown'
import { unknownStep } from '../plan/unknown-step'
import { closeLadder, ladders } from './ladders'
import type { LadderEvents, LadderRun } from './ladders'

export interface TroubleEvents extends LadderEvents {
  'trouble-raised': {
    troubleId: string
    stepId: string | null
    text: string
    waitsFor: string | null
    until: string | null
    /** What it is about where it belongs to no step: a group of bolts, or a thing. */
    group?: string
    itemId?: string
  }
  'trouble-cleared': { troubleId: string; how: string }
}

export interface Trouble {
  troubleId: string
  stepId: string | null
  /** The group of bolts that it is about, where one broke. */
  group?: string
  /** The thing that it is about, where it is none of a step. */
  itemId?: string
  text: string
  waitsFor: string | null
  until: string | null
  at: string
  cleared: { at: string; how: string } | null
}

/** What went wrong, and what it asks for. */
export interface TroubleState {
  troubles: Trouble[]
  /** Troubles that were taken up a ladder. */
  ladderRuns: LadderRun[]
  /** Parts wanted beyond the plan's, and why. */
  addedParts: { name: string; because: string; at: string }[]
}

export const noTroubles = (): TroubleState => ({ troubles: [], ladderRuns: [], addedParts: [] })

export const troubles: Chapter<TroubleEvents> = {
  'trouble-raised': {
    words: 'Trouble',
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: false,
    admit: (state, { payload }) =>
      (payload.stepId === null && payload.group === undefined && payload.itemId === undefined
        ? refuse('payload.stepId', 'Say what it is about: a step, a group of bolts, or a thing.')
        : null) ??
      unknownStep(state, payload.stepId) ??
      (payload.group === undefined ? null : unknownGroup(state, payload.group)) ??
      (payload.itemId === undefined || byId(state.procedure?.items ?? [], payload.itemId)
        ? null
        : refuse('payload.itemId', `This job knows no thing "${payload.itemId}".`)) ??
      (state.troubles.some(entry => entry.troubleId === payload.troubleId)
        ? refuse('payload.troubleId', 'This trouble is in the log already.')
        : null),
    apply: (state, { payload, deviceTime }) => {
      state.troubles.push({ ...payload, at: deviceTime, cleared: null })
    },
  },
  'trouble-cleared': {
    words: 'Trouble cleared',
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const trouble = state.troubles.find(entry => entry.troubleId === payload.troubleId)
      if (!trouble) return refuse('payload.troubleId', 'No such trouble on this job.')
      return trouble.cleared ? refuse('payload.troubleId', 'This trouble is cleared already.') : null
    },
    apply: (state, { payload, deviceTime }) => {
      const trouble = state.troubles.find(entry => entry.troubleId === payload.troubleId)
      if (trouble) trouble.cleared = { at: deviceTime, how: payload.how }
      closeLadder(state, payload.troubleId, deviceTime)
    },
  },
  ...ladders,
}
