import { z } from 'zod'
import { boltConditions, driveSizes, feels, headKinds, passKinds, patterns, renewRules, sourceKinds, threadConditions, threadMaterials, tighteningVerdicts } from '../core/fasteners'
import { key, uuid, words } from './common'

const groupId = key()
const boltId = key(60)
const torque = z.number().positive('A torque is a number above zero.').max(2000, 'No bolt of a car is set that high. Check the unit.')
const lengthMm = z.number().positive('A length is a number above zero.').max(1000, 'No part of this job is that long. Check the unit.')
const place = z.number().min(-600, 'The board ends there.').max(600, 'The board ends there.')

const stage = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('torque'), torqueNm: torque }),
  z.strictObject({ kind: z.literal('angle'), angleDeg: z.number().positive('An angle is a number above zero.').max(360, 'No bolt is turned on that far.') }),
  z.strictObject({ kind: z.literal('wait'), minutes: z.number().positive().max(1440) }),
  z.strictObject({ kind: z.literal('lap') }),
])

/** A figure with its source. */
export const figure = z.strictObject({
  group: groupId,
  torqueNm: z.number().positive('A torque is a number above zero.'),
  sourceKind: z.enum(sourceKinds),
  reference: words(200),
  stages: z.array(stage).min(1).max(12).optional(),
  pattern: z.enum(patterns).optional(),
  condition: z.enum(threadConditions).optional(),
  renew: z.enum(renewRules).optional(),
  borrowed: z.strictObject({ group: groupId, because: words(300) }).optional(),
  entered: z.strictObject({ by: uuid, at: z.iso.datetime({ offset: true }) }).optional(),
})

const fastener = z.strictObject({
  thread: words(30),
  propertyClass: words(20),
  material: z.enum(threadMaterials).optional(),
  engagementMm: lengthMm.optional(),
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

const pass = z.strictObject({
  kind: z.enum(passKinds),
  torqueNm: z.number().positive().nullable(),
  angleDeg: z.number().positive().max(360).optional(),
  waitMinutes: z.number().positive().max(1440).optional(),
  order: z.array(z.number().int().min(0)).min(3).max(24),
})

const reading = z.strictObject({
  verdict: z.enum(tighteningVerdicts),
  peakNm: z.number().min(0).max(2000),
  angleDeg: z.number().min(0).max(100_000),
  curve: z.array(z.tuple([z.number().min(0), z.number()])).max(400),
})

const turn = { runId: uuid, passIndex: z.number().int().min(0), bolt: z.number().int().min(0) }

const runStarted = z.strictObject({
  runId: uuid, stepId: key().nullable(), group: groupId, boltCount: z.number().int().min(3).max(24), figure: figure.nullable(), passes: z.array(pass).min(1).max(12),
  positions: z.array(z.strictObject({ x: place, y: place })).max(24).optional(),
  boltIds: z.array(boltId).max(24).optional(),
  loosens: z.boolean().optional(),
  wrench: z.strictObject({ id: uuid, name: words(80), overdue: z.boolean(), lengthMm, adapterLengthMm: z.number().min(0).max(1000), adapterAngleDeg: z.number().min(-180).max(360) }).optional(),
})
  .refine(run => run.passes.every(entry => [...entry.order].sort((a, b) => a - b).every((bolt, index) => bolt === index) && entry.order.length === run.boltCount),
    { path: ['passes'], error: 'Every pass goes over every bolt once.' })
  .refine(run => run.passes.every(entry => entry.torqueNm === null || (run.figure !== null && entry.torqueNm <= run.figure.torqueNm)),
    { path: ['passes'], error: 'No pass goes beyond the figure.' })
  .refine(run => (run.positions ?? run.passes[0]!.order).length === run.boltCount && (run.boltIds ?? run.passes[0]!.order).length === run.boltCount,
    { path: ['positions'], error: 'Every bolt of the run has its place.' })

/** What a device may post about bolts, their figures and their runs. */
export const boltPayloads = {
  'figure-named': figure,
  'fastener-described': z.strictObject({ group: groupId, fastener }),
  'board-outlined': z.strictObject({ group: groupId, outline: groupId }),
  'bolt-placed': z.strictObject({ group: groupId, boltId, xMm: place, yMm: place }),
  'bolt-lifted': z.strictObject({ group: groupId, boltId }),
  'bolt-described': z.strictObject({ group: groupId, boltId, details, condition: z.enum(boltConditions).nullable() }),
  'bolts-out': z.strictObject({ group: groupId, boltIds: z.array(boltId).min(1).max(40), condition: z.enum(boltConditions).nullable() }),
  'bolts-in': z.strictObject({ group: groupId, boltIds: z.array(boltId).min(1).max(40), stand: z.enum(['started', 'snug', 'figure', 'feel']).optional() }),
  'run-started': runStarted,
  'pass-turned': z.strictObject({ runId: turn.runId, passIndex: turn.passIndex }),
  'bolt-turned': z.strictObject({ ...turn, feel: z.enum(feels).optional(), reading: reading.optional() }),
  'bolt-stopped': z.strictObject({ ...turn, verdict: z.enum(['drag', 'early', 'soft', 'yielding', 'gave-way']), because: words(300), by: z.enum(['wrench', 'feel']), reading: reading.optional() }),
  'stop-cleared': z.strictObject({ runId: uuid, how: words(300) }),
  'bolt-broken': z.strictObject({
    group: groupId, boltId, how: z.enum(['sheared', 'stripped', 'rounded']), wayOut: words(80), troubleId: uuid, text: words(500),
    parts: z.array(words(120)).max(10), waitsFor: words(200).nullable(), until: z.iso.datetime({ offset: true }).nullable(),
  }),
  'run-dropped': z.strictObject({ runId: uuid, reason: words(300) }),
}

const day = z.iso.date('A day is written like 2026-05-04.')

/** A torque wrench of the garage. */
export const wrenchBody = z.strictObject({
  name: words(80),
  minNm: torque,
  maxNm: torque,
  drive: z.enum(driveSizes),
  lengthMm: z.number().min(50, 'A wrench is at least 50 mm long.').max(2000, 'A wrench is not that long. Check the unit.'),
  calibratedOn: day.nullable(),
}).refine(wrench => wrench.maxNm > wrench.minNm, { path: ['maxNm'], error: 'The range ends above where it begins.' })

export type WrenchBody = z.infer<typeof wrenchBody>
