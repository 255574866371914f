import { z } from 'zod'
import { boltConditions, headKinds, headShapes, threadConditions, threadMaterials } from '../../core/fasteners'
import type { BoltEvents } from '../../core/job/chapters/bolts'
import { breakKinds } from '../../core/job/chapters/bolts/broken'
import { instant, key, uuid, words } from '../common'
import { figure, lengthMm, placeMm } from '../fasteners'
import type { Contract } from './contract'

const group = key()
const boltId = key(60)
const boltIds = z.array(boltId).min(1).max(40)

const fastener = z.strictObject({
  thread: words(30),
  propertyClass: words(20),
  material: z.enum(threadMaterials).optional(),
  engagementMm: lengthMm.optional(),
  head: z.enum(headShapes).optional(),
  condition: z.enum(threadConditions).optional(),
  clampMm: lengthMm.optional(),
})

const details = z.strictObject({
  thread: words(30).optional(),
  lengthMm: lengthMm.optional(),
  head: z.enum(headKinds).optional(),
  drive: words(12).optional(),
  from: z.enum(['box', 'engine']).optional(),
  holds: words(80).optional(),
  material: z.enum(threadMaterials).optional(),
  singleUse: z.boolean().optional(),
  note: words(300).optional(),
})

export const bolts = {
  'figure-named': figure.describe(
    'A figure of a group with its source, stages and pattern; `borrowed` says that it is another group’s, and why.',
  ),
  'fastener-described': z
    .strictObject({ group, fastener })
    .describe('What the bolts of a group are, and what they go into.'),
  'board-outlined': z.strictObject({ group, outline: key() }).describe('The outline behind a group’s board.'),
  'bolt-placed': z
    .strictObject({ group, boltId, xMm: placeMm, yMm: placeMm })
    .describe('A bolt is put on the board, or moved there; places are in mm.'),
  'bolt-lifted': z.strictObject({ group, boltId }).describe('A bolt leaves the board: the car has none there.'),
  'bolt-described': z
    .strictObject({ group, boltId, details, condition: z.enum(boltConditions).nullable() })
    .describe('What one bolt is, and how it came out.'),
  'bolts-out': z
    .strictObject({ group, boltIds, condition: z.enum(boltConditions).nullable() })
    .describe('Bolts are out: each is a thing off from now.'),
  'bolts-in': z
    .strictObject({ group, boltIds, stand: z.enum(['started', 'snug', 'figure', 'feel']).optional() })
    .describe('Bolts are in; `stand` says how they stand, without it they are snug.'),
  'bolt-broken': z
    .strictObject({
      group,
      boltId,
      how: z.enum(breakKinds),
      wayOut: words(80),
      troubleId: uuid,
      text: words(500),
      parts: z.array(words(120)).max(10),
      waitsFor: words(200).nullable(),
      until: instant.nullable(),
    })
    .describe(
      'A bolt, a thread or a head went: the trouble, the parts it asks for, and the others of the group that had the same load.',
    ),
} satisfies Contract<BoltEvents>
