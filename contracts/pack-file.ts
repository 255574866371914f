import { z } from 'zod'
import type { LayoutSource, ModuleSource, RenewalSource } from '../core/packs/shelf'
import type { Control } from '../core/pack/control'
import type { When } from '../core/pack/kinds'
import { guards } from '../core/pack/operations'
import type { Positioning, PlaceReached } from '../core/pack/operations'
import type { PackOption } from '../core/pack/options'
import type { Pack, PackModule } from '../core/pack/pack'
import { itemStates, linkKinds } from '../core/pack/kinds'
import type { BaySource } from '../core/pack/bay'
import { heavyRuns } from '../core/pack/fasteners'
import { cautionSigns } from '../core/pack/things'
import { benchPart } from './bench-file'
import { bleedWay } from './bleeding-file'
import { closingCheck, roadTask } from './closing-file'
import { drawingFile } from './drawing-file'
import { ladderFile } from './pack-ladder'
import { links } from './pack-links'
import { counts, operation, override, threePoint } from './pack-operation'
import { body } from './pack-bodies'
import { foot, load } from './pack-loads'
import { surface } from './pack-surfaces'
import { boltMap, item, outline } from './pack-things'
import { bay, bayParts } from './pack-bay'
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
        carStays: id.optional(),
        guards: z.enum(guards).optional(),
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
        runs: z.enum(heavyRuns).optional(),
      }),
    )
    .default([]),
  parts: z.array(z.strictObject({ id, name: sentence, about: sentence.optional() })).default([]),
  bodies: z.array(body).min(1).max(4).optional(),
  loads: z.array(load).min(1).max(12).optional(),
  surfaces: z.array(surface).min(1).max(12).optional(),
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
  moves: z.record(id, id).default({}),
  operations: z.record(id, override.partial()).default({}),
  facts: z.record(id, z.strictObject({ name: sentence.optional(), because: sentence.optional() })).default({}),
  items: z
    .record(id, z.strictObject({ name: sentence.optional(), goesTo: sentence.optional(), foot: foot.optional() }))
    .default({}),
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
    to: id,
    title: sentence,
    minutes: threePoint,
    tools: z.array(id).default([]),
    cautions: z.array(id).default([]),
    takesOff: counts.default({}),
    workShare: z.number().min(0.3).max(3).optional(),
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

const reach = z.strictObject({ place: id, car: id, when: when.default([]) }).transform((value): PlaceReached => value)

const control = z
  .strictObject({
    name: z.string().min(1).max(7, 'one short word, beside six others on a phone'),
    title: sentence,
    about: sentence,
    pedal: z.literal(true).optional(),
    steps: z.array(id).default([]),
    gentle: z.array(sentence).min(1),
    recheck: z.strictObject({ title: sentence, about: sentence }),
  })
  .transform((value): Control => value)

/** `packs/controls/*.yaml` */
export const controlFile = control

const layoutParts = {
  id,
  title: sentence,
  version: z.number().int().positive(),
  about: sentence,
  family: sentence.optional(),
  links,
}

/** `packs/layouts/*.yaml` */
export const layoutFile = z
  .strictObject({
    ...layoutParts,
    drawing: id.optional(),
    uses: z.strictObject({
      closing: id,
      roadTest: id.optional(),
      mating: id.optional(),
      bleeding: id.optional(),
      control: id.optional(),
      bay: id.default('car'),
      causes: z.array(id).min(1),
    }),
    guides: z.record(id, z.record(id, z.number())).default({}),
    fixed: z.record(id, id).default({}),
    defaults: z.record(id, id).optional(),
    rank: z.number().int().default(100),
    modules: z
      .array(z.union([id.transform(each => ({ id: each, when: [] as When })), z.strictObject({ id, when })]))
      .min(1),
    options: z.array(z.union([id, option])).default([]),
  })
  .transform((value): LayoutSource => value)

/** `packs/options.yaml` */
export const optionsFile = z.array(option)

/** `packs/bays/*.yaml` */
export const bayFile = z
  .strictObject({
    ...bayParts,
    positions: z.array(positioning).min(2),
    reach: z.array(reach).default([]),
    items: z.array(item).default([]),
  })
  .transform((value): BaySource => value)

const drive = z.enum(['1/4', '3/8', '1/2', '3/4'])
const tool = z
  .strictObject({
    id,
    name: sentence,
    size: z.string().optional(),
    drive: drive.optional(),
    drives: drive.optional(),
    without: z
      .strictObject({ minutes: z.number().min(0).max(600), because: sentence, risk: sentence.optional() })
      .optional(),
    needed: sentence.optional(),
  })
  .refine(value => !(value.without && value.needed), {
    path: ['needed'],
    error: 'a tool is done without, or it is not',
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
    causes: z.array(id).min(1).optional(),
    symptoms: z
      .array(z.strictObject({ id, label: sentence }))
      .min(1)
      .max(40, 'nobody reads so many')
      .optional(),
    control: control.optional(),
    drawing: drawingFile.optional(),
    bay: bay.optional(),
    modules: z.array(wholeModule).min(1).max(100, 'no layout has so many modules'),
  })
  .transform((value): Pack => value)

/** `packs/tools.yaml` */
export const toolsFile = z.array(tool)

/** `packs/found-things.yaml`: the first is offered first. */
export const foundThingsFile = z
  .array(
    z.strictObject({
      id,
      label: sentence,
      name: z.string().max(80),
      state: z.enum(itemStates),
      minutes: z.number().positive().max(600),
    }),
  )
  .min(1)
  .refine(things => new Set(things.map(thing => thing.id)).size === things.length, 'an id stands twice')

/** `packs/tool-words.yaml` */
export const toolWordsFile = z.array(toolWord).min(1)

/** `packs/outlines.yaml` */
export const outlinesFile = z.array(outline)

/** `packs/cautions.yaml` */
export const cautionsFile = z.array(caution)

const word = z.union([z.string().transform(one => ({ one })), z.strictObject({ one: z.string(), many: z.string() })])

/** `packs/terms.yaml` */
export const termsFile = z.record(id, z.strictObject({ us: word, uk: word }))
