import type { ClosingCheck } from '../packs/closing-types'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges } from './refusal'
import { openEntries } from './ledger'
import type { JobState } from './state'

export interface ClosingPayloads { 'check-made': { checkId: string, good: boolean, note: string } }
export interface MadeCheck { good: boolean, note: string, at: string, personId: string }

export interface ClosingLine {
  id: string
  kind: ClosingCheck['kind']
  title: string
  because: string
  status: 'done' | 'open' | 'bad'
  /** What is missing, in words; each with the step that would close it, if one would. */
  missing: { title: string, stepId: string | null }[]
  /** Of a check by hand: what good and bad are called, and what was said. */
  good?: string
  bad?: string
  made: MadeCheck | null
}

export const closingAppliers = {
  'check-made': (state: JobState, { payload: { checkId, ...made }, deviceTime, personId }: JobEvent<'check-made'>) => {
    state.checks[checkId] = { ...made, at: deviceTime, personId }
  },
}

export const closingJudges: Pick<Judges, keyof ClosingPayloads> = {
  'check-made': (state, { payload }) => {
    const check = closing(state).find(line => line.id === payload.checkId)
    return check?.kind === 'hand' ? null : refuse('payload.checkId', check ? 'This check follows from the log; nobody ticks it.' : `This job has no closing check "${payload.checkId}".`)
  },
}

/**
 * The closing checks of a job in the order that saves work, each with what is missing. Everything but a check by hand follows from the log.
 * Checks whose steps the job has not are left out.
 */
export function closing(state: JobState): ClosingLine[] {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  return (state.procedure?.closing ?? []).flatMap((check): ClosingLine[] => {
    const { id, kind, title, because } = check
    const steps = check.steps.filter(step => operations.has(step))
    if (check.steps.length > 0 && steps.length === 0) return []
    const made = state.checks[id] ?? null
    const line = (missing: ClosingLine['missing']): ClosingLine => ({ id, kind, title, because, missing, made: null, status: missing.length === 0 ? 'done' : 'open' })
    if (kind === 'hand') return [{ id, kind, title, because, missing: [], made, good: check.good!, bad: check.bad!, status: made === null ? 'open' : made.good ? 'done' : 'bad' }]
    if (kind === 'troubles') return [line(state.troubles.filter(trouble => !trouble.cleared).map(trouble => ({ title: trouble.text, stepId: trouble.stepId })))]
    if (kind === 'steps') return [line(steps.filter(step => !state.done[step]).map(step => ({ title: operations.get(step)!.title, stepId: step })))]
    return [line(openEntries(state).filter(entry => entry.reason === null).map((entry) => {
      const puts = [...operations.values()].find(operation => entry.item && operation.putsBack[entry.item.id] && !state.done[operation.id])
      return { title: entry.name, stepId: puts?.id ?? null }
    }))]
  })
}
