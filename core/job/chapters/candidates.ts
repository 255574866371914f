import { dict } from '../../base/dict'
import { byId } from '../../base/by-id'
import { sheetOfOne } from '../../bench/sheet-of-one'
import type { Candidate } from '../../bench/side-by-side'
import type { SheetValues } from '../../bench/values'
import type { Sheet } from '../../pack/sheets'
import type { Chapter, JobState } from '../chapters'
import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'
import { valuesRefused } from './bench/sheet-refused'

export interface CandidateEvents {
  /** A part that may go in, or more of one: fields not named stay as they were, those in `cleared` are emptied. */
  'candidate-read': { sheetId: string; candidateId: string; name: string; values: SheetValues; cleared: string[] }
  /** It is out of the question. */
  'candidate-dropped': { sheetId: string; candidateId: string }
  /** It goes in: what it has for itself is written into the sheet. */
  'candidate-chosen': { sheetId: string; candidateId: string; because: string }
}

/** What may go in, sheet by sheet, and what was chosen. */
export interface CandidateState {
  candidates: Record<string, Candidate[]>
  /** Sheet id → what goes in, and why. */
  chosenCandidates: Record<string, { candidateId: string; name: string; because: string; at: string }>
}

export const noCandidates = (): CandidateState => ({ candidates: dict(), chosenCandidates: dict() })

/** So many lie side by side and can still be read. */
export const CANDIDATES = 4

export const candidates: Chapter<CandidateEvents> = {
  'candidate-read': {
    words: 'Part side by side',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { sheetId, candidateId, name, values, cleared } }) => {
      const sheet = comparing(state, sheetId)
      if (!sheet) return comparesNothing(sheetId)
      const lying = state.candidates[sheetId] ?? []
      if (lying.length >= CANDIDATES && !byId(lying, candidateId))
        return refuse('payload.candidateId', `${CANDIDATES} lie side by side already. Take one away first.`)
      if (lying.some(other => other.id !== candidateId && other.name === name))
        return refuse('payload.name', `One is called “${name}” already.`)
      return valuesRefused(fieldsOfOne(sheet), values, cleared)
    },
    apply: (state, { payload: { sheetId, candidateId, name, values, cleared } }) => {
      const lying = state.candidates[sheetId] ?? []
      const before = byId(lying, candidateId)
      const kept = Object.entries(before?.values ?? {}).filter(([id]) => !cleared.includes(id))
      const after = { id: candidateId, name, values: { ...Object.fromEntries(kept), ...values } }
      state.candidates[sheetId] = before
        ? lying.map(candidate => (candidate === before ? after : candidate))
        : [...lying, after]
    },
  },
  'candidate-dropped': {
    words: 'Part taken away',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notLying(state, payload),
    apply: (state, { payload: { sheetId, candidateId } }) => {
      state.candidates[sheetId] = (state.candidates[sheetId] ?? []).filter(({ id }) => id !== candidateId)
    },
  },
  'candidate-chosen': {
    words: 'Part chosen',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notLying(state, payload),
    apply: (state, { payload: { sheetId, candidateId, because }, deviceTime, personId }) => {
      const sheet = comparing(state, sheetId)
      const candidate = byId(state.candidates[sheetId] ?? [], candidateId)
      if (!sheet || !candidate) return
      const own = new Set(sheet.beside!.own)
      const jobs = Object.entries(state.sheets[sheetId]?.values ?? {}).filter(([id]) => !own.has(id))
      const its = Object.entries(candidate.values).filter(([id]) => own.has(id))
      state.sheets[sheetId] = { values: Object.fromEntries([...jobs, ...its]), at: deviceTime, personId }
      state.chosenCandidates[sheetId] = { candidateId, name: candidate.name, because, at: deviceTime }
    },
  },
}

function comparing(state: Pick<JobState, 'procedure'>, sheetId: string): Sheet | null {
  return state.procedure?.bench.sheets.find(sheet => sheet.id === sheetId && sheet.beside) ?? null
}

/** What is asked of one part: its own of the sheet's fields, and those asked beside. */
export function fieldsOfOne(sheet: Sheet): Sheet['fields'] {
  const own = new Set([...sheet.beside!.own, ...sheet.beside!.more.fields.map(field => field.id)])
  return sheetOfOne(sheet).fields.filter(field => own.has(field.id))
}

const comparesNothing = (sheetId: string): Refusal =>
  refuse('payload.sheetId', `This job lays nothing side by side on a sheet "${sheetId}".`)

function notLying(state: JobState, { sheetId, candidateId }: { sheetId: string; candidateId: string }): Refusal | null {
  if (!comparing(state, sheetId)) return comparesNothing(sheetId)
  return byId(state.candidates[sheetId] ?? [], candidateId)
    ? null
    : refuse('payload.candidateId', 'That one does not lie here any more.')
}
