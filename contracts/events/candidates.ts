import { z } from 'zod'
import type { CandidateEvents } from '../../core/job/chapters/candidates'
import { key, words } from '../common'
import { fieldValues } from './bench'
import type { Contract } from './contract'

const id = key()
const one = { sheetId: id, candidateId: id }

export const candidates = {
  'candidate-read': z
    .strictObject({ ...one, name: words(80), values: fieldValues, cleared: z.array(id).max(60) })
    .describe(
      'A part that may go in, with what is its own on a sheet; fields not named stay, those in `cleared` are emptied. Four at most lie side by side.',
    ),
  'candidate-dropped': z.strictObject(one).describe('It is out of the question.'),
  'candidate-chosen': z
    .strictObject({ ...one, because: words(2000) })
    .describe('It goes in: what it has for itself is written into the sheet.'),
} satisfies Contract<CandidateEvents>
