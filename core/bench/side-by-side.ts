import { levels } from '../pack/sheets'
import type { Beside, Level, Sheet } from '../pack/sheets'
import { judgeSheet } from './judge-sheet'
import type { Finding, SheetVerdict } from './judge-sheet'
import { sheetOfOne } from './sheet-of-one'
import type { FieldValue, SheetValues } from './values'

/** One of several parts that may go in: what it is called, and what is its own. */
export interface Candidate {
  id: string
  name: string
  values: SheetValues
}

export interface WeighedCandidate {
  id: string
  name: string
  /** Everything computed with its figures and answered of it, the worst first. */
  verdict: SheetVerdict
  /** Everything that decides is known of it, and nothing speaks against it. */
  fits: boolean
  /** What decides between those that fit, the least of it first; `null` where it was not worked out. */
  least: number | null
}

export interface SideBySide {
  /** Those that fit first; of these those that nothing is noted of, then by `least`. */
  ranked: WeighedCandidate[]
  /** The first of those that fit; `null` where none does. */
  advised: string | null
  because: string
}

/** A sheet of this job with what stands in it. */
export interface FilledSheet {
  sheet: Sheet
  values: SheetValues
}

/**
 * Parts that may go in, each put through the computations of a sheet with its own figures and the job's: which fits, and why not the others.
 * @param filled the sheet whose `beside` says what is each one's own
 * @param others the job's other sheets: one of them may say what the car makes of each
 * @throws RangeError on a sheet that compares nothing
 */
export function sideBySide(filled: FilledSheet, candidates: Candidate[], others: FilledSheet[]): SideBySide {
  const { beside } = filled.sheet
  if (!beside) throw new RangeError(`Nothing lies side by side on "${filled.sheet.id}".`)
  const sheet = sheetOfOne(filled.sheet)
  const also = others.find(other => other.sheet.id === beside.also?.sheet)
  const ranked = candidates
    .map((candidate): WeighedCandidate => {
      const judged = judgeSheet(sheet, { ...without(filled.values, beside.own), ...candidate.values })
      const own = judged.findings.filter(({ judge }) => judge === null || usesOwn(sheet, judge, beside))
      const findings = [...own, ...(also ? foundBeside(also, beside, candidate, own) : [])].sort(
        (a, b) => levels.indexOf(b.level) - levels.indexOf(a.level),
      )
      const decides = sheet.judges[0]!.kind
      const level = findings[0]?.level ?? null
      return {
        id: candidate.id,
        name: candidate.name,
        verdict: { ...judged, findings, level, renews: [] },
        fits: level !== 'renew' && own.some(finding => finding.judge === decides),
        least: figureOf(findings, beside.least),
      }
    })
    .sort(
      (a, b) =>
        Number(b.fits) - Number(a.fits) ||
        rank(a.verdict.level) - rank(b.verdict.level) ||
        (a.least ?? Infinity) - (b.least ?? Infinity),
    )
  const advised = ranked[0]?.fits ? ranked[0] : null
  return { ranked, advised: advised?.id ?? null, because: saidOf(ranked, advised, beside) }
}

const rank = (level: Level | null) => (level === null ? levels.length : levels.indexOf(level))

function without(values: SheetValues, ids: string[]): SheetValues {
  return Object.fromEntries(Object.entries(values).filter(([id]) => !ids.includes(id)))
}

function usesOwn(sheet: Sheet, kind: Finding['judge'], { own, more }: Beside): boolean {
  const ids = new Set([...own, ...more.fields.map(field => field.id)])
  return sheet.judges.some(spec => spec.kind === kind && Object.values(spec.inputs).some(id => ids.has(id)))
}

/** What another sheet makes of it: only what the part's own figures go into. Nothing where nobody has begun with that sheet. */
function foundBeside(
  { sheet, values }: FilledSheet,
  { also }: Beside,
  candidate: Candidate,
  found: Finding[],
): Finding[] {
  if (Object.keys(values).length === 0) return []
  const put = Object.entries(also!.put).flatMap(([field, from]): [string, FieldValue][] => {
    const value = typeof from === 'string' ? candidate.values[from] : computedValue(figureOf(found, from))
    return value ? [[field, value]] : []
  })
  const fields = new Set(put.map(([field]) => field))
  const kinds = new Set(
    sheet.judges.filter(spec => Object.values(spec.inputs).some(id => fields.has(id))).map(spec => spec.kind),
  )
  return judgeSheet(sheet, { ...values, ...Object.fromEntries(put) }).findings.filter(
    ({ judge }) => judge !== null && kinds.has(judge),
  )
}

const computedValue = (value: number | null): FieldValue | null =>
  value === null ? null : { kind: 'number', entry: { entered: String(value), value } }

function figureOf(findings: Finding[], { judge, figure }: { judge: string; figure: string }): number | null {
  return findings.find(each => each.judge === judge)?.figures.find(each => each.name === figure)?.value ?? null
}

function saidOf(ranked: WeighedCandidate[], advised: WeighedCandidate | null, { one, least }: Beside): string {
  const noted = ({ verdict }: WeighedCandidate, level: Level) =>
    verdict.findings.filter(each => each.level === level).map(each => each.sentence)
  const unknown = ranked.filter(({ fits, verdict }) => !fits && verdict.level !== 'renew')
  const said = ranked.flatMap((each): string[] => {
    if (unknown.includes(each)) return [`${each.name}: not enough is known of it.`]
    if (!each.fits) return [`Not ${each.name}: ${noted(each, 'renew').join(' ')}`]
    if (each === advised) {
      const watched = noted(each, 'watch')
      return [`${each.name}: ${watched.length > 0 ? watched.join(' ') : each.verdict.findings[0]!.sentence}`]
    }
    const watched = noted(each, 'watch')
    if (watched.length > 0) return [`${each.name} would do, but: ${watched.join(' ')}`]
    return [each.least === advised!.least ? `${each.name} fits as well.` : `${each.name} fits too, and ${least.words}.`]
  })
  const none = advised === null && ranked.length > unknown.length ? [`No ${one} of these fits.`] : []
  return [...none, ...said].join(' ')
}
