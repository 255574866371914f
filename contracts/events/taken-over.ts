import { z } from 'zod'
import type { TakenOverEvents } from '../../core/job/chapters/taken-over'
import { utcOffset } from '../circumstances'
import { instant, key, words } from '../common'
import type { Contract } from './contract'

const count = z.int().min(0).max(200)

export const takenOver = {
  'steps-taken-over': z
    .strictObject({
      stepIds: z.array(key()).min(1).max(200),
      by: words(120),
      at: instant,
      utcOffsetMinutes: utcOffset,
      asItStands: z.literal(true).optional(),
    })
    .describe(
      'Steps that somebody else has done, in their order. What they took off is off, and unseen until somebody says where it is. `asItStands`: what hangs is held first, and what is too late by now leaves the plan.',
    ),
  'things-told': z
    .strictObject({
      things: z
        .array(z.strictObject({ itemId: key(), missing: count, unknown: count, until: instant.nullable() }))
        .min(1)
        .max(300),
      at: instant,
      utcOffsetMinutes: utcOffset,
    })
    .describe(
      'Of things that are off: how many are missing, to be got by `until`, and how many nobody has seen; the rest is here.',
    ),
} satisfies Contract<TakenOverEvents>
