import { roundsLeft } from '../../hydraulics/rounds-left'
import type { RoundsLeft } from '../../hydraulics/rounds-left'
import { trappedAir } from '../../hydraulics/trapped-air'
import type { Sheet } from '../../pack/sheets'
import type { JobState } from '../chapters'

export interface BleedAir {
  /** The sheet whose figures it was worked out with. */
  sheetId: string
  /** Air after each round whose lost travel was measured, oldest first, in ml at the air's pressure: at least, and at most. */
  rounds: { round: number; lostMm: number; leastMl: number; mostMl: number }[]
  /** Air with which reverse still goes in, in ml. */
  allowedMl: number
  good: boolean
  /** How many more rounds at the pace so far, once two were measured. */
  forecast: RoundsLeft | null
}

/** The sheet of this job that estimates air from lost travel, by what it judges. */
export function airSheet(state: JobState): Sheet | null {
  return state.procedure?.bench.sheets.find(sheet => sheet.judges.some(judge => judge.kind === 'trapped-air')) ?? null
}

/**
 * Air left in the line round by round, from the travel that was lost when the pedal was judged, with pedal, master, pressure and
 * hose as the sheet of trapped air has them: as entered, else as usual.
 * @returns `null` where there is no such sheet, one of its figures is missing, or no lost travel was measured
 */
export function bleedAir(state: JobState, stepId: string): BleedAir | null {
  const sheet = airSheet(state)
  const measured = (state.bleeding[stepId]?.rounds ?? []).flatMap((round, index) =>
    round.lostMm === undefined ? [] : [{ round: index + 1, lostMm: round.lostMm }],
  )
  if (!sheet || measured.length === 0) return null
  const { inputs } = sheet.judges.find(judge => judge.kind === 'trapped-air')!
  const value = (input: string): number | null => {
    const entered = state.sheets[sheet.id]?.values[inputs[input]!]
    const field = sheet.fields.find(entry => entry.id === inputs[input])
    return entered?.kind === 'number' && entered.entry.value !== null
      ? entered.entry.value
      : field?.kind === 'number'
        ? (field.guide ?? null)
        : null
  }
  const [ratio, bore, pressure, swelling, allowed] = ['ratio', 'master', 'pressure', 'swelling', 'allowed'].map(value)
  if (ratio == null || bore == null || pressure == null || swelling == null || allowed == null) return null
  const airOf = (lostPedalMm: number) =>
    trappedAir({
      lostPedalMm,
      pedalRatio: ratio,
      masterBoreMm: state.reservoirs[stepId]?.masterBoreMm ?? bore,
      pressureBar: pressure,
      swellingMlPerBar: swelling / 10,
    })
  const rounds = measured.map(({ round, lostMm }) => ({
    round,
    lostMm,
    leastMl: airOf(lostMm).volumeMl,
    mostMl: airOf(lostMm).quickMl,
  }))
  const allowedMl = airOf(allowed).volumeMl
  const good = rounds.at(-1)!.lostMm <= allowed
  return {
    sheetId: sheet.id,
    rounds,
    allowedMl,
    good,
    forecast:
      rounds.length > 1 && allowedMl > 0.001
        ? roundsLeft({ airMl: rounds.map(entry => entry.leastMl), allowedMl })
        : null,
  }
}
