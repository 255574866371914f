import { sideBySide } from '../../bench/side-by-side'
import type { SideBySide } from '../../bench/side-by-side'
import type { Sheet } from '../../pack/sheets'
import type { JobState } from '../chapters'

/** What lies side by side on a sheet, each worked out with the job's own figures. */
export function comparedOn(state: JobState, sheet: Sheet): SideBySide {
  const filled = (other: Sheet) => ({ sheet: other, values: state.sheets[other.id]?.values ?? {} })
  return sideBySide(filled(sheet), state.candidates[sheet.id] ?? [], state.procedure!.bench.sheets.map(filled))
}

/** Whether one was chosen side by side, and by what is computed may go in; its words, or `null`. */
export function chosenBeside(state: JobState, sheetId: string): string | null {
  const sheet = state.procedure?.bench.sheets.find(entry => entry.id === sheetId && entry.beside)
  const chosen = state.chosenCandidates[sheetId]
  if (!sheet || !chosen) return null
  const one = comparedOn(state, sheet).ranked.find(({ id }) => id === chosen.candidateId)
  return one?.fits ? `${chosen.name} was chosen side by side, and fits.` : null
}
