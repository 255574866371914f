import { z } from 'zod'
import { feels, passKinds, tighteningVerdicts } from '../../core/fasteners'
import type { TighteningEvents } from '../../core/job/chapters/tightening'
import { key, uuid, words } from '../common'
import { figure, lengthMm, placeMm } from '../fasteners'
import type { Contract } from './contract'

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

const boltId = key(60)

const runStarted = z
  .strictObject({
    runId: uuid,
    stepId: key().nullable(),
    group: key(),
    boltCount: z.number().int().min(3).max(24),
    figure: figure.nullable(),
    passes: z.array(pass).min(1).max(12),
    positions: z
      .array(z.strictObject({ x: placeMm, y: placeMm }))
      .max(24)
      .optional(),
    boltIds: z.array(boltId).max(24).optional(),
    loosens: z.boolean().optional(),
    wrench: z
      .strictObject({
        id: uuid,
        name: words(80),
        overdue: z.boolean(),
        lengthMm,
        adapterLengthMm: z.number().min(0).max(1000),
        adapterAngleDeg: z.number().min(-180).max(360),
      })
      .optional(),
  })
  .refine(
    run =>
      run.passes.every(
        entry =>
          [...entry.order].sort((a, b) => a - b).every((bolt, index) => bolt === index) &&
          entry.order.length === run.boltCount,
      ),
    { path: ['passes'], error: 'Every pass goes over every bolt once.' },
  )
  .refine(
    run =>
      run.passes.every(
        entry => entry.torqueNm === null || (run.figure !== null && entry.torqueNm <= run.figure.torqueNm),
      ),
    { path: ['passes'], error: 'No pass goes beyond the figure.' },
  )
  .refine(
    run =>
      (run.positions ?? run.passes[0]!.order).length === run.boltCount &&
      (run.boltIds ?? run.passes[0]!.order).length === run.boltCount,
    { path: ['positions'], error: 'Every bolt of the run has its place.' },
  )

const stopped = z.enum(['drag', 'early', 'soft', 'yielding', 'gave-way'])

export const tightening = {
  'run-started': runStarted.describe(
    'A run over the bolts of a group, pass by pass. `stepId` is `null` for a run that belongs to no step, `figure` for one that loosens; `boltIds` are those of the board.',
  ),
  'pass-turned': z
    .strictObject({ runId: turn.runId, passIndex: turn.passIndex })
    .describe('What is left of a pass, with a wrench that cannot speak.'),
  'bolt-turned': z
    .strictObject({ ...turn, feel: z.enum(feels).optional(), reading: reading.optional() })
    .describe('One bolt is turned; how it felt, or what a speaking wrench read, at most 400 points.'),
  'bolt-stopped': z
    .strictObject({
      ...turn,
      verdict: stopped,
      because: words(300),
      by: z.enum(['wrench', 'feel']),
      reading: reading.optional(),
    })
    .describe('A bolt that must not be turned on: it holds the run.'),
  'stop-cleared': z.strictObject({ runId: uuid, how: words(300) }).describe('What was done about it.'),
  'run-dropped': z.strictObject({ runId: uuid, reason: words(300) }).describe('The run is given up.'),
} satisfies Contract<TighteningEvents>
