import { z } from 'zod'
import { feet } from '../core/pack/loads'
import type { Load } from '../core/pack/loads'
import { id, sentence } from './pack-words'

/** What falls when it is let go, and what holds it. */

export const foot = z.enum(feet)

const hold = z
  .strictObject({
    prop: id.optional(),
    fitted: z.array(id).min(1).max(12).optional(),
    bolts: z.strictObject({ group: id, atFigure: z.number().int().min(1).max(24) }).optional(),
  })
  .refine(({ prop, fitted, bolts }) => prop ?? fitted ?? bolts, 'a hold names what holds')

export const load = z.strictObject({
  id,
  name: sentence,
  out: id.optional(),
  byHand: z.boolean().optional(),
  heldBy: z.array(hold).min(1).max(8),
}) satisfies z.ZodType<Load>
