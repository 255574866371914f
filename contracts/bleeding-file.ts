import { z } from 'zod'
import { shippedWays } from '../core/hydraulics/shipped-ways'
import { bleedCounts } from '../core/pack/bleeding'
import type { BleedWay } from '../core/pack/bleeding'
import { id, sentence } from './pack-words'

const bleedRule = z
  .strictObject({
    when: z
      .strictObject({
        opened: z.boolean(),
        preFilled: z.boolean(),
        slave: z.enum(['outside', 'concentric']),
        bleeder: z.enum(['at-top', 'low', 'none']),
        helper: z.boolean(),
        sharedReservoir: z.boolean(),
      })
      .partial(),
    points: z.number().min(-100).max(100).optional(),
    closes: z.boolean().optional(),
    because: sentence,
  })
  .refine(rule => (rule.points !== undefined) !== (rule.closes === true), {
    path: ['points'],
    error: 'a rule gives points or rules the way out',
  })

/** A way that was written when its physics stood elsewhere under the name of its `method` takes that over. */
function withPhysics({ method, ...way }: BleedWay & { method?: string | undefined }): BleedWay {
  const shipped =
    way.frees === undefined && way.advice.length === 0 ? shippedWays.find(entry => entry.id === method) : undefined
  if (!shipped) return way
  const { frees, flowMlS, wants, advice } = shipped
  return {
    ...way,
    advice: [...advice],
    ...(frees === undefined ? {} : { frees }),
    ...(flowMlS === undefined ? {} : { flowMlS }),
    ...(wants ? { wants } : {}),
  }
}

/** Ways of bleeding, as they stand in `packs/bleeding/*.yaml` and in the pack file of a layout. */
export const bleedWay = z
  .strictObject({
    id,
    title: sentence,
    method: id.optional(),
    counts: z.enum(bleedCounts),
    one: sentence,
    many: sentence,
    minutes: z
      .tuple([z.number().positive().max(6000), z.number().positive().max(6000), z.number().positive().max(6000)])
      .refine(([low, likely, high]) => low <= likely && likely <= high, 'low, likely and high minutes in rising order')
      .optional(),
    perRound: z.number().int().min(1).max(100),
    restMinutes: z.number().int().min(1).max(1440),
    strokeShare: z.number().min(0).max(1).default(0),
    portionMl: z.number().min(-500).max(500).default(0),
    bleeder: z.boolean().default(false),
    frees: z.number().min(0).max(1).optional(),
    flowMlS: z.number().positive().max(50).optional(),
    wants: z.strictObject({ id, name: sentence }).optional(),
    advice: z.array(bleedRule).default([]),
    calls: z
      .array(
        z.strictObject({
          say: sentence,
          by: z.enum(['pedal', 'bleeder']),
          seconds: z.number().min(0.5).max(30),
          about: sentence,
        }),
      )
      .default([]),
    ready: z.array(sentence).min(1),
    round: z.array(sentence).min(1),
    over: sentence,
    wrong: sentence,
  })
  .refine(way => (way.counts === 'portions') === (way.portionMl !== 0), {
    path: ['portionMl'],
    error: 'a way that counts portions says how much one is, and no other does',
  })
  .refine(way => way.counts === 'strokes' || way.strokeShare === 0, {
    path: ['strokeShare'],
    error: 'only strokes send a share of themselves out',
  })
  .refine(way => way.counts === 'strokes' || way.frees === undefined || way.flowMlS !== undefined, {
    path: ['flowMlS'],
    error: 'a way that frees air without strokes says how fast it lets fluid through',
  })
  .transform((value): BleedWay => withPhysics(value))

/** `packs/bleeding/*.yaml` */
export const bleedingFile = z.array(bleedWay).min(1)
