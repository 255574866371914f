import type { Chapter } from '../chapters'
import { refuse } from '../log/chapter'
import { odometerOdd } from './odometer'

export interface BreakInEvents {
  /** The rule of the kit's sheet, from an odometer on. */
  'break-in-set': { distanceKm: number; writtenAs: string; source: string; odometerKm: number }
  /** `stopAndGo` is the share of the way since the last reading, `hard` that it slipped, was launched or pulled. */
  'odometer-read': { odometerKm: number; stopAndGo?: number; hard?: boolean }
}

/** What was read or told on the way. */
export interface BreakInReading {
  at: string
  odometerKm: number
  /** Share of the way since the last reading in stop-and-go, 0 to 1, if it was told. */
  stopAndGo?: number
  /** It slipped, was launched hard, or pulled a load. */
  hard?: boolean
}

export interface BreakIn {
  distanceKm: number
  writtenAs: string
  source: string
  startKm: number
  startAt: string
  lastKm: number
  readings: BreakInReading[]
}

export interface BreakInState {
  breakIn: BreakIn | null
}

export const noBreakIn = (): BreakInState => ({ breakIn: null })

export const breakInChapter: Chapter<BreakInEvents> = {
  'break-in-set': {
    words: 'Break-in',
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: false,
    admit: (state, { payload }) => odometerOdd(state, payload.odometerKm),
    apply: (state, { payload: { odometerKm, ...rule }, deviceTime }) => {
      state.breakIn = { ...rule, startKm: odometerKm, startAt: deviceTime, lastKm: odometerKm, readings: [] }
    },
  },
  'odometer-read': {
    words: 'Odometer',
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.breakIn) return odometerOdd(state, payload.odometerKm)
      return payload.odometerKm < state.breakIn.lastKm
        ? refuse('payload.odometerKm', `The odometer stood at {${Math.round(state.breakIn.lastKm)} km} already.`)
        : null
    },
    apply: (state, { payload, deviceTime }) => {
      state.odometerKm = payload.odometerKm
      if (!state.breakIn) return
      state.breakIn.lastKm = payload.odometerKm
      state.breakIn.readings.push({ at: deviceTime, ...payload })
    },
  },
}
