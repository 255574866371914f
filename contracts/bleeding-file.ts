import { z } from 'zod'
import { bleedMethods } from '../core/hydraulics/bleed-methods'
import { bleedCounts } from '../core/packs/bleed-types'
import type { BleedWay } from '../core/packs/bleed-types'
import { id, sentence } from './pack-words'

/** Ways of bleeding, as they stand in `packs/bleeding.yaml` and in the pack file of a layout. */
export const bleedWay = z.strictObject({
  id, title: sentence, method: z.enum(bleedMethods), counts: z.enum(bleedCounts), one: sentence, many: sentence,
  minutes: z.tuple([z.number().positive().max(6000), z.number().positive().max(6000), z.number().positive().max(6000)]).refine(([low, likely, high]) => low <= likely && likely <= high, 'low, likely and high minutes in rising order').optional(),
  perRound: z.number().int().min(1).max(100), restMinutes: z.number().int().min(1).max(1440),
  strokeShare: z.number().min(0).max(1).default(0), portionMl: z.number().min(-500).max(500).default(0),
  bleeder: z.boolean().default(false),
  calls: z.array(z.strictObject({ say: sentence, by: z.enum(['pedal', 'bleeder']), seconds: z.number().min(0.5).max(30), about: sentence })).default([]),
  ready: z.array(sentence).min(1), round: z.array(sentence).min(1), over: sentence, wrong: sentence,
})
  .refine(way => (way.counts === 'portions') === (way.portionMl !== 0), { path: ['portionMl'], error: 'a way that counts portions says how much one is, and no other does' })
  .refine(way => way.counts === 'strokes' || way.strokeShare === 0, { path: ['strokeShare'], error: 'only strokes send a share of themselves out' })
  .transform((value): BleedWay => value)

/** `packs/bleeding.yaml` */
export const bleedingFile = z.array(bleedWay).min(1)
