import { checkDial } from '../alignment'
import type { CheckedDial } from '../alignment'
import { FieldError } from '../base/field-error'
import { levels } from '../pack/sheets'
import type { JudgeKind, JudgeSpec, Level, OnlyIf, Sheet, SheetField } from '../pack/sheets'
import { checkEntry, checkPoints } from './check-entry'
import type { ComputedFigure, Given } from './judgement'
import { judgeOf } from './judges/at-hand'
import type { FieldValue, SheetValues } from './values'

/** One thing a sheet has found. */
export interface Finding {
  /** The computation it comes from; `null` for an answer. */
  judge: JudgeKind | null
  level: Level
  sentence: string
  working: string[]
  figures: ComputedFigure[]
  /** What happens when it is ignored. */
  ignored: string | null
  /** Parts to renew. */
  renews: string[]
}

export interface SheetVerdict {
  /** The worst finding; `null` while there is none. */
  level: Level | null
  /** Findings, the worst first, what was computed before what was answered. */
  findings: Finding[]
  /** Entries that are kept as they were typed and not computed with: field → why. `index` is `null` for the field as a whole. */
  marks: Record<string, { index: number | null; reason: string }[]>
  /** Names of the fields still wanted for a verdict. */
  wanted: string[]
  /** Parts to renew by all findings. */
  renews: string[]
}

/** Fields that are asked as the sheet stands: some only after a certain answer. */
export function fieldsAsked(sheet: Sheet, values: SheetValues): SheetField[] {
  return sheet.fields.filter(field => holds(field.if, values))
}

function holds(only: OnlyIf | undefined, values: SheetValues): boolean {
  if (!only) return true
  const value = values[only.field]
  return value?.kind === 'choice' && only.is.includes(value.answer)
}

/**
 * What a sheet says: every answer that means something, and every computation whose inputs are there.
 * Computations that lack an input name it; entries that cannot be right are marked and left out.
 * @param sheet as the procedure has it: only what applies to this job
 */
export function judgeSheet(sheet: Sheet, values: SheetValues): SheetVerdict {
  const fields = new Map(fieldsAsked(sheet, values).map(field => [field.id, field]))
  const marks: SheetVerdict['marks'] = {}
  for (const field of fields.values()) {
    const found = marksOf(field, values[field.id])
    if (found.length > 0) marks[field.id] = found
  }
  const findings = [...fields.values()].flatMap(field => answerFinding(field, values[field.id]))
  const wanted = new Set<string>()
  for (const [index, spec] of sheet.judges.entries()) {
    if (!holds(spec.if, values)) continue
    const missing = missingInputs(spec, fields, values)
    if (missing.length > 0) {
      // A computation nobody has begun with asks for nothing, but for the sheet's first on an empty sheet.
      if (startedOn(spec, fields, values) || (index === 0 && Object.keys(values).length === 0))
        for (const name of missing) wanted.add(name)
      continue
    }
    if (!startedOn(spec, fields, values)) continue
    findings.push(...computed(spec, fields, values))
  }
  if (findings.length + wanted.size + Object.keys(marks).length === 0)
    for (const name of leadQuestions(sheet, fields, values)) wanted.add(name)
  findings.sort(
    (a, b) => levels.indexOf(b.level) - levels.indexOf(a.level) || Number(a.judge === null) - Number(b.judge === null),
  )
  return {
    level: findings[0]?.level ?? null,
    findings,
    marks,
    wanted: [...wanted],
    renews: [...new Set(findings.flatMap(finding => finding.renews))],
  }
}

/** Questions not answered yet on which the sheet's computations hang; every one of them where it has none. */
function leadQuestions(sheet: Sheet, fields: Map<string, SheetField>, values: SheetValues): string[] {
  if (sheet.judges.length === 0)
    return [...fields.values()].filter(field => field.kind === 'choice' && !values[field.id]).map(field => field.name)
  return [
    ...new Set(
      sheet.judges.flatMap(({ if: only }) =>
        only && fields.has(only.field) && !values[only.field] ? [fields.get(only.field)!.name] : [],
      ),
    ),
  ]
}

function marksOf(field: SheetField, value: FieldValue | undefined): { index: number | null; reason: string }[] {
  if (field.kind === 'number' && value?.kind === 'number') {
    const reason = checkEntry(field, value.entry)
    return reason === null ? [] : [{ index: 0, reason }]
  }
  if (field.kind === 'points' && value?.kind === 'points') {
    const { marks, tooFew } = checkPoints(field, value.entries)
    return [...marks, ...(tooFew ? [{ index: null, reason: tooFew }] : [])]
  }
  if (field.kind === 'dial' && value?.kind === 'dial') {
    const { marks, tooFew } = checkedDial(value)
    return [
      ...marks.map(({ index, reason }) => ({ index, reason })),
      ...(tooFew ? [{ index: null, reason: tooFew }] : []),
    ]
  }
  return []
}

function checkedDial(value: Extract<FieldValue, { kind: 'dial' }>): CheckedDial {
  return checkDial(value.entries.map(({ angleDeg, value: heightMm, entered }) => ({ angleDeg, heightMm, entered })))
}

function answerFinding(field: SheetField, value: FieldValue | undefined): Finding[] {
  if (field.kind !== 'choice' || value?.kind !== 'choice') return []
  const answer = field.answers.find(entry => entry.id === value.answer)
  if (!answer) return []
  return [
    {
      judge: null,
      level: answer.says,
      sentence: answer.because ?? `${field.name}: ${answer.label}.`,
      working: [],
      figures: [],
      ignored: answer.ignored ?? null,
      renews: answer.renews ?? [],
    },
  ]
}

/** The number of a field that can be computed with, or its guide. */
function numberOf(
  field: SheetField | undefined,
  value: FieldValue | undefined,
): { value: number; guessed: boolean } | null {
  if (field?.kind !== 'number') return null
  if (value?.kind === 'number' && checkEntry(field, value.entry) === null)
    return { value: value.entry.value!, guessed: false }
  if (value?.kind === 'number') return null
  return field.guide === undefined ? null : { value: field.guide, guessed: true }
}

function missingInputs(spec: JudgeSpec, fields: Map<string, SheetField>, values: SheetValues): string[] {
  return judgeOf(spec.kind).needs.flatMap(input => {
    const field = fields.get(spec.inputs[input] ?? '')
    if (!field) return []
    const value = values[field.id]
    const there =
      field.kind === 'number'
        ? numberOf(field, value) !== null
        : field.kind === 'points'
          ? value?.kind === 'points' && checkPoints(field, value.entries).tooFew === null
          : field.kind === 'dial'
            ? value?.kind === 'dial' && checkedDial(value).tooFew === null
            : true
    return there ? [] : [field.name]
  })
}

/** Something was entered for it: rules of thumb alone are no measurement. */
function startedOn(spec: JudgeSpec, fields: Map<string, SheetField>, values: SheetValues): boolean {
  return Object.values(spec.inputs).some(id => fields.has(id) && values[id] !== undefined)
}

function computed(spec: JudgeSpec, fields: Map<string, SheetField>, values: SheetValues): Finding[] {
  const judge = judgeOf(spec.kind)
  const fieldOf = (input: string) => fields.get(spec.inputs[input] ?? '')
  const valueOf = (input: string) => values[spec.inputs[input] ?? '']
  const given: Given = {
    number: input => numberOf(fieldOf(input), valueOf(input))!.value,
    maybe: input => numberOf(fieldOf(input), valueOf(input))?.value,
    choice: input => {
      const value = fields.has(spec.inputs[input] ?? '') ? valueOf(input) : undefined
      return value?.kind === 'choice' ? value.answer : undefined
    },
    guessed: input => numberOf(fieldOf(input), valueOf(input))?.guessed ?? false,
    points: input => {
      const [field, value] = [fieldOf(input), valueOf(input)]
      return field?.kind === 'points' && value?.kind === 'points' ? checkPoints(field, value.entries).usable : []
    },
    place: (input, index) => {
      const field = fieldOf(input)
      return (field?.kind === 'points' && field.places?.[index]) || `${index + 1}`
    },
    dial: input => {
      const value = valueOf(input)
      return value?.kind === 'dial' ? checkedDial(value) : checkDial([])
    },
  }
  try {
    const found = judge.judge(given, spec)
    return [
      {
        ...found,
        judge: spec.kind,
        ignored: found.level === 'good' ? null : (spec.ignored ?? null),
        renews: found.level === 'renew' ? (spec.renews ?? []) : [],
      },
    ]
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    const reason = error instanceof FieldError ? error.reason : error.message
    return [
      {
        judge: spec.kind,
        level: 'watch',
        sentence: `It cannot be worked out: ${reason}`,
        working: [],
        figures: [],
        ignored: null,
        renews: [],
      },
    ]
  }
}
