import type { BleedWay } from '../packs/bleed-types'
import { begun, wayNow } from './bleed-ways'
import type { JobEvent, PedalFeel } from './events'
import { refuse, unknownStep } from './refusal'
import type { Judges, Refusal } from './refusal'
import { reservoirLow } from './reservoir'
import { blockersOf } from './blockers'
import type { BleedRound, Bleeding, JobState } from './state'

/** What one sees in the hose or the reservoir at the end of a round. */
export type Bubbles = 'none' | 'few' | 'many'
export type FluidColour = 'dark' | 'cloudy' | 'clear'

/** Events of a bleeding. `way` names one of the ways that the plan holds. */
export interface BleedPayloads {
  'bleed-opened': { stepId: string, strokesPerRound: number, restMinutes: number, way?: string }
  /** Goes on another way; what was counted stays. */
  'bleed-switched': { stepId: string, way: string, strokesPerRound: number, restMinutes: number }
  /** `count` strokes at once, one where it is left out. */
  'stroke-counted': { stepId: string, count?: number }
  /** Fluid that went through without a stroke, in ml: above zero out at the bleeder, below zero up into the reservoir. */
  'portion-moved': { stepId: string, ml: number }
  /** The rest begins; where minutes are counted, the bleeder is open from now on. */
  'rest-started': { stepId: string }
  'pedal-judged': { stepId: string, feel: PedalFeel, bubbles?: Bubbles, colour?: FluidColour, lostMm?: number }
  /** Two people go by a spoken count from this moment on, by the server's clock. */
  'pace-started': { stepId: string, at: string }
  'pace-stopped': { stepId: string }
  'fluid-bought': { stepId: string, bottles: number, bottleMl: number }
}

/** Where a bleeding stands: what to do next and, in a rest, until when. */
export interface BleedStage {
  round: number
  strokes: number
  /** Counted in this round, in what its way counts. */
  counted: number
  stage: 'strokes' | 'rest' | 'judge' | 'firm'
  restEndsAt: string | null
  restSecondsLeft: number
}

/**
 * Where a bleeding stands at a moment. Rests are told from the log alone, so they survive
 * a reload, another device and a restart of the server.
 * @param now ISO 8601
 * @param way the way gone now; without one, strokes are counted
 */
export function bleedStage(bleeding: Bleeding, now: string, way?: BleedWay): BleedStage {
  const round = bleeding.rounds.at(-1)!
  const common = { round: bleeding.rounds.length, strokes: round.strokes, counted: way?.counts === 'portions' ? round.portions : round.strokes }
  if (round.feel === 'firm') return { ...common, stage: 'firm', restEndsAt: null, restSecondsLeft: 0 }
  if (round.restSince === null) return { ...common, stage: 'strokes', restEndsAt: null, restSecondsLeft: 0 }
  const end = Date.parse(restEnd(bleeding)!)
  const left = Math.max(0, Math.ceil((end - Date.parse(now)) / 1000))
  return { ...common, stage: left > 0 ? 'rest' : 'judge', restEndsAt: new Date(end).toISOString(), restSecondsLeft: left }
}

/** When the rest that runs is over, ISO 8601; `null` where none runs. */
export function restEnd({ rounds, restMinutes }: Bleeding): string | null {
  const { restSince, feel } = rounds.at(-1)!
  return restSince === null || feel !== null ? null : new Date(Date.parse(restSince) + restMinutes * 60_000).toISOString()
}

const freshRound = (way: string): BleedRound => ({ way, strokes: 0, portions: 0, movedMl: 0, restSince: null, feel: null })

function plannedId(state: JobState, stepId: string): string {
  const activity = state.procedure?.operations.find(operation => operation.id === stepId)?.activity
  return activity?.kind === 'bleed' ? activity.way ?? '' : ''
}

export const bleedAppliers = {
  'bleed-opened': (state: JobState, { payload: { stepId, strokesPerRound, restMinutes, way } }: JobEvent<'bleed-opened'>) => {
    // One line is bled: what an earlier plan counted on another step is kept.
    const [earlier] = Object.keys(state.bleeding).filter(id => id !== stepId && !state.done[id])
    const before = earlier === undefined ? undefined : state.bleeding[earlier]
    if (earlier !== undefined) {
      delete state.bleeding[earlier]
      if (state.reservoirs[earlier]) state.reservoirs[stepId] = state.reservoirs[earlier]
      delete state.reservoirs[earlier]
    }
    state.bleeding[stepId] = {
      strokesPerRound, restMinutes, rounds: [...before?.rounds.filter(begun) ?? [], freshRound(way ?? plannedId(state, stepId))],
      boughtMl: before?.boughtMl ?? 0, pace: null,
    }
  },
  'bleed-switched': (state: JobState, { payload: { stepId, way, strokesPerRound, restMinutes } }: JobEvent<'bleed-switched'>) => {
    const bleeding = state.bleeding[stepId]
    if (!bleeding) return
    state.bleeding[stepId] = { ...bleeding, strokesPerRound, restMinutes, pace: null, rounds: [...bleeding.rounds.filter(begun), freshRound(way)] }
  },
  'stroke-counted': (state: JobState, { payload: { stepId, count = 1 } }: JobEvent<'stroke-counted'>) => {
    const round = state.bleeding[stepId]?.rounds.at(-1)
    if (!round) return
    const reservoir = state.reservoirs[stepId]
    const ml = count * (reservoir?.eachMl ?? 0) * (wayNow(state, stepId)?.strokeShare ?? 0)
    round.strokes += count
    if (reservoir) {
      round.movedMl += ml
      reservoir.sentMl += ml
      reservoir.strokes += count
    }
  },
  'portion-moved': (state: JobState, { payload: { stepId, ml }, deviceTime }: JobEvent<'portion-moved'>) => {
    const round = state.bleeding[stepId]?.rounds.at(-1)
    if (!round) return
    round.portions++
    round.movedMl += ml
    const reservoir = state.reservoirs[stepId]
    if (!reservoir) return
    if (ml > 0) reservoir.sentMl += ml
    else reservoir.pushedMl -= ml
    if (reservoir.reservoirMl + reservoir.addedMl + reservoir.pushedMl - reservoir.sentMl < 0) reservoir.ranDry = deviceTime
  },
  'rest-started': (state: JobState, { payload, deviceTime }: JobEvent<'rest-started'>) => {
    const bleeding = state.bleeding[payload.stepId]
    if (!bleeding) return
    bleeding.rounds.at(-1)!.restSince = deviceTime
    bleeding.pace = null
  },
  'pedal-judged': (state: JobState, { payload: { stepId, ...seen } }: JobEvent<'pedal-judged'>) => {
    const bleeding = state.bleeding[stepId]
    const round = bleeding?.rounds.at(-1)
    if (!bleeding || !round) return
    Object.assign(round, seen)
    bleeding.pace = null
    if (seen.feel !== 'firm') bleeding.rounds.push(freshRound(round.way))
  },
  'pace-started': (state: JobState, { payload, deviceId }: JobEvent<'pace-started'>) => {
    const bleeding = state.bleeding[payload.stepId]
    if (bleeding) bleeding.pace = { since: payload.at, deviceId, strokesBefore: bleeding.rounds.at(-1)!.strokes }
  },
  'pace-stopped': (state: JobState, { payload }: JobEvent<'pace-stopped'>) => {
    const bleeding = state.bleeding[payload.stepId]
    if (bleeding) bleeding.pace = null
  },
  'fluid-bought': (state: JobState, { payload }: JobEvent<'fluid-bought'>) => {
    const bleeding = state.bleeding[payload.stepId]
    if (bleeding) bleeding.boughtMl += payload.bottles * payload.bottleMl
  },
}

function openBleeding(state: JobState, stepId: string): Refusal | null {
  return unknownStep(state, stepId) ?? (state.bleeding[stepId] ? null : refuse('payload.stepId', 'Bleeding has not been opened on this step.'))
}

function notFirm(state: JobState, stepId: string): Refusal | null {
  return state.bleeding[stepId]!.rounds.at(-1)!.feel === 'firm' ? refuse('payload.stepId', 'The pedal is judged firm already.') : null
}

function resting(state: JobState, stepId: string): boolean {
  return state.bleeding[stepId]!.rounds.at(-1)!.restSince !== null
}

function knownWay(state: JobState, way: string | undefined): Refusal | null {
  return way === undefined || state.procedure!.bleeding?.some(entry => entry.id === way) ? null : refuse('payload.way', `This job knows no way of bleeding called "${way}".`)
}

/** A portion goes the way its school sends it; one out at the bleeder wants fluid above the low mark, one upward wants room. */
function portionRefused(state: JobState, stepId: string, ml: number): Refusal | null {
  const way = wayNow(state, stepId)
  if (way?.counts === 'strokes') return refuse('payload.ml', 'This way counts strokes.')
  if (way?.counts === 'portions' && Math.sign(ml) !== Math.sign(way.portionMl)) return refuse('payload.ml', ml > 0 ? 'This way pushes fluid up into the reservoir.' : 'This way lets fluid out at the bleeder.')
  // What the bottle holds after the bleeder stood open has run out already: it is written down whatever is left.
  return way?.counts === 'minutes' ? null : reservoirLow(state, stepId, ml)
}

export const bleedJudges: Pick<Judges, keyof BleedPayloads> = {
  'bleed-opened': (state, { payload }) => {
    const unknown = unknownStep(state, payload.stepId)
    if (unknown) return unknown
    if (state.procedure!.operations.find(entry => entry.id === payload.stepId)?.activity?.kind !== 'bleed') return refuse('payload.stepId', 'This step is not a bleeding.')
    if (state.bleeding[payload.stepId]) return refuse('payload.stepId', 'Bleeding is open on this step already.')
    const [blocker] = blockersOf(state, payload.stepId)
    return blocker ? refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`) : knownWay(state, payload.way)
  },
  'bleed-switched': (state, { payload }) => openBleeding(state, payload.stepId) ?? notFirm(state, payload.stepId) ?? knownWay(state, payload.way)
    ?? (state.bleeding[payload.stepId]!.rounds.at(-1)!.way === payload.way ? refuse('payload.way', 'It is done this way already.') : null),
  'stroke-counted': (state, { payload: { stepId, count = 1 } }) => openBleeding(state, stepId)
    ?? (resting(state, stepId) ? refuse('payload.stepId', 'This round is resting. Judge the pedal before the next strokes.') : notFirm(state, stepId))
    ?? (wayNow(state, stepId)?.counts === 'strokes' ? reservoirLow(state, stepId) : refuse('payload.stepId', 'This way counts no strokes.'))
    ?? (count > 1 && state.reservoirs[stepId] ? refuse('payload.count', 'The reservoir is watched stroke by stroke.') : null),
  'portion-moved': (state, { payload: { stepId, ml } }) => openBleeding(state, stepId) ?? notFirm(state, stepId) ?? portionRefused(state, stepId, ml),
  'rest-started': (state, { payload: { stepId } }) => openBleeding(state, stepId) ?? (resting(state, stepId) ? refuse('payload.stepId', 'This round is resting already.') : notFirm(state, stepId)),
  'pedal-judged': (state, { payload: { stepId } }) => openBleeding(state, stepId)
    ?? (begun(state.bleeding[stepId]!.rounds.at(-1)!) ? notFirm(state, stepId) : refuse('payload.feel', 'Count something of this round first.')),
  'pace-started': (state, { payload: { stepId } }) => openBleeding(state, stepId) ?? notFirm(state, stepId)
    ?? (resting(state, stepId) ? refuse('payload.stepId', 'This round is resting.') : (wayNow(state, stepId)?.calls.length ?? 0) > 0 ? reservoirLow(state, stepId) : refuse('payload.stepId', 'This way has no words to call.')),
  'pace-stopped': (state, { payload: { stepId } }) => openBleeding(state, stepId) ?? (state.bleeding[stepId]!.pace ? null : refuse('payload.stepId', 'No count is running.')),
  'fluid-bought': (state, { payload }) => openBleeding(state, payload.stepId),
}
