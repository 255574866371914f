import { byId } from '../../../base/by-id'
import { measured } from '../../../say/quantity'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { gapLeft } from '../mating'
import { unknownStep } from '../plan/unknown-step'
import type { StepEvents } from '.'

/** What a reading of a step was last taken as; `undefined` where it was not. */
export function latestReading(state: JobState, stepId: string, readingId: string): number | string | undefined {
  return state.readings.findLast(reading => reading.stepId === stepId && reading.readingId === readingId)?.value
}

/** The reading that a step asks for under a name. */
const askedFor = ({ procedure }: JobState, stepId: string, readingId: string) =>
  procedure && byId(procedure.operations, stepId)?.readings.find(entry => entry.id === readingId)

/** What a reading is called where it is undone or waits. */
export function readingWords(state: JobState, { stepId, readingId }: StepEvents['reading-taken']): string {
  const spec = askedFor(state, stepId, readingId)
  return spec ? `Reading: ${spec.name}` : 'Reading'
}

/** Why a reading cannot be taken as it is told; `null` when it can. */
export function readingRefused(
  state: JobState,
  { stepId, readingId, value, unit }: StepEvents['reading-taken'],
): Refusal | null {
  const unknown = unknownStep(state, stepId)
  if (unknown) return unknown
  const spec = askedFor(state, stepId, readingId)
  if (!spec) return refuse('payload.readingId', `This step asks for no reading "${readingId}".`)
  if (spec.kind === 'choice') {
    if (!spec.choices.includes(String(value))) return refuse('payload.value', `One of: ${spec.choices.join(', ')}.`)
    const left = gapLeft(state, stepId, readingId, value)
    return left === null ? null : refuse('payload.value', left)
  }
  if (typeof value !== 'number') return refuse('payload.value', 'A number is wanted.')
  if (unit !== spec.unit) return refuse('payload.unit', `The reading is kept in ${spec.unit}.`)
  if (value >= (spec.low ?? -Infinity) && value <= (spec.high ?? Infinity)) return null
  return refuse(
    'payload.value',
    `Between ${boundText(spec.low, spec.unit)} and ${boundText(spec.high, spec.unit)}. Check the unit and the reading.`,
  )
}

const boundText = (bound: number | null | undefined, unit: string) =>
  bound === null || bound === undefined ? 'any' : measured(bound, unit)
