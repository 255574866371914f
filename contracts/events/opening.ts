import { z } from 'zod'
import type { OpeningEvents } from '../../core/job/chapters/opening'
import { HIGHEST_JOB_NUMBER, key, uuid, words } from '../common'
import type { Contract } from './contract'

const jobNumber = z.number().int().positive().max(HIGHEST_JOB_NUMBER, 'No garage has had so many jobs.')

const vehicle = z.strictObject({
  id: uuid,
  name: words(80),
  make: words(60),
  model: words(60),
  year: z.number().int(),
  customer: words(120),
  gears: z.array(key(3)).min(2),
})

export const openingByServer = {
  'job-opened': z
    .strictObject({
      number: jobNumber,
      numberThere: jobNumber.optional(),
      vehicle,
      complaint: z.strictObject({ symptoms: z.array(key(40)).max(20), text: z.string().max(2000) }),
      pumpTest: z.strictObject({ result: z.enum(['not-done', 'no-change', 'rises']), strokes: z.number().nullable() }),
      odometerKm: z.number().nullable(),
    })
    .describe(
      'The car as it came, and why. `numberThere` is the number in the garage that it was begun in, where that is another.',
    ),
} satisfies Contract<OpeningEvents>
