import { groupsSetBy } from '../../packs/check-fasteners'
import type { ClosingCheck } from '../../pack/closing'
import type { Operation } from '../../pack/operations'
import type { JobState } from '../chapters'
import type { MadeCheck } from '../chapters/proving'
import { badFindings, openFindings } from './bad-findings'
import { codesLeft, openBeforeHandover } from './before-handover'
import { figuresWanted, groupStands, notTight } from './fastening'
import { openEntries } from './ledger'
import type { OpenEntry } from './ledger'

/** `left`: nothing is missing but what somebody answers for. */
export type ClosingStatus = 'done' | 'left' | 'open' | 'bad'

export interface ClosingLine {
  id: string
  kind: ClosingCheck['kind']
  title: string
  because: string
  status: ClosingStatus
  /** What is missing, in words; each with the step that would close it, if one would. */
  missing: { title: string; stepId: string | null }[]
  /** What is left as it is, with its reason. */
  left: { title: string; reason: string; personId: string }[]
  /** Of a check by hand: what good and bad are called, and what was said. */
  good?: string
  bad?: string
  made: MadeCheck | null
}

type Found = Pick<ClosingLine, 'missing' | 'left'>

/**
 * The closing checks of a job in the order that saves work, each with what is missing. Everything but a check by hand follows from the log.
 * Checks whose steps the job has not are left out.
 */
export function closing(state: JobState): ClosingLine[] {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  const open = openBeforeHandover(state)
  return (state.procedure?.closing ?? []).flatMap((check): ClosingLine[] => {
    const { id, kind, title, because } = check
    const steps = check.steps.flatMap(step => operations.get(step) ?? [])
    if (check.steps.length > 0 && steps.length === 0) return []
    if (kind === 'hand') return [handLine(state, check, open)]
    const { missing, left } = kind === 'codes' ? ofCodes(state, check, steps, open) : found(state, kind, steps, open)
    return [
      {
        id,
        kind,
        title,
        because,
        missing,
        left,
        made: null,
        status: missing.length > 0 ? 'open' : left.length > 0 ? 'left' : 'done',
      },
    ]
  })
}

function handLine(
  state: JobState,
  { id, kind, title, because, good, bad }: ClosingCheck,
  open: OpenEntry[],
): ClosingLine {
  const made = state.checks[id] ?? null
  const left = leftOf(open.filter(entry => entry.entry === `check:${id}`))
  const status = made?.good ? 'done' : left.length > 0 ? 'left' : made === null ? 'open' : 'bad'
  return { id, kind, title, because, missing: [], left, made, good: good!, bad: bad!, status }
}

function found(
  state: JobState,
  kind: Exclude<ClosingCheck['kind'], 'hand' | 'codes'>,
  steps: Operation[],
  open: OpenEntry[],
): Found {
  const of = (...kinds: OpenEntry['kind'][]) => open.filter(entry => kinds.includes(entry.kind))
  switch (kind) {
    case 'ledger':
      return split([...openEntries(state), ...of('thing')], entry => putsBack(state, entry))
    case 'bolts':
      return split(of('tight'), entry =>
        setsGroup(state, notTight(state).find(({ group }) => entry.entry === `tight:${group.id}`)?.group.id),
      )
    case 'figures':
      return {
        missing: figuresWanted(state).map(group => ({ title: group.name, stepId: setsGroup(state, group.id) })),
        left: groupStands(state).flatMap(({ group, figure, excused }) =>
          group.safety && !figure && excused ? [{ title: group.name, ...excused }] : [],
        ),
      }
    case 'findings':
      return split(
        of('finding'),
        entry => badFindings(state).find(finding => finding.entry === entry.entry)?.stepId ?? null,
      )
    case 'troubles':
      return split(
        of('trouble'),
        entry => state.troubles.find(trouble => entry.entry === `trouble:${trouble.troubleId}`)?.stepId ?? null,
      )
    case 'steps':
      return ofSteps(state, steps, of('step'))
  }
}

/** Read, and what is stored all the same; somebody may answer for it. */
function ofCodes(state: JobState, check: ClosingCheck, steps: Operation[], open: OpenEntry[]): Found {
  const read = ofSteps(state, steps, open)
  const left = leftOf(open.filter(entry => entry.entry === `check:${check.id}`))
  const stored = left.length > 0 ? [] : codesLeft(state, check)
  return {
    missing: [
      ...read.missing,
      ...stored.map(({ code, text }) => ({ title: `${code} ${text}`, stepId: check.steps[0] ?? null })),
    ],
    left: [...read.left, ...left],
  }
}

/** Steps not done, and steps that found something bad which nobody has dealt with. */
function ofSteps(state: JobState, steps: Operation[], open: OpenEntry[]): Found {
  const ids = new Set(steps.map(step => step.id))
  const undone = steps.filter(step => !state.done[step.id])
  const reasons = new Map(open.map(entry => [entry.entry, entry]))
  const bad = badFindings(state).filter(finding => finding.stepId !== null && ids.has(finding.stepId))
  const stillOpen = openFindings(bad)
  const excused = undone.flatMap(step =>
    reasons.get(`step:${step.id}`)?.left && !step.safety
      ? [{ title: step.title, ...reasons.get(`step:${step.id}`)!.left! }]
      : [],
  )
  return {
    missing: [
      ...undone
        .filter(step => !reasons.get(`step:${step.id}`)?.left || step.safety)
        .map(step => ({ title: step.title, stepId: step.id })),
      ...stillOpen.map(finding => ({ title: `${finding.name}: ${finding.answer}`, stepId: finding.stepId })),
    ],
    left: [
      ...excused,
      ...bad
        .filter(finding => !stillOpen.includes(finding) && finding.accepted && finding.dealtWith === null)
        .map(finding => ({ title: `${finding.name}: ${finding.answer}`, ...finding.accepted! })),
    ],
  }
}

function split(entries: OpenEntry[], stepOf: (entry: OpenEntry) => string | null): Found {
  return {
    missing: entries
      .filter(entry => entry.safety || !entry.left)
      .map(entry => ({ title: entry.name, stepId: stepOf(entry) })),
    left: leftOf(entries.filter(entry => !entry.safety)),
  }
}

const leftOf = (entries: OpenEntry[]) =>
  entries.flatMap(entry =>
    entry.left ? [{ title: entry.name, reason: entry.left.reason, personId: entry.left.personId }] : [],
  )

/** The step not done yet that puts an entry back. */
function putsBack(state: JobState, entry: OpenEntry): string | null {
  return (
    state.procedure?.operations.find(
      operation => entry.item && operation.putsBack[entry.item.id] && !state.done[operation.id],
    )?.id ?? null
  )
}

function setsGroup(state: JobState, group: string | undefined): string | null {
  return (
    state.procedure?.operations.find(
      operation => group !== undefined && groupsSetBy(operation).includes(group) && !state.done[operation.id],
    )?.id ?? null
  )
}
