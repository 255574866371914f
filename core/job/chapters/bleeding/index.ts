import { byId } from '../../../base/by-id'
import { dict } from '../../../base/dict'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import { reservoir } from './reservoir'
import type { ReservoirEvents, ReservoirRecord } from './reservoir'
import {
  bleedingRefused,
  notOpen,
  notRunning,
  paceRefused,
  portionRefused,
  resting,
  strokeRefused,
  unknownWay,
} from './rules'
import { begun, wayNow } from './ways'

/** What one sees in the hose or the reservoir at the end of a round. */
export type BubblesSeen = 'none' | 'few' | 'many'
export type FluidColour = 'dark' | 'cloudy' | 'clear'
export type PedalFeel = 'soft' | 'better' | 'firm'

/** `way` names one of the ways that the plan holds. */
export interface BleedingEvents extends ReservoirEvents {
  'bleed-opened': { stepId: string; strokesPerRound: number; restMinutes: number; way?: string }
  /** Goes on another way; what was counted stays. */
  'bleed-switched': { stepId: string; way: string; strokesPerRound: number; restMinutes: number }
  /** `count` strokes at once, one where it is left out. */
  'stroke-counted': { stepId: string; count?: number }
  /** Fluid that went through without a stroke, in ml: above zero out at the bleeder, below zero up into the reservoir. */
  'portion-moved': { stepId: string; ml: number }
  /** The rest begins; where minutes are counted, the bleeder is open from now on. */
  'rest-started': { stepId: string }
  'pedal-judged': { stepId: string; feel: PedalFeel; bubbles?: BubblesSeen; colour?: FluidColour; lostMm?: number }
  /** Two people go by a spoken count from this moment on, by the server's clock. */
  'pace-started': { stepId: string; at: string }
  'pace-stopped': { stepId: string }
  'fluid-bought': { stepId: string; bottles: number; bottleMl: number }
}

/** A round by one way: what was counted, and what was seen and felt at its end. */
export interface BleedRound {
  way: string
  strokes: number
  portions: number
  /** Fluid through the line, in ml; below zero upward. Strokes count where the reservoir is known. */
  movedMl: number
  restSince: string | null
  feel: PedalFeel | null
  bubbles?: BubblesSeen
  colour?: FluidColour
  lostMm?: number
}

export interface Bleeding {
  strokesPerRound: number
  restMinutes: number
  rounds: BleedRound[]
  boughtMl: number
  /** A spoken count that runs: since when by the server's clock, which device counts, and strokes of the round before it. */
  pace: { since: string; deviceId: string; strokesBefore: number } | null
}

export interface BleedingState {
  /** Step id → its bleeding. */
  bleeding: Record<string, Bleeding>
  /** Step id → the reservoir its strokes draw from. */
  reservoirs: Record<string, ReservoirRecord>
}

export const noBleeding = (): BleedingState => ({ bleeding: dict(), reservoirs: dict() })

const freshRound = (way: string): BleedRound => ({
  way,
  strokes: 0,
  portions: 0,
  movedMl: 0,
  restSince: null,
  feel: null,
})

export const bleeding: Chapter<BleedingEvents> = {
  'bleed-opened': {
    words: 'Bleeding start',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => bleedingRefused(state, payload),
    apply: (state, { payload: { stepId, strokesPerRound, restMinutes, way } }) => {
      const before = takeOver(state, stepId)
      state.bleeding[stepId] = {
        strokesPerRound,
        restMinutes,
        rounds: [...(before?.rounds.filter(begun) ?? []), freshRound(way ?? plannedId(state, stepId))],
        boughtMl: before?.boughtMl ?? 0,
        pace: null,
      }
    },
  },
  'bleed-switched': {
    words: 'Another way of bleeding',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepId, way } }) =>
      notRunning(state, stepId) ??
      unknownWay(state, way) ??
      (state.bleeding[stepId]!.rounds.at(-1)!.way === way
        ? refuse('payload.way', 'It is done this way already.')
        : null),
    apply: (state, { payload: { stepId, way, strokesPerRound, restMinutes } }) => {
      const open = state.bleeding[stepId]
      if (!open) return
      state.bleeding[stepId] = {
        ...open,
        strokesPerRound,
        restMinutes,
        pace: null,
        rounds: [...open.rounds.filter(begun), freshRound(way)],
      }
    },
  },
  'stroke-counted': {
    words: 'Stroke',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => strokeRefused(state, payload),
    apply: (state, { payload: { stepId, count = 1 } }) => {
      const round = state.bleeding[stepId]?.rounds.at(-1)
      if (!round) return
      const drawn = state.reservoirs[stepId]
      const ml = count * (drawn?.eachMl ?? 0) * (wayNow(state, stepId)?.strokeShare ?? 0)
      round.strokes += count
      if (!drawn) return
      round.movedMl += ml
      drawn.sentMl += ml
      drawn.strokes += count
    },
  },
  'portion-moved': {
    words: 'Fluid through the line',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => portionRefused(state, payload),
    apply: (state, { payload: { stepId, ml }, deviceTime }) => {
      const round = state.bleeding[stepId]?.rounds.at(-1)
      if (!round) return
      round.portions++
      round.movedMl += ml
      const drawn = state.reservoirs[stepId]
      if (!drawn) return
      if (ml > 0) drawn.sentMl += ml
      else drawn.pushedMl -= ml
      if (drawn.reservoirMl + drawn.addedMl + drawn.pushedMl - drawn.sentMl < 0) drawn.ranDry = deviceTime
    },
  },
  'rest-started': {
    words: 'Rest',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepId } }) =>
      notOpen(state, stepId) ?? resting(state, stepId, 'This round is resting already.') ?? notRunning(state, stepId),
    apply: (state, { payload, deviceTime }) => {
      const open = state.bleeding[payload.stepId]
      if (!open) return
      open.rounds.at(-1)!.restSince = deviceTime
      open.pace = null
    },
  },
  'pedal-judged': {
    words: 'Pedal judgement',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepId } }) =>
      notOpen(state, stepId) ??
      (begun(state.bleeding[stepId]!.rounds.at(-1)!)
        ? notRunning(state, stepId)
        : refuse('payload.feel', 'Count something of this round first.')),
    apply: (state, { payload: { stepId, ...seen } }) => {
      const open = state.bleeding[stepId]
      const round = open?.rounds.at(-1)
      if (!open || !round) return
      Object.assign(round, seen)
      open.pace = null
      if (seen.feel !== 'firm') open.rounds.push(freshRound(round.way))
    },
  },
  'pace-started': {
    words: 'Spoken count',
    wants: 'help',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => paceRefused(state, payload.stepId),
    apply: (state, { payload, deviceId }) => {
      const open = state.bleeding[payload.stepId]
      if (open) open.pace = { since: payload.at, deviceId, strokesBefore: open.rounds.at(-1)!.strokes }
    },
  },
  'pace-stopped': {
    words: 'End of the spoken count',
    wants: 'help',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepId } }) =>
      notOpen(state, stepId) ??
      (state.bleeding[stepId]!.pace ? null : refuse('payload.stepId', 'No count is running.')),
    apply: (state, { payload }) => {
      const open = state.bleeding[payload.stepId]
      if (open) open.pace = null
    },
  },
  'fluid-bought': {
    words: 'Fluid bought',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notOpen(state, payload.stepId),
    apply: (state, { payload }) => {
      const open = state.bleeding[payload.stepId]
      if (open) open.boughtMl += payload.bottles * payload.bottleMl
    },
  },
  ...reservoir,
}

/** One line is bled: what an earlier plan counted on another step is kept, with its reservoir. */
function takeOver(state: JobState, stepId: string): Bleeding | undefined {
  const earlier = Object.keys(state.bleeding).find(id => id !== stepId && !state.done[id])
  if (earlier === undefined) return undefined
  const before = state.bleeding[earlier]
  delete state.bleeding[earlier]
  if (state.reservoirs[earlier]) state.reservoirs[stepId] = state.reservoirs[earlier]
  delete state.reservoirs[earlier]
  return before
}

function plannedId(state: JobState, stepId: string): string {
  const activity = state.procedure && byId(state.procedure.operations, stepId)?.activity
  return activity?.kind === 'bleed' ? (activity.way ?? '') : ''
}
