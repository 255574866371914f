import { fieldsAsked, judgeSheet } from '../../bench/judge-sheet'
import type { Sheet } from '../../pack/sheets'
import type { Operation } from '../../pack/operations'
import type { BadAnswer } from '../../pack/readings'
import type { JobState } from '../chapters'
import type { LeftOpen } from '../chapters/hand-over'
import { chosenBeside } from './compared'

/** An answer or a verdict that is not good, with what was done about it. */
export interface BadFinding {
  /** The key under which somebody answers for it. Another answer has another key. */
  entry: string
  name: string
  answer: string
  because: string
  stepId: string | null
  sheetId: string | null
  /** Nobody can answer for it: it is put right, and asked again. */
  stops: boolean
  /** What would deal with it. */
  ways: Pick<BadAnswer, 'options' | 'renews' | 'ladder' | 'sheet'>
  /** What has dealt with it, in words. */
  dealtWith: string | null
  accepted: LeftOpen | null
}

/** Bad answers to the readings of a step, by the last answer of each. */
export function findingsOfStep(state: JobState, operation: Operation): BadFinding[] {
  return operation.readings.flatMap((spec): BadFinding[] => {
    if (spec.kind !== 'choice') return []
    const last = state.readings.findLast(reading => reading.stepId === operation.id && reading.readingId === spec.id)
    const answer = String(last?.value)
    const stops = spec.stops?.includes(answer) ?? false
    const bad = spec.bad?.[answer]
    if (!last || (!stops && !bad)) return []
    const { because, ...ways } = bad ?? { because: spec.about ?? '' }
    const entry = `finding:${operation.id}:${spec.id}:${answer}`
    return [
      {
        entry,
        name: spec.name,
        answer,
        because,
        stepId: operation.id,
        sheetId: null,
        stops,
        ways,
        dealtWith: dealtWith(state, ways, last.at),
        accepted: state.leftOpen[entry] ?? null,
      },
    ]
  })
}

/** Everything found bad on this job: by readings, on sheets, on the road. */
export function badFindings(state: JobState): BadFinding[] {
  const { procedure } = state
  if (!procedure) return []
  return [
    ...procedure.operations.flatMap(operation => findingsOfStep(state, operation)),
    ...procedure.bench.sheets.flatMap(sheet => findingsOfSheet(state, sheet)),
    ...procedure.roadTest.flatMap((task): BadFinding[] => {
      const note = state.road[task.id]
      if (!note || note.good) return []
      const entry = `finding:road:${task.id}:${note.text}`.slice(0, 200)
      return [
        {
          entry,
          name: task.title,
          answer: note.text,
          because: 'It was noted on the road test.',
          stepId: null,
          sheetId: null,
          stops: false,
          ways: {},
          dealtWith: null,
          accepted: state.leftOpen[entry] ?? null,
        },
      ]
    }),
  ]
}

/** What a sheet found bad that no reading of a step says already: answers one by one, and what was computed. */
function findingsOfSheet(state: JobState, sheet: Sheet): BadFinding[] {
  const values = state.sheets[sheet.id]?.values
  if (!values) return []
  const base = { stepId: null, sheetId: sheet.id, stops: false }
  const found = (key: string, name: string, answer: string, because: string, renews: string[]): BadFinding => {
    const entry = `finding:sheet:${sheet.id}:${key}`
    const ways = { ...(renews.length ? { renews } : {}), sheet: sheet.id }
    return {
      ...base,
      entry,
      name,
      answer,
      because,
      ways,
      dealtWith: wayTaken(state, sheet) ?? renewedBy(state, renews),
      accepted: state.leftOpen[entry] ?? null,
    }
  }
  const answers = fieldsAsked(sheet, values).flatMap((field): BadFinding[] => {
    const value = values[field.id]
    if (field.kind !== 'choice' || field.reading || value?.kind !== 'choice') return []
    const answer = field.answers.find(entry => entry.id === value.answer)
    return answer?.says === 'renew'
      ? [found(`${field.id}:${answer.id}`, field.name, answer.label, answer.because ?? '', answer.renews ?? [])]
      : []
  })
  const computed = judgeSheet(sheet, values).findings.flatMap(finding =>
    finding.judge !== null && finding.level === 'renew'
      ? [found(finding.judge, sheet.title, finding.sentence, finding.ignored ?? '', finding.renews)]
      : [],
  )
  return [...answers, ...computed]
}

/** Findings that nothing has dealt with and nobody answers for. */
export function openFindings(found: BadFinding[]): BadFinding[] {
  return found.filter(finding => finding.stops || (finding.dealtWith === null && finding.accepted === null))
}

function dealtWith(
  state: JobState,
  { options, renews, ladder, sheet }: BadFinding['ways'],
  since: string,
): string | null {
  const chosen = Object.entries(options ?? {}).find(([option, choices]) =>
    choices.includes(state.procedure!.options[option] ?? ''),
  )
  if (chosen) return 'The job is planned with it.'
  const climbed =
    ladder && state.ladderRuns.find(run => run.ladderId === ladder && run.openedAt >= since && run.closedAt !== null)
  if (climbed) return `${climbed.text}: solved.`
  return (sheet ? chosenBeside(state, sheet) : null) ?? renewedBy(state, renews ?? [])
}

/** Whether every one of some parts is renewed: by the plan, by a decision, or by an order. */
function renewedBy(state: JobState, parts: string[]): string | null {
  if (parts.length === 0) return null
  const renewed = (part: string) =>
    state.procedure!.operations.some(operation => operation.parts[part]) ||
    state.procedure!.bench.reachable.some(
      entry => entry.part === part && state.renewals[entry.id]?.decision === 'renew',
    ) ||
    state.orders.some(order => order.partId === part)
  return parts.every(renewed) ? 'It is renewed.' : null
}

/** A way on that more likely than not brings the car back deals with nothing. */
const TOO_LIKELY = 0.5

function wayTaken(state: JobState, sheet: Sheet): string | null {
  const way = sheet.ways?.choices.find(choice => choice.choice === state.procedure!.options[sheet.ways!.option])
  return way && way.chance.renew < TOO_LIKELY ? 'The way on is chosen.' : null
}
