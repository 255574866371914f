import { faceGap } from '../../alignment/face-gap'
import type { FaceGap } from '../../alignment/face-gap'
import { judgeSheet } from '../../bench/judge-sheet'
import { matingCauses } from '../../decisions/mating-causes'
import type { GapPattern, MatingCauseRank } from '../../decisions/mating-causes'
import { levels } from '../../pack/sheets'
import type { JudgeKind, Level, MatingCheck, MatingSign } from '../../pack/sheets'
import type { JobState } from '../chapters'
import type { GapRecord } from '../chapters/mating'

export interface CheckStand {
  check: MatingCheck
  stand: 'right' | 'wrong' | 'open'
}

/** A gap tilted by more than this share of its mean lies to one side. Common practice, no source. */
const TILTED_SHARE = 0.35

/** How the last gap that was measured lies; `null` where none was. */
export function lastGap(state: JobState): (GapRecord & { found: FaceGap; pattern: GapPattern }) | null {
  const last = state.gaps.at(-1)
  if (!last) return null
  const found = faceGap(last.readings, last.diameterMm)
  const pattern = found.closed
    ? 'unknown'
    : found.widestMm - found.meanMm > TILTED_SHARE * found.meanMm
      ? 'tilted'
      : 'even'
  return { ...last, found, pattern }
}

/** What has to be right before the box is brought up, and whether the log knows that it is. */
export function matingChecks(state: JobState): CheckStand[] {
  const here = (step: string) => state.plan?.order.includes(step) ?? false
  return (state.procedure?.bench.mating?.checks ?? []).flatMap((check): CheckStand[] => {
    const stands: CheckStand['stand'][] = []
    if (check.reading) {
      if (!here(check.reading.step)) return []
      const said = readingOf(state, check.reading)
      stands.push(said === null ? 'open' : check.reading.good.includes(said) ? 'right' : 'wrong')
    }
    if (check.sheet) {
      const level = levelOf(state, check.sheet.id, check.sheet.judges)
      if (level !== null) stands.push(level === 'good' ? 'right' : 'wrong')
      else if (!check.reading && !check.done) {
        if (!state.procedure!.bench.sheets.some(sheet => sheet.id === check.sheet!.id)) return []
        stands.push('open')
      }
    }
    if (check.answer) {
      if (!state.procedure!.bench.sheets.some(sheet => sheet.id === check.answer!.sheet)) return []
      const said = answerOf(state, check.answer)
      stands.push(said === null ? 'open' : check.answer.good.includes(said) ? 'right' : 'wrong')
    }
    if (check.done) {
      if (!here(check.done)) return []
      stands.push(state.done[check.done] ? 'right' : 'open')
    }
    return [{ check, stand: stands.includes('wrong') ? 'wrong' : stands.includes('open') ? 'open' : 'right' }]
  })
}

/** Likely causes of a gap that is left, from how it lies and from what the log knows. */
export function matingCausesOf(state: JobState): MatingCauseRank[] {
  const mating = state.procedure?.bench.mating
  return mating ? matingCauses(mating, lastGap(state)?.pattern ?? 'unknown', sign => signHolds(state, sign)) : []
}

function signHolds(state: JobState, sign: MatingSign): boolean {
  if (sign.reading) {
    const said = readingOf(state, sign.reading)
    return said !== null && sign.reading.is.includes(said)
  }
  if (sign.sheet) {
    const level = levelOf(state, sign.sheet.id, sign.sheet.judges)
    return level !== null && sign.sheet.levels.includes(level)
  }
  if (sign.answer) {
    const said = answerOf(state, sign.answer)
    return said !== null && sign.answer.is.includes(said)
  }
  if (sign.notMeasured)
    return state.procedure!.bench.sheets.some(sheet => sheet.id === sign.notMeasured) && !state.sheets[sign.notMeasured]
  return sign.notDone !== undefined && (state.plan?.order.includes(sign.notDone) ?? false) && !state.done[sign.notDone]
}

function readingOf(state: JobState, { step, id }: { step: string; id: string }): string | null {
  const found = state.readings.findLast(entry => entry.stepId === step && entry.readingId === id)
  return found ? String(found.value) : null
}

/** What was answered to a question of a sheet; `null` where nothing was. */
export function answerOf(state: JobState, { sheet, field }: { sheet: string; field: string }): string | null {
  const value = state.sheets[sheet]?.values[field]
  return value?.kind === 'choice' ? value.answer : null
}

function levelOf(state: JobState, sheetId: string, kinds: JudgeKind[]): Level | null {
  const sheet = state.procedure?.bench.sheets.find(entry => entry.id === sheetId)
  if (!sheet || !state.sheets[sheetId]) return null
  const found = judgeSheet(sheet, state.sheets[sheetId].values).findings.filter(
    finding => finding.judge !== null && kinds.includes(finding.judge),
  )
  return found.length === 0
    ? null
    : found.map(finding => finding.level).sort((a, b) => levels.indexOf(b) - levels.indexOf(a))[0]!
}
