import { z } from 'zod'
import { judgeKinds, levels, sheetDrawings, sheetUnits } from '../core/pack/sheets'
import type { BenchData, Mating, OldPart, Orientation, ReachablePart, Sheet, SheetField } from '../core/pack/sheets'
import { key } from './common'
import { id, sentence, when } from './pack-words'

/** The files of the bench: sheets, what can go in the wrong way, old parts that are kept, parts in reach. */

const answer = z
  .strictObject({
    id,
    label: sentence,
    says: z.enum(levels),
    because: sentence.optional(),
    ignored: sentence.optional(),
    renews: z.array(id).optional(),
  })
  .refine(value => value.says === 'good' || value.because !== undefined, {
    path: ['because'],
    error: 'an answer that says watch or renew says why',
  })

const onlyIf = z.strictObject({ field: id, is: z.array(id).min(1) })
const head = {
  id,
  name: sentence,
  about: sentence.optional(),
  when: when.default([]),
  steps: z.array(id).min(1).optional(),
  if: onlyIf.optional(),
  reading: z.strictObject({ step: id, id }).optional(),
  live: z.strictObject({ value: id, of: z.enum(['low', 'high']).optional() }).optional(),
}
const bounds = { unit: z.enum(sheetUnits), low: z.number(), high: z.number() }

const field = z
  .discriminatedUnion('kind', [
    z.strictObject({ ...head, kind: z.literal('number'), ...bounds, guide: z.number().optional() }),
    z.strictObject({
      ...head,
      kind: z.literal('points'),
      ...bounds,
      atLeast: z.number().int().min(1).max(12),
      places: z.array(sentence).optional(),
    }),
    z.strictObject({ ...head, kind: z.literal('dial') }),
    z.strictObject({ ...head, kind: z.literal('choice'), answers: z.array(answer).min(2) }),
    z.strictObject({ ...head, kind: z.literal('text') }),
  ])
  .refine(value => !('low' in value) || value.low < value.high, { path: ['low'], error: 'low lies below high' })
  .refine(
    value =>
      value.kind !== 'number' || value.guide === undefined || (value.guide >= value.low && value.guide <= value.high),
    { path: ['guide'], error: 'the guide lies between low and high' },
  )
  .transform((value): SheetField => value)

const share = z.number().min(0).max(1)
const school = { id, label: sentence, because: sentence }

const judge = z.strictObject({
  kind: z.enum(judgeKinds),
  inputs: z.record(z.string(), id),
  of: sentence.optional(),
  ignored: sentence.optional(),
  renews: z.array(id).optional(),
  when: when.default([]),
  if: onlyIf.optional(),
})

const figureOfJudge = { judge: z.enum(judgeKinds), figure: sentence }

const beside = z.strictObject({
  title: sentence,
  one: sentence,
  steps: z.array(id).min(1).optional(),
  own: z.array(id).min(1),
  more: z
    .strictObject({ fields: z.array(field).default([]), judges: z.array(judge).default([]) })
    .default({ fields: [], judges: [] }),
  also: z.strictObject({ sheet: id, put: z.record(key(), z.union([id, z.strictObject(figureOfJudge)])) }).optional(),
  least: z.strictObject({ ...figureOfJudge, words: sentence }),
})

const sheet = z
  .strictObject({
    id,
    title: sentence,
    row: z.enum(['measure', 'centre', 'handle', 'pedal', 'control']),
    drawing: z.enum(sheetDrawings),
    draws: z.record(key(), id).optional(),
    steps: z.array(id).min(1),
    when: when.default([]),
    look: z.array(sentence).default([]),
    fields: z.array(field).min(1),
    judges: z.array(judge).default([]),
    schools: z.array(z.strictObject(school)).default([]),
    ways: z
      .strictObject({
        option: id,
        choices: z
          .array(
            z.strictObject({
              choice: id,
              label: sentence,
              parts: z.array(id).default([]),
              chance: z.strictObject({ good: share, watch: share, renew: share }),
              because: sentence,
              closedIf: onlyIf.extend({ because: sentence }).optional(),
              closedBy: z.enum(judgeKinds).optional(),
            }),
          )
          .min(2),
      })
      .optional(),
    beside: beside.optional(),
  })
  .transform((value): Sheet => value)

const orientation = z
  .strictObject({
    id,
    name: sentence,
    sides: z.array(sentence).min(1),
    about: sentence,
    off: z.array(id).default([]),
    back: z.array(id).default([]),
  })
  .transform((value): Orientation => value)

const oldPart = z
  .strictObject({ id, name: sentence, because: sentence, off: z.array(id).min(1), until: z.array(id).min(1) })
  .transform((value): OldPart => value)

const reachable = z
  .strictObject({
    id,
    name: sentence,
    part: id,
    option: z
      .strictObject({
        id,
        choice: id,
        others: z.array(id).min(1).optional(),
        left: id.optional(),
        goesWith: z.record(id, id).optional(),
        steps: z.array(id).min(1),
      })
      .optional(),
    reachedBy: z.array(id).min(1),
    minutes: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0)]),
    chance: z.number().min(0).max(1),
    goesInNew: z.boolean().optional(),
    because: sentence,
    sheets: z.array(id).default([]),
    schools: z.array(z.strictObject({ ...school, advice: z.enum(['renew', 'leave']) })).default([]),
  })
  .transform((value): ReachablePart => value)

const judgeList = z.array(z.enum(judgeKinds)).min(1)
const one = (value: Record<string, unknown>, keys: string[]) => keys.filter(key => value[key] !== undefined).length

const mating = z
  .strictObject({
    step: id,
    gap: z.strictObject({ reading: id, closed: sentence, open: sentence }),
    approach: z.array(sentence).min(1),
    checks: z.array(
      z
        .strictObject({
          id,
          title: sentence,
          because: sentence,
          done: id.optional(),
          reading: z.strictObject({ step: id, id, good: z.array(sentence).min(1) }).optional(),
          sheet: z.strictObject({ id, judges: judgeList }).optional(),
          answer: z.strictObject({ sheet: id, field: id, good: z.array(id).min(1) }).optional(),
        })
        .refine(
          check => one(check, ['reading', 'sheet', 'answer', 'done']) > 0,
          'a check says what it looks at: a reading, a sheet, an answer or a step',
        ),
    ),
    causes: z
      .array(
        z.strictObject({
          id,
          title: sentence,
          prior: z.number().positive().max(1),
          even: z.number().positive().max(20),
          tilted: z.number().positive().max(20),
          todo: sentence,
          signs: z
            .array(
              z
                .strictObject({
                  reading: z.strictObject({ step: id, id, is: z.array(sentence).min(1) }).optional(),
                  sheet: z.strictObject({ id, judges: judgeList, levels: z.array(z.enum(levels)).min(1) }).optional(),
                  answer: z.strictObject({ sheet: id, field: id, is: z.array(id).min(1) }).optional(),
                  notMeasured: id.optional(),
                  notDone: id.optional(),
                  factor: z.number().positive().max(50),
                  because: sentence,
                })
                .refine(
                  sign => one(sign, ['reading', 'sheet', 'answer', 'notMeasured', 'notDone']) === 1,
                  'a sign looks at one thing',
                ),
            )
            .default([]),
        }),
      )
      .min(2),
  })
  .transform((value): Mating => value)

/** The bench of a whole layout, as it stands in a pack file. */
export const benchPart = z
  .strictObject({
    sheets: z.array(sheet).default([]),
    orientations: z.array(orientation).default([]),
    oldParts: z.array(oldPart).default([]),
    reachable: z.array(reachable).default([]),
    mating: mating.optional(),
  })
  .transform((value): BenchData => value)

/** `packs/sheets/*.yaml` */
export const sheetFile = sheet

/** `packs/orientations.yaml` */
export const orientationsFile = z.array(orientation)

/** `packs/old-parts.yaml` */
export const oldPartsFile = z.array(oldPart)

/** `packs/mating/*.yaml` */
export const matingFile = mating

/** `packs/reachable.yaml` */
export const reachableFile = z.array(reachable)
