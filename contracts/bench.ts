import { z } from 'zod'
import { ladderEnds } from '../core/job/ladders'
import { instant, key, uuid, words } from './common'

const id = key()
const reading = z.number().min(-1e6).max(1e6).nullable()
const entry = z.strictObject({ entered: z.string().trim().max(40), value: reading })

const fieldValue = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('number'), entry }),
  z.strictObject({ kind: z.literal('points'), entries: z.array(entry).min(1).max(24) }),
  z.strictObject({ kind: z.literal('dial'), entries: z.array(entry.extend({ angleDeg: z.number().min(-720).max(720).nullable() })).min(1).max(80) }),
  z.strictObject({ kind: z.literal('choice'), answer: id }),
  z.strictObject({ kind: z.literal('text'), text: words(300) }),
])

const money = z.number().min(0, 'Money is not below zero.').max(1_000_000, 'No part of this job costs that much.')
const share = z.number().min(0, 'A chance lies between 0 and 1.').max(1, 'A chance lies between 0 and 1.')
const minutes = z.number().min(0).max(100_000)

export const partOrdered = z.strictObject({
  orderId: uuid, partId: id.nullable(), name: words(120), count: z.number().int().min(1).max(200), priceEach: money.nullable(),
  supplier: words(80), orderNo: words(60).nullable(), arrivesAt: instant, covers: z.array(id).max(40).optional(),
})

/** What a device may post about the bench, and about troubles on their ladders. */
export const benchPayloads = {
  'sheet-read': z.strictObject({ sheetId: id, values: z.record(id, fieldValue), cleared: z.array(id).max(60) })
    .refine(({ values, cleared }) => Object.keys(values).length + cleared.length > 0, { path: ['values'], error: 'Nothing is entered.' }),
  'orientation-noted': z.strictObject({ partId: id, side: words(120), mark: z.string().trim().max(120), photo: words(120).nullable() }),
  'orientation-confirmed': z.strictObject({ partId: id }),
  'old-part-gone': z.strictObject({ partId: id, where: words(120) }),
  'renewal-weighed': z.strictObject({ partId: id, partCost: money.nullable(), minutesNow: minutes.nullable(), minutesLater: minutes.nullable(), chance: share, comebackCost: money }),
  'renewal-decided': z.strictObject({ decisions: z.array(z.strictObject({ partId: id, decision: z.enum(['renew', 'leave']) })).min(1).max(60), because: words(300) }),
  'way-chosen': z.strictObject({
    option: id, choice: id, because: words(300),
    ways: z.array(z.strictObject({ id, money, finishMinutes: z.number().min(-100_000).max(100_000), chance: share, closed: words(300).nullable() })).min(1).max(8),
  }),
  'promised': z.strictObject({ at: instant.nullable() }),
  'part-ordered': partOrdered,
  'part-moved': z.strictObject({ orderId: uuid, arrivesAt: instant, because: words(200) }),
  'part-came': z.strictObject({ orderId: uuid }),
  'gap-measured': z.strictObject({ diameterMm: z.number().min(50, 'No bell is that small.').max(1500, 'No bell is that wide. Check the unit.'), readings: z.array(z.strictObject({ angleDeg: z.number().min(-360).max(360), gapMm: z.number().min(0, 'A gap is zero or more.').max(400, 'Check the unit.') })).min(3, 'Three places at least.').max(12) }),
  'ladder-opened': z.strictObject({ ladderRunId: uuid, ladderId: id, stepId: id.nullable(), text: words(500), about: words(200).optional(), bolt: z.strictObject({ group: id, boltId: key(60) }).optional() }),
  'ladder-left': z.strictObject({ ladderRunId: uuid, end: z.enum(ladderEnds), waitsFor: words(200), until: instant.nullable(), minutes: z.number().min(0).max(100_000, 'No car waits that long for a bolt.') }),
  'rung-begun': z.strictObject({ ladderRunId: uuid, rungId: id, ticked: z.array(words(200)).max(20) }),
  'rung-ended': z.strictObject({ ladderRunId: uuid, rungId: id, outcome: z.enum(['worked', 'failed', 'stopped']), note: words(500).nullable() }),
}
