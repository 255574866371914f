import { z } from 'zod'
import { patterns, renewRules, sourceKinds, threadConditions } from '../core/fasteners'
import { instant, key, uuid, words } from './common'

export const torqueNm = z
  .number()
  .positive('A torque is a number above zero.')
  .max(2000, 'No bolt of a car is set that high. Check the unit.')
export const lengthMm = z
  .number()
  .positive('A length is a number above zero.')
  .max(1000, 'No part of this job is that long. Check the unit.')

/** A place on a bolt board. */
export const placeMm = z.number().min(-600, 'The board ends there.').max(600, 'The board ends there.')

const stage = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('torque'), torqueNm }),
  z.strictObject({
    kind: z.literal('angle'),
    angleDeg: z.number().positive('An angle is a number above zero.').max(360, 'No bolt is turned on that far.'),
  }),
  z.strictObject({ kind: z.literal('wait'), minutes: z.number().positive().max(1440) }),
  z.strictObject({ kind: z.literal('lap') }),
])

/** A figure with its source. */
export const figure = z.strictObject({
  group: key(),
  torqueNm: z.number().positive('A torque is a number above zero.'),
  sourceKind: z.enum(sourceKinds),
  reference: words(200),
  stages: z.array(stage).min(1).max(12).optional(),
  pattern: z.enum(patterns).optional(),
  condition: z.enum(threadConditions).optional(),
  renew: z.enum(renewRules).optional(),
  borrowed: z.strictObject({ group: key(), because: words(300) }).optional(),
  entered: z.strictObject({ by: uuid, at: instant }).optional(),
})
