import { byId } from '../../../base/by-id'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { tryCompleteActivity } from '../../views/activity'
import { findingsOfStep, openFindings } from '../../views/bad-findings'
import { blockersFor } from '../../views/blockers-for'
import { figureMissing } from '../../views/fastening'
import { oldPartRefused } from '../../views/reconcile'
import { notReadyToGoIn } from '../bench/orientations'
import { cautionUnread } from '../cautions'
import { unknownStep } from '../plan/unknown-step'
import { latestReading } from './readings'

/** Why this person cannot call a step done now; `null` when they can. */
export function stepRefused(state: JobState, stepId: string, personId: string): Refusal | null {
  const unknown = unknownStep(state, stepId)
  if (unknown) return unknown
  const cannot = (reason: string) => refuse('payload.stepId', reason)
  if (state.done[stepId]) return cannot('This step is done already.')
  const [blocker] = blockersFor(state, stepId, personId)
  if (blocker) return cannot(`First: ${blocker.title}. ${blocker.because}`)
  const unread = cautionUnread(state, stepId)
  if (unread) return unread
  const operation = byId(state.procedure!.operations, stepId)
  if (!operation) return null
  const unfinished = tryCompleteActivity(state, operation)
  if (unfinished) return cannot(unfinished)
  const missing = operation.readings.find(spec => spec.required && latestReading(state, stepId, spec.id) === undefined)
  if (missing) return cannot(`The reading is wanted first: ${missing.name}.`)
  const stop = operation.readings.find(
    spec => spec.kind === 'choice' && spec.stops?.includes(String(latestReading(state, stepId, spec.id))),
  )
  if (stop)
    return cannot(
      `${stop.name}: ${latestReading(state, stepId, stop.id)}. ${stop.about ?? ''} Put it right and take the reading again.`,
    )
  const [bad] = openFindings(findingsOfStep(state, operation))
  if (bad) return cannot(`${bad.name}: ${bad.answer}. ${bad.because} Deal with it, or say who answers for it and why.`)
  const wanted = figureMissing(state, operation)
  if (wanted)
    return cannot(
      `${wanted.name}: no figure is named. Somebody drives on them: name it with its source, or say who answers for it and why.`,
    )
  return oldPartRefused(state, stepId) ?? notReadyToGoIn(state, stepId)
}
