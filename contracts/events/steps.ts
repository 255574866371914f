import { z } from 'zod'
import type { StepEvents } from '../../core/job/chapters/steps'
import { key, words } from '../common'
import type { Contract } from './contract'

const stepId = key()

export const steps = {
  'step-done': z
    .strictObject({ stepId })
    .describe(
      'A step is done: what it takes off and puts back counts from now. Refused, with the reason, while something it waits for is not so.',
    ),
  'note-added': z
    .strictObject({ stepId: stepId.nullable(), text: words(2000) })
    .describe('A note on a step, or on the whole job.'),
  'reading-taken': z
    .strictObject({
      stepId,
      readingId: key(),
      value: z.union([z.number(), words(120)]),
      unit: z.string().max(12).nullable(),
    })
    .describe('What a step was asked for, in the unit of its layout. It stands in the sheets that ask the same.'),
  'timer-started': z.strictObject({ stepId }).describe('The clock of a step runs.'),
  'timer-stopped': z.strictObject({ stepId }).describe('The clock of a step stands.'),
} satisfies Contract<StepEvents>
