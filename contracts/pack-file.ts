import { z } from 'zod'
import type { LayoutSource, ModuleSource, RenewalSource } from '../core/packs/shelf'
import type { When } from '../core/pack/kinds'
import type { Positioning, PlaceReached } from '../core/pack/operations'
import type { PackOption } from '../core/pack/options'
import type { Pack, PackModule } from '../core/pack/pack'
import { linkKinds, places } from '../core/pack/kinds'
import { cautionSigns } from '../core/pack/things'
import { benchPart } from './bench-file'
import { bleedWay } from './bleeding-file'
import { closingCheck, roadTask } from './closing-file'
import { drawingFile } from './drawing-file'
import { ladderFile } from './pack-ladder'
import { links } from './pack-links'
import { counts, operation, override, threePoint } from './pack-operation'
import { boltMap, item, outline } from './pack-things'
import { id, sentence, when } from './pack-words'

/** The files a pack is written in. Unknown keys are refused, so that a slip of the pen is not passed over. */

const moduleParts = {
  items: z.array(item).max(500, 'no car has so many things').default([]),
  facts: z
    .array(
      z.strictObject({
        id,
        name: sentence,
        because: sentence,
        kind: z.enum(linkKinds),
        initially: z.boolean().default(false),
        carStays: z.enum(['ground', 'raised']).optional(),
        guards: z.literal('pedal').optional(),
      }),
    )
    .default([]),
  groups: z
    .array(
      z.strictObject({
        id,
        name: sentence,
        count: z.number().int().min(1).max(24),
        part: z.enum(['vehicle', 'kit']),
        treatment: sentence.optional(),
        board: boltMap.optional(),
        safety: z.boolean().optional(),
        usualNm: z
          .tuple([z.number().positive(), z.number().positive()])
          .refine(([low, high]) => low < high, 'the usual figures rise from low to high')
          .optional(),
      }),
    )
    .default([]),
  parts: z.array(z.strictObject({ id, name: sentence, about: sentence.optional() })).default([]),
  assumes: z.record(id, id).default({}),
  links,
}

const { assumes: _assumes, ...wholeParts } = moduleParts
const wholeModule = z
  .strictObject({
    id,
    title: sentence,
    ...wholeParts,
    operations: z.array(operation).min(1).max(400, 'no module has so much work'),
  })
  .transform((value): PackModule => ({ ...value, assumes: {} }))

/** `packs/renewals/*.yaml` */
export const renewalFile = z
  .strictObject({
    id,
    title: sentence,
    sentence: sentence.regex(/…/, 'the sentence holds … where the choice stands'),
    left: sentence.default('left as it is'),
    ways: z.array(z.strictObject({ id, label: sentence, about: sentence.optional() })).min(1),
    goesWith: z.record(id, id).optional(),
    ...wholeParts,
    operations: z.array(operation).min(1).max(40, 'no part takes so much work'),
  })
  .transform((value): RenewalSource => ({ ...value, assumes: {} }))

const adjustments = z.strictObject({
  moves: z.partialRecord(z.enum(places), z.enum(places)).default({}),
  operations: z.record(id, override.partial()).default({}),
  facts: z.record(id, z.strictObject({ name: sentence.optional(), because: sentence.optional() })).default({}),
  items: z.record(id, z.strictObject({ name: sentence.optional(), goesTo: sentence.optional() })).default({}),
})

/** `packs/modules/*.yaml` */
export const moduleFile = z
  .strictObject({
    id,
    title: sentence,
    from: id.optional(),
    adjust: adjustments.default({ moves: {}, operations: {}, facts: {}, items: {} }),
    ...moduleParts,
    operations: z.array(operation).default([]),
  })
  .refine(value => value.from !== undefined || value.operations.length > 0, {
    path: ['operations'],
    error: 'a module without operations is made from another',
  })
  .transform((value): ModuleSource => value)

const positioning = z
  .strictObject({
    to: z.enum(['ground', 'raised']),
    title: sentence,
    minutes: threePoint,
    tools: z.array(id).default([]),
    cautions: z.array(id).default([]),
    takesOff: counts.default({}),
    when: when.default([]),
  })
  .transform((value): Positioning => value)

const option = z
  .strictObject({
    id,
    sentence: sentence.regex(/…/, 'the sentence holds … where the choice stands'),
    choices: z
      .array(z.strictObject({ id, label: sentence, about: sentence.optional(), hands: z.literal([1, 2]).optional() }))
      .min(2),
    default: id,
    school: z.boolean().default(false),
    renews: id.optional(),
  })
  .transform((value): PackOption => value)

const reach = z
  .strictObject({ place: z.enum(places), car: z.enum(['ground', 'raised']), when: when.default([]) })
  .transform((value): PlaceReached => value)

const layoutParts = {
  id,
  title: sentence,
  version: z.number().int().positive(),
  about: sentence,
  links,
}

/** `packs/layouts/*.yaml` */
export const layoutFile = z
  .strictObject({
    ...layoutParts,
    drawing: id.optional(),
    guides: z.record(id, z.record(id, z.number())).default({}),
    fixed: z.record(id, id).default({}),
    rank: z.number().int().default(100),
    modules: z
      .array(z.union([id.transform(each => ({ id: each, when: [] as When })), z.strictObject({ id, when })]))
      .min(1),
    options: z.array(z.union([id, option])).default([]),
  })
  .transform((value): LayoutSource => value)

/** `packs/options.yaml` */
export const optionsFile = z.array(option)

/** `packs/positions.yaml` */
export const positionsFile = z.strictObject({
  positions: z.array(positioning).min(2),
  reach: z.array(reach).default([]),
  items: z.array(item).default([]),
})

const drive = z.enum(['1/4', '3/8', '1/2', '3/4'])
const tool = z.strictObject({
  id,
  name: sentence,
  size: z.string().optional(),
  drive: drive.optional(),
  drives: drive.optional(),
})
const toolWord = z.strictObject({ word: z.string().min(2), tools: z.array(id).min(1) })
const caution = z.strictObject({
  id,
  title: sentence,
  text: sentence,
  serious: z.boolean().default(false),
  sign: z.enum(cautionSigns),
})

/** One file that holds a whole layout: what is exported, edited and imported. */
export const packFile = z
  .strictObject({
    ...layoutParts,
    options: z.array(option).max(60, 'nobody is asked so much').default([]),
    positions: z.array(positioning).min(2),
    reach: z.array(reach).default([]),
    items: z.array(item).default([]),
    tools: z.array(tool).default([]),
    toolWords: z.array(toolWord).optional(),
    cautions: z.array(caution).default([]),
    outlines: z.array(outline).default([]),
    ladders: z.array(ladderFile).default([]),
    bench: benchPart.default({ sheets: [], orientations: [], oldParts: [], reachable: [] }),
    bleeding: z.array(bleedWay).default([]),
    closing: z.array(closingCheck).default([]),
    roadTest: z.array(roadTask).default([]),
    drawing: drawingFile.optional(),
    modules: z.array(wholeModule).min(1).max(100, 'no layout has so many modules'),
  })
  .transform((value): Pack => value)

/** `packs/tools.yaml` */
export const toolsFile = z.array(tool)

/** `packs/tool-words.yaml` */
export const toolWordsFile = z.array(toolWord).min(1)

/** `packs/outlines.yaml` */
export const outlinesFile = z.array(outline)

/** `packs/cautions.yaml` */
export const cautionsFile = z.array(caution)

const word = z.union([z.string().transform(one => ({ one })), z.strictObject({ one: z.string(), many: z.string() })])

/** `packs/terms.yaml` */
export const termsFile = z.record(id, z.strictObject({ us: word, uk: word }))
