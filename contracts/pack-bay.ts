import { z } from 'zod'
import { glyphs } from '../core/pack/bay'
import type { Bay, BayPlace, Stance } from '../core/pack/bay'
import { id, sentence } from './pack-words'

/** Where one stands at a vehicle, and the two ways it stands. */

const stance = z
  .strictObject({ id, name: sentence, said: sentence, because: sentence, returning: sentence.optional() })
  .transform((value): Stance => value)
const place = z
  .strictObject({ id, letter: z.string().length(1), name: z.string().min(2).max(12, 'one short word') })
  .transform((value): BayPlace => value)
const minutes = z.number().min(0).max(60)

export const bayParts = {
  id,
  glyph: z.enum(glyphs),
  places: z
    .array(place)
    .min(1)
    .max(8, 'nobody walks to so many')
    .refine(
      places => (['id', 'letter'] as const).every(key => new Set(places.map(each => each[key])).size === places.length),
      'an id or a letter stands twice',
    ),
  stances: z.tuple([stance, stance]).refine(([home, away]) => home.id !== away.id, 'the two stances are one'),
  setup: z.strictObject({ walkMinutes: minutes, toolMinutes: minutes, washMinutes: minutes }),
}

/** A bay as a layout or a job carries it. */
export const bay = z.strictObject(bayParts).transform((value): Bay => value)
