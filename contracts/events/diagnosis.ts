import { z } from 'zod'
import type { DiagnosisEvents } from '../../core/job/chapters/diagnosis'
import { key, uuid, words } from '../common'
import type { Contract } from './contract'

const id = key()

export const diagnosis = {
  'comeback-noted': z
    .strictObject({ jobId: uuid, number: z.number().int().positive(), cause: words(200).nullable() })
    .describe('The car comes back for an earlier job; `cause` is what that one had found.'),
  'finding-noted': z
    .strictObject({ tableId: id, testId: id, outcome: id.nullable() })
    .describe('The outcome of a test of a table of causes; `null` takes it back.'),
  'cause-found': z
    .strictObject({
      tableId: id,
      causeId: id,
      title: words(200),
      text: z.string().trim().max(1000),
      findings: z.record(id, id),
    })
    .describe('What it was in the end; `findings` is everything that was known then.'),
} satisfies Contract<DiagnosisEvents>
