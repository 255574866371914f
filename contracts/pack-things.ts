import { z } from 'zod'
import { itemStates } from '../core/pack/kinds'
import { drawnParts } from '../core/pack/things'
import { foot } from './pack-loads'
import { id, sentence } from './pack-words'

/** What comes off a car, and where its bolts stand. */

export const item = z
  .strictObject({
    id,
    name: sentence,
    state: z.enum(itemStates),
    goesTo: sentence.optional(),
    part: z.enum(drawnParts).optional(),
    singleUse: sentence.optional(),
    group: id.optional(),
    hand: z.boolean().optional(),
    newPart: id.optional(),
    safety: z.boolean().optional(),
    foot: foot.optional(),
    covers: id.optional(),
  })
  .refine(({ covers, state }) => covers === undefined || state === 'propped', {
    path: ['covers'],
    error: 'what covers an opening is put there and taken away again: its state is propped',
  })
  .refine(value => !(value.group && value.hand), {
    path: ['hand'],
    error: 'fasteners of a group have a figure; by hand is for those without',
  })

const millimetres = z
  .number()
  .min(-900, 'a part of a car is not that wide')
  .max(900, 'a part of a car is not that wide')

export const boltMap = z.strictObject({
  outline: id,
  clearFor: id.optional(),
  places: z
    .array(
      z.strictObject({
        id,
        x: millimetres,
        y: millimetres,
        offWith: id.optional(),
        from: z.enum(['box', 'engine']).optional(),
        lengthMm: z.number().positive().max(400).optional(),
        holds: sentence.optional(),
      }),
    )
    .min(1)
    .max(40),
})

export const outline = z
  .strictObject({
    id,
    name: sentence,
    points: z
      .array(z.tuple([millimetres, millimetres]))
      .min(3)
      .max(80)
      .optional(),
    smooth: z.boolean().optional(),
    circleMm: z.number().positive().max(900).optional(),
    marks: z
      .array(
        z.strictObject({ name: sentence, x: millimetres, y: millimetres, radiusMm: z.number().positive().max(400) }),
      )
      .default([]),
  })
  .refine(
    shape => (shape.points === undefined) !== (shape.circleMm === undefined),
    'an outline is a line of points or a circle, one of the two',
  )
