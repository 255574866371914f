import { z } from 'zod'
import { pieceStands, plugStands, springOfs } from '../../core/job/chapters/bodies'
import type { BodyEvents } from '../../core/job/chapters/bodies'
import { key, words } from '../common'
import type { Contract } from './contract'

const ids = z.array(key()).min(1).max(80)
const measures = z.strictObject({
  wireMm: z.number().positive().max(20).optional(),
  coilDiameterMm: z.number().positive().max(200).optional(),
  activeCoils: z.number().positive().max(100).optional(),
  freeLengthMm: z.number().positive().max(400).optional(),
  paint: words(30).optional(),
})

export const bodies = {
  'pieces-stand': z
    .strictObject({ bodyId: key(), pieceIds: ids, stand: z.enum(pieceStands) })
    .describe('Pieces of a body are out of their pockets, back in, or looked at once more.'),
  'plugs-stand': z
    .strictObject({ bodyId: key(), plugIds: ids, stand: z.enum(plugStands) })
    .describe('Plugs of a body are off, pushed on, or tugged at.'),
  'spring-measured': z
    .strictObject({ bodyId: key(), pieceId: key(), of: z.enum(springOfs), measures })
    .describe('A spring of a pocket was measured, the old one or the one that came back; an empty entry forgets it.'),
  'piece-found': z
    .strictObject({ bodyId: key(), looseId: key(), what: words(80), measures })
    .describe('Something lies there and nobody knows from where.'),
  'piece-placed': z
    .strictObject({ bodyId: key(), looseId: key(), pieceId: key().nullable() })
    .describe('What lay there goes into a pocket, or belongs to no body of this car.'),
} satisfies Contract<BodyEvents>
