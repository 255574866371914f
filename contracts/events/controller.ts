import { z } from 'zod'
import type { ControllerEvents } from '../../core/job/chapters/controller'
import { key, words } from '../common'
import type { Contract } from './contract'

export const controller = {
  'codes-read': z
    .strictObject({
      stepId: key(),
      codes: z
        .array(z.strictObject({ code: words(20), text: z.string().trim().max(200) }))
        .max(60, 'No controller holds so many.'),
    })
    .describe('What the controller has stored; an empty list says that it was read and holds none.'),
  'routine-run': z
    .strictObject({ stepId: key(), outcome: z.enum(['done', 'refused']), reason: z.string().trim().max(300) })
    .describe('A routine by which the controller learns something was run through, or it refused and said why.'),
} satisfies Contract<ControllerEvents>
