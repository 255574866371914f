import { z } from 'zod'
import { pieceKinds, plugLocks } from '../core/pack/bodies'
import type { Body } from '../core/pack/bodies'
import { id, sentence } from './pack-words'

/** Bodies with pockets, as a module writes them. */

const millimetres = z.number().min(-900).max(900)
const size = z.number().positive().max(400)

const piece = z
  .strictObject({
    id,
    name: sentence,
    kind: z.enum(pieceKinds),
    spring: z
      .strictObject({
        paint: sentence.optional(),
        wireMm: size.optional(),
        coilDiameterMm: size.optional(),
        activeCoils: size.optional(),
        freeLengthMm: size.optional(),
      })
      .optional(),
  })
  .refine(value => value.spring === undefined || value.kind === 'spring', {
    path: ['spring'],
    error: 'only a spring has the sheet of one',
  })

const wire = z.strictObject({
  id,
  name: sentence,
  wireMm: z.number().min(0.5).max(8),
  bendRadiusMm: z.number().min(0).max(60),
  points: z
    .array(z.tuple([millimetres, millimetres]))
    .min(2)
    .max(12),
  count: z.number().int().min(1).max(12),
})

export const body = z
  .strictObject({
    id,
    name: sentence,
    outline: id,
    groups: z.array(id).default([]),
    pockets: z
      .array(
        z.strictObject({
          id,
          name: sentence,
          x: millimetres,
          y: millimetres,
          radiusMm: size,
          bag: sentence,
          pieces: z.array(piece).min(1).max(8),
        }),
      )
      .max(24)
      .default([]),
    plugs: z
      .array(
        z.strictObject({
          id,
          name: sentence,
          x: millimetres,
          y: millimetres,
          lock: z.enum(plugLocks),
          wires: sentence,
        }),
      )
      .max(40)
      .default([]),
    wires: z.array(wire).max(6).optional(),
    opens: id,
    closes: id,
    steps: z.array(id).default([]),
  })
  .refine(value => value.pockets.length + value.plugs.length > 0, {
    path: ['pockets'],
    error: 'a body has pockets, plugs or both',
  })
  .transform(({ wires, ...value }): Body => ({ ...value, ...(wires ? { wires } : {}) }))
