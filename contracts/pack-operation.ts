import { z } from 'zod'
import { bodyWants } from '../core/pack/bodies'
import { phases } from '../core/pack/kinds'
import { judgeKinds } from '../core/pack/sheets'
import type { OperationSource, RefitRule } from '../core/pack/operations'
import { cleanliness } from './pack-surfaces'
import { id, sentence, when } from './pack-words'

/** A piece of work as a pack writes it, with what it asks, uses and takes off. */

/** No piece of work of a car takes longer, in minutes. */
export const workMinutes = z.number().positive().max(6000, 'no piece of work takes that long')
export const threePoint = z
  .tuple([workMinutes, workMinutes, workMinutes])
  .refine(([low, likely, high]) => low <= likely && likely <= high, 'low, likely and high minutes in rising order')
export const counts = z.record(id, z.number().int().positive().max(200, 'no car has so many'))
/** A stance of the bay, or either. */
export const car = id

const badAnswer = z.strictObject({
  because: sentence,
  options: z.record(id, z.array(id).min(1)).optional(),
  renews: z.array(id).min(1).optional(),
  ladder: id.optional(),
  sheet: id.optional(),
})

const reading = z.discriminatedUnion('kind', [
  z.strictObject({
    id,
    name: sentence,
    kind: z.literal('number'),
    unit: z.string(),
    required: z.boolean().default(false),
    low: z.number().optional(),
    high: z.number().optional(),
    about: sentence.optional(),
  }),
  z
    .strictObject({
      id,
      name: sentence,
      kind: z.literal('choice'),
      choices: z.array(z.string()).min(2),
      required: z.boolean().default(false),
      about: sentence.optional(),
      stops: z.array(z.string()).optional(),
      bad: z.record(z.string(), badAnswer).optional(),
      watch: z.array(z.string()).optional(),
    })
    .refine(spec => (spec.stops ?? []).every(stop => spec.choices.includes(stop)), {
      path: ['stops'],
      error: 'stops are among the choices',
    })
    .refine(spec => Object.keys(spec.bad ?? {}).every(answer => spec.choices.includes(answer)), {
      path: ['bad'],
      error: 'bad answers are among the choices',
    })
    .refine(spec => (spec.watch ?? []).every(answer => spec.choices.includes(answer)), {
      path: ['watch'],
      error: 'watched answers are among the choices',
    }),
])

const activity = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('tighten'), group: id }),
  z
    .strictObject({
      kind: z.literal('bleed'),
      way: id.optional(),
      strokesPerRound: z.number().int().min(5).max(100).optional(),
      restMinutes: z.number().int().min(1).max(1440).optional(),
      deliveredShare: z.number().min(0).max(1).optional(),
    })
    .refine(
      value => value.way !== undefined || (value.strokesPerRound !== undefined && value.restMinutes !== undefined),
      { path: ['way'], error: 'a bleeding names its way, or its strokes and its rest' },
    ),
  z
    .strictObject({
      kind: z.literal('gears'),
      engine: z.enum(['off', 'running']),
      positions: z.array(z.string().min(1).max(3)).min(2).max(8).optional(),
      bad: sentence.optional(),
    })
    .refine(value => new Set(value.positions ?? []).size === (value.positions ?? []).length, {
      path: ['positions'],
      error: 'a position stands twice',
    }),
  z.strictObject({ kind: z.literal('judged'), sheet: id, judges: z.array(z.enum(judgeKinds)).min(1) }),
  z.strictObject({ kind: z.literal('read') }),
  z.strictObject({ kind: z.literal('teach'), routine: sentence, runs: id.optional() }),
  z.strictObject({ kind: z.literal('body'), body: id, wants: z.enum(bodyWants) }),
])

export const override = z.strictObject({
  title: sentence,
  phase: z.enum(phases).optional(),
  place: id.optional(),
  car: car.optional(),
  minutes: threePoint.optional(),
  hands: z.literal([1, 2]).optional(),
  tools: z.array(id).optional(),
  figure: id.optional(),
  readings: z.array(reading).optional(),
  cautions: z.array(id).optional(),
  skill: sentence.optional(),
  aloneWay: sentence.optional(),
  needs: z.array(id).optional(),
  gives: z.array(id).optional(),
  ends: z.array(id).optional(),
  takesOff: counts.optional(),
  activity: activity.optional(),
  parts: counts.optional(),
  dirt: z.enum(['dirty', 'clean']).optional(),
  milestone: sentence.optional(),
  leaves: z.enum(['started', 'snug']).optional(),
  moreFigures: z.array(id).min(1).optional(),
  ...cleanliness,
})

export const refit = z.union([
  z.literal('none').transform((): RefitRule => ({ kind: 'none' })),
  z.strictObject({ by: id }).transform((value): RefitRule => ({ kind: 'by', operation: value.by })),
  override.transform((value): RefitRule => ({ kind: 'mirror', override: value })),
])

export const operation = z
  .strictObject({
    id,
    title: sentence,
    phase: z.enum(phases),
    place: id,
    car,
    minutes: threePoint,
    hands: z.literal([1, 2]).default(1),
    aloneWay: sentence.optional(),
    tools: z.array(id).default([]),
    needs: z.array(id).default([]),
    gives: z.array(id).default([]),
    ends: z.array(id).default([]),
    takesOff: counts.default({}),
    putsBack: counts.default({}),
    figure: id.optional(),
    readings: z.array(reading).default([]),
    cautions: z.array(id).default([]),
    skill: sentence.optional(),
    activity: activity.optional(),
    parts: counts.default({}),
    dirt: z.enum(['dirty', 'clean']).optional(),
    milestone: sentence.optional(),
    leaves: z.enum(['started', 'snug']).optional(),
    safety: z.boolean().optional(),
    whole: z.boolean().optional(),
    once: z.boolean().optional(),
    settles: z.array(id).min(1).max(6).optional(),
    ...cleanliness,
    moreFigures: z.array(id).min(1).optional(),
    when: when.default([]),
    refit: refit.default({ kind: 'none' }),
  })
  .refine(value => value.hands === 1 || value.aloneWay !== undefined, {
    path: ['aloneWay'],
    error: 'work for two hands names the way out for one',
  })
  .refine(value => value.refit.kind !== 'none' || value.phase !== 'strip' || Object.keys(value.takesOff).length === 0, {
    path: ['refit'],
    error: 'what the strip takes off needs a refit, or the step that puts it back',
  })
  .transform((value): OperationSource => value)
