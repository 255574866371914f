import { z } from 'zod'
import { checkTables } from '../core/decisions/cause-tables'
import { FieldError } from '../core/base/field-error'
import { id, sentence } from './pack-words'

const share = z.number().min(0).max(1)

const test = z.strictObject({
  id,
  title: sentence,
  how: sentence.optional(),
  minutes: z.number().min(0).max(240),
  hurts: sentence.optional(),
  outcomes: z
    .array(z.strictObject({ id, label: z.string().min(1) }))
    .min(2)
    .max(6),
  alike: id.optional(),
  usual: z.array(share),
  given: z.record(id, z.array(share)).default({}),
})

/** A table of causes; `pump` names the test that is the pumped pedal of the take-in. */
const tables = z
  .strictObject({
    id,
    title: sentence,
    origin: sentence,
    pump: id.optional(),
    causes: z
      .array(
        z.strictObject({
          id,
          title: sentence,
          prior: share,
          boxOut: z.boolean(),
          todo: sentence,
          onlyWith: z.array(id).min(1).optional(),
        }),
      )
      .min(2),
    tests: z.array(test).min(1),
  })
  .superRefine((value, context) => {
    try {
      checkTables(value)
    } catch (error) {
      if (!(error instanceof FieldError)) throw error
      context.addIssue({
        code: 'custom',
        path: error.path.replace(/\[(\d+)\]/g, '.$1').split('.'),
        message: error.reason,
      })
    }
    if (value.pump !== undefined && !value.tests.some(entry => entry.id === value.pump))
      context.addIssue({ code: 'custom', path: ['pump'], message: `there is no test "${value.pump}"` })
  })

/** `packs/causes/*.yaml` */
export const causesFile = tables
