import { z } from 'zod'
import { shapeKinds } from '../core/pack/drawing'
import type { CarDrawing, Shape } from '../core/pack/drawing'
import { id, sentence } from './pack-words'

/** The drawing of a car: `packs/drawings/*.yaml`, and as it stands in a pack file. */

const place = z.number().min(-3000, 'no car is that long').max(7000, 'no car is that long')

const shape = z
  .tuple([z.enum(shapeKinds)], place)
  .refine(
    ([kind, ...numbers]) =>
      ({
        rect: numbers.length === 4,
        circle: numbers.length === 3,
        line: numbers.length >= 4 && numbers.length % 2 === 0,
        shape: numbers.length >= 6 && numbers.length % 2 === 0,
      })[kind],
    'a rect has x, y, width and height; a circle x, y and radius; a line two points or more, a shape three',
  )
  .transform((value): Shape => value as Shape)
const shapes = z.array(shape).default([])

const inOrder = ([low, likely, high]: [number, number, number]) => low <= likely && likely <= high
const ORDER = 'low, likely and high kilograms in rising order'
const mass = z.number().positive()
const kilograms = z.tuple([mass, mass, mass]).refine(inOrder, ORDER)
const load = z.number().min(0)
/** What a prop holds of it: nothing, where it only stops a motion. */
const kilogramsHeld = z.tuple([load, load, load]).refine(inOrder, ORDER)

export const drawingFile = z
  .strictObject({
    id,
    title: sentence,
    raisedMm: z.number().min(0).max(2000),
    fromMm: place,
    toMm: place,
    upMm: z.number().min(300).max(3000),
    body: z.strictObject({ side: shapes, top: shapes }),
    things: z
      .array(
        z
          .strictObject({
            id,
            name: sentence,
            label: z.enum(['side', 'top', 'both']).optional(),
            items: z.array(id).default([]),
            fixings: z.array(id).default([]),
            groups: z.array(id).default([]),
            appears: z.boolean().default(false),
            optional: z.boolean().default(false),
            side: shapes,
            top: shapes,
            onGround: z.boolean().default(false),
            holds: z.strictObject({ name: sentence, kg: kilogramsHeld }).optional(),
          })
          .refine(thing => !(thing.appears || thing.optional) || thing.items.length + thing.fixings.length > 0, {
            path: ['items'],
            error: 'what may be absent names the entries it goes by',
          })
          .refine(thing => thing.side.length + thing.top.length > 0, {
            path: ['side'],
            error: 'a thing is seen from the side or from above',
          }),
      )
      .min(1),
    carried: z
      .array(
        z.strictObject({
          id,
          name: sentence,
          masses: z
            .array(
              z.strictObject({
                id,
                name: sentence,
                off: id.optional(),
                kg: kilograms,
                at: place,
                sheet: z.strictObject({ id, field: id }).optional(),
              }),
            )
            .min(1),
          supports: z
            .array(
              z.strictObject({
                thing: id,
                at: place,
                pieces: z.number().int().min(1).max(8).default(1),
                gone: z.array(id).default([]),
                under: id.optional(),
              }),
            )
            .min(1),
        }),
      )
      .default([]),
    parted: z.strictObject({ things: z.array(id).min(1), forwardMm: z.number().min(100).max(4000) }).optional(),
    leans: z
      .strictObject({
        fact: id,
        degrees: z.number().min(-15).max(15),
        about: z.tuple([place, place]),
        things: z.array(id).min(1),
      })
      .optional(),
  })
  .refine(({ fromMm, toMm }) => toMm - fromMm >= 500, { path: ['toMm'], error: 'it shows half a metre at least' })
  .transform((value): CarDrawing => value)
