import { dict } from '../../../base/dict'
import { readingOf } from '../../../bench/readings-of'
import type { SheetValues } from '../../../bench/values'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { sheetRefused } from './sheet-refused'

export interface BenchEvents {
  /** Fields of a sheet as they were entered; fields not named stay as they were, those in `cleared` are emptied. */
  'sheet-read': { sheetId: string; values: SheetValues; cleared: string[] }
  /** Which way a part lay when it came off. */
  'orientation-noted': { partId: string; side: string; mark: string; photo: string | null }
  /** It goes back the same way. */
  'orientation-confirmed': { partId: string }
  /** An old part leaves the shelf. */
  'old-part-gone': { partId: string; where: string }
}

export interface SheetRecord {
  values: SheetValues
  at: string
  personId: string
}

export interface OrientationRecord {
  side: string
  mark: string
  photo: string | null
  at: string
  confirmedAt: string | null
}

/** What the bench has found, and what lies on it. */
export interface BenchState {
  /** Sheet id → what stands in it. */
  sheets: Record<string, SheetRecord>
  orientations: Record<string, OrientationRecord>
  /** Old part id → where it went. */
  oldPartsGone: Record<string, { where: string; at: string }>
}

export const emptyBench = (): BenchState => ({ sheets: dict(), orientations: dict(), oldPartsGone: dict() })

export const bench: Chapter<BenchEvents> = {
  'sheet-read': {
    words: 'Reading of a sheet',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => sheetRefused(state, payload),
    apply: (state, { payload: { sheetId, values, cleared }, deviceTime, personId }) => {
      const before = Object.entries(state.sheets[sheetId]?.values ?? {}).filter(([id]) => !cleared.includes(id))
      state.sheets[sheetId] = { values: { ...Object.fromEntries(before), ...values }, at: deviceTime, personId }
      // What a step asks for and a sheet has is read once.
      for (const field of state.procedure?.bench.sheets.find(sheet => sheet.id === sheetId)?.fields ?? []) {
        const value = values[field.id]
        const reading = value && field.reading ? readingOf(field, value) : null
        if (reading)
          state.readings.push({ stepId: field.reading!.step, readingId: field.reading!.id, ...reading, at: deviceTime })
      }
    },
  },
  'orientation-noted': {
    words: 'Way of a part',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => unknownOrientation(state, payload.partId),
    apply: (state, { payload: { partId, ...noted }, deviceTime }) => {
      state.orientations[partId] = { ...noted, at: deviceTime, confirmedAt: null }
    },
  },
  'orientation-confirmed': {
    words: 'Way confirmed',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownOrientation(state, payload.partId) ??
      (state.orientations[payload.partId]
        ? null
        : refuse(
            'payload.partId',
            'Nothing was noted of it, so there is nothing to confirm. Note which way it goes in.',
          )),
    apply: (state, { payload, deviceTime }) => {
      const noted = state.orientations[payload.partId]
      if (noted) state.orientations[payload.partId] = { ...noted, confirmedAt: deviceTime }
    },
  },
  'old-part-gone': {
    words: 'Old part gone',
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const part = state.procedure?.bench.oldParts.find(entry => entry.id === payload.partId)
      if (!part) return refuse('payload.partId', `This job keeps no old part "${payload.partId}".`)
      if (!part.off.some(step => state.done[step])) return refuse('payload.partId', 'It is still on the car.')
      if (state.oldPartsGone[payload.partId]) return refuse('payload.partId', 'It is gone already.')
      return part.until.every(step => state.done[step])
        ? null
        : refuse('payload.partId', `Not before the car has driven. ${part.because}`)
    },
    apply: (state, { payload, deviceTime }) => {
      state.oldPartsGone[payload.partId] = { where: payload.where, at: deviceTime }
    },
  },
}

function unknownOrientation(state: JobState, partId: string): Refusal | null {
  return state.procedure?.bench.orientations.some(entry => entry.id === partId)
    ? null
    : refuse('payload.partId', `This job keeps no record of the way of "${partId}".`)
}
