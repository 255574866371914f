import { z } from 'zod'
import type { LayoutSource, ModuleSource } from '../core/packs/assemble-pack'
import type { LinkSource, OperationSource, Pack, PackModule, PackOption, Positioning, Reach, RefitRule, When } from '../core/packs/types'
import { cautionSigns, drawnParts, itemStates, linkKinds, phases, places } from '../core/packs/types'
import { bleedWay } from './bleeding-file'
import { closingCheck, roadTask } from './closing-file'
import { benchPart } from './bench-file'
import { drawingFile } from './drawing-file'
import { id, sentence, when } from './pack-words'

/** The files a pack is written in. Unknown keys are refused, so that a slip of the pen is not passed over. */

/** No piece of work of a car takes longer, in minutes. */
const workMinutes = z.number().positive().max(6000, 'no piece of work takes that long')
const threePoint = z.tuple([workMinutes, workMinutes, workMinutes])
  .refine(([low, likely, high]) => low <= likely && likely <= high, 'low, likely and high minutes in rising order')
const counts = z.record(id, z.number().int().positive().max(200, 'no car has so many'))
const car = z.enum(['ground', 'raised', 'either'])

const badAnswer = z.strictObject({ because: sentence, options: z.record(id, z.array(id).min(1)).optional(), renews: z.array(id).min(1).optional(), ladder: id.optional(), sheet: id.optional() })

const reading = z.discriminatedUnion('kind', [
  z.strictObject({ id, name: sentence, kind: z.literal('number'), unit: z.string(), required: z.boolean().default(false), low: z.number().optional(), high: z.number().optional(), about: sentence.optional() }),
  z.strictObject({
    id, name: sentence, kind: z.literal('choice'), choices: z.array(z.string()).min(2), required: z.boolean().default(false), about: sentence.optional(),
    stops: z.array(z.string()).optional(), bad: z.record(z.string(), badAnswer).optional(), watch: z.array(z.string()).optional(),
  })
    .refine(spec => (spec.stops ?? []).every(stop => spec.choices.includes(stop)), { path: ['stops'], error: 'stops are among the choices' })
    .refine(spec => Object.keys(spec.bad ?? {}).every(answer => spec.choices.includes(answer)), { path: ['bad'], error: 'bad answers are among the choices' })
    .refine(spec => (spec.watch ?? []).every(answer => spec.choices.includes(answer)), { path: ['watch'], error: 'watched answers are among the choices' }),
])

const activity = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('tighten'), group: id }),
  z.strictObject({ kind: z.literal('bleed'), way: id.optional(), strokesPerRound: z.number().int().min(5).max(100).optional(), restMinutes: z.number().int().min(1).max(1440).optional(), deliveredShare: z.number().min(0).max(1).optional() })
    .refine(value => value.way !== undefined || (value.strokesPerRound !== undefined && value.restMinutes !== undefined), { path: ['way'], error: 'a bleeding names its way, or its strokes and its rest' }),
  z.strictObject({ kind: z.literal('gears'), engine: z.enum(['off', 'running']) }),
])

const override = z.strictObject({
  title: sentence,
  phase: z.enum(phases).optional(),
  place: z.enum(places).optional(),
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
})

const refit = z.union([
  z.literal('none').transform((): RefitRule => ({ kind: 'none' })),
  z.strictObject({ by: id }).transform((value): RefitRule => ({ kind: 'by', operation: value.by })),
  override.transform((value): RefitRule => ({ kind: 'mirror', override: value })),
])

const operation = z.strictObject({
  id,
  title: sentence,
  phase: z.enum(phases),
  place: z.enum(places),
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
  moreFigures: z.array(id).min(1).optional(),
  when: when.default([]),
  refit: refit.default({ kind: 'none' }),
})
  .refine(value => value.hands === 1 || value.aloneWay !== undefined, { path: ['aloneWay'], error: 'work for two hands names the way out for one' })
  .refine(value => value.refit.kind !== 'none' || value.phase !== 'strip' || Object.keys(value.takesOff).length === 0,
    { path: ['refit'], error: 'what the strip takes off needs a refit, or the step that puts it back' })
  .transform((value): OperationSource => value)

const ends = z.union([id.transform(one => [one]), z.array(id).min(1)])

/** A link, or the same reason between several steps at once. */
const link = z.strictObject({
  before: ends,
  after: ends,
  kind: z.enum(linkKinds),
  because: sentence,
  wait: z.number().positive().max(20_000, 'nothing of a car waits that long').optional(),
  atOnce: z.boolean().optional(),
  school: sentence.optional(),
  when: when.default([]),
  mirror: z.boolean().optional(),
  mirrorBecause: sentence.optional(),
}).transform(({ before, after, wait, mirror, ...rest }): LinkSource[] => before.flatMap(one => after.map(other => ({
  before: one, after: other, ...rest,
  ...(wait ? { waitMinutes: wait } : {}),
  mirror: mirror ?? (rest.kind === 'physical' || rest.kind === 'access'),
}))))
const links = z.array(link).max(2000, 'no layout has so many links').default([]).transform(list => list.flat())

const item = z.strictObject({
  id, name: sentence, state: z.enum(itemStates), goesTo: sentence.optional(), part: z.enum(drawnParts).optional(), singleUse: sentence.optional(),
  group: id.optional(), hand: z.boolean().optional(), newPart: id.optional(), safety: z.boolean().optional(),
}).refine(value => !(value.group && value.hand), { path: ['hand'], error: 'fasteners of a group have a figure; by hand is for those without' })

const millimetres = z.number().min(-900, 'a part of a car is not that wide').max(900, 'a part of a car is not that wide')

const boltMap = z.strictObject({
  outline: id,
  clearFor: id.optional(),
  places: z.array(z.strictObject({ id, x: millimetres, y: millimetres, offWith: id.optional(), from: z.enum(['box', 'engine']).optional(), holds: sentence.optional() })).min(1).max(40),
})

const outline = z.strictObject({
  id, name: sentence,
  points: z.array(z.tuple([millimetres, millimetres])).min(3).max(80).optional(),
  smooth: z.boolean().optional(),
  circleMm: z.number().positive().max(900).optional(),
  marks: z.array(z.strictObject({ name: sentence, x: millimetres, y: millimetres, radiusMm: z.number().positive().max(400) })).default([]),
}).refine(shape => (shape.points === undefined) !== (shape.circleMm === undefined), 'an outline is a line of points or a circle, one of the two')

const ladder = z.strictObject({
  id, title: sentence,
  when: z.array(sentence).default([]),
  asks: sentence.optional(),
  steps: z.array(id).default([]),
  everywhere: z.boolean().default(false),
  cautions: z.array(id).default([]),
  rungs: z.array(z.strictObject({
    id, title: sentence, text: sentence, minutes: z.number().positive().max(600).optional(), tools: z.array(id).default([]), parts: z.array(sentence).default([]),
    risk: sentence.optional(), hurts: sentence.optional(), cost: sentence.optional(), hot: z.boolean().optional(), precautions: z.array(sentence).min(1).optional(),
    waits: z.boolean().optional(), board: z.boolean().optional(), gap: z.boolean().optional(),
  }).refine(rung => !rung.hot || rung.precautions !== undefined, { path: ['precautions'], error: 'hot work names what has to be ticked before it' })).min(1),
}).refine(value => value.everywhere || value.when.length + value.steps.length > 0, { path: ['steps'], error: 'a ladder says where it stands: when, steps or everywhere' })

const moduleParts = {
  items: z.array(item).max(500, 'no car has so many things').default([]),
  facts: z.array(z.strictObject({
    id, name: sentence, because: sentence, kind: z.enum(linkKinds),
    initially: z.boolean().default(false), carStays: z.enum(['ground', 'raised']).optional(), guards: z.literal('pedal').optional(),
  })).default([]),
  groups: z.array(z.strictObject({
    id, name: sentence, count: z.number().int().min(1).max(24), part: z.enum(['vehicle', 'kit']), treatment: sentence.optional(), board: boltMap.optional(),
    safety: z.boolean().optional(), usualNm: z.tuple([z.number().positive(), z.number().positive()]).refine(([low, high]) => low < high, 'the usual figures rise from low to high').optional(),
  })).default([]),
  parts: z.array(z.strictObject({ id, name: sentence, about: sentence.optional() })).default([]),
  assumes: z.record(id, id).default({}),
  links,
}

const { assumes: _assumes, ...wholeParts } = moduleParts
const wholeModule = z.strictObject({ id, title: sentence, ...wholeParts, operations: z.array(operation).min(1).max(400, 'no module has so much work') }).transform((value): PackModule => ({ ...value, assumes: {} }))

const adjustments = z.strictObject({
  moves: z.partialRecord(z.enum(places), z.enum(places)).default({}),
  operations: z.record(id, override.partial()).default({}),
  facts: z.record(id, z.strictObject({ name: sentence.optional(), because: sentence.optional() })).default({}),
  items: z.record(id, z.strictObject({ name: sentence.optional(), goesTo: sentence.optional() })).default({}),
})

/** `packs/modules/*.yaml` */
export const moduleFile = z.strictObject({
  id,
  title: sentence,
  from: id.optional(),
  adjust: adjustments.default({ moves: {}, operations: {}, facts: {}, items: {} }),
  ...moduleParts,
  operations: z.array(operation).default([]),
})
  .refine(value => value.from !== undefined || value.operations.length > 0, { path: ['operations'], error: 'a module without operations is made from another' })
  .transform((value): ModuleSource => value)

const positioning = z.strictObject({
  to: z.enum(['ground', 'raised']), title: sentence, minutes: threePoint,
  tools: z.array(id).default([]), cautions: z.array(id).default([]), takesOff: counts.default({}), when: when.default([]),
}).transform((value): Positioning => value)

const option = z.strictObject({
  id,
  sentence: sentence.regex(/…/, 'the sentence holds … where the choice stands'),
  choices: z.array(z.strictObject({ id, label: sentence, about: sentence.optional(), hands: z.literal([1, 2]).optional() })).min(2),
  default: id,
  school: z.boolean().default(false),
}).transform((value): PackOption => value)

const reach = z.strictObject({ place: z.enum(places), car: z.enum(['ground', 'raised']), when: when.default([]) }).transform((value): Reach => value)

const layoutParts = {
  id,
  title: sentence,
  version: z.number().int().positive(),
  about: sentence,
  links,
}

/** `packs/layouts/*.yaml` */
export const layoutFile = z.strictObject({
  ...layoutParts,
  drawing: id.optional(),
  guides: z.record(id, z.record(id, z.number())).default({}),
  fixed: z.record(id, id).default({}),
  rank: z.number().int().default(100),
  modules: z.array(z.union([id.transform(each => ({ id: each, when: [] as When })), z.strictObject({ id, when })])).min(1),
  options: z.array(z.union([id, option])).default([]),
}).transform((value): LayoutSource => value)

/** `packs/options.yaml` */
export const optionsFile = z.array(option)

/** `packs/positions.yaml` */
export const positionsFile = z.strictObject({ positions: z.array(positioning).min(2), reach: z.array(reach).default([]), items: z.array(item).default([]) })

const drive = z.enum(['1/4', '3/8', '1/2', '3/4'])
const tool = z.strictObject({ id, name: sentence, size: z.string().optional(), drive: drive.optional(), drives: drive.optional() })
const toolWord = z.strictObject({ word: z.string().min(2), tools: z.array(id).min(1) })
const caution = z.strictObject({ id, title: sentence, text: sentence, serious: z.boolean().default(false), sign: z.enum(cautionSigns) })

/** One file that holds a whole layout: what is exported, edited and imported. */
export const packFile = z.strictObject({
  ...layoutParts,
  options: z.array(option).max(60, 'nobody is asked so much').default([]),
  positions: z.array(positioning).min(2),
  reach: z.array(reach).default([]),
  items: z.array(item).default([]),
  tools: z.array(tool).default([]),
  toolWords: z.array(toolWord).optional(),
  cautions: z.array(caution).default([]),
  outlines: z.array(outline).default([]),
  ladders: z.array(ladder).default([]),
  bench: benchPart.default({ sheets: [], orientations: [], oldParts: [], reachable: [] }),
  bleeding: z.array(bleedWay).default([]),
  closing: z.array(closingCheck).default([]),
  roadTest: z.array(roadTask).default([]),
  drawing: drawingFile.optional(),
  modules: z.array(wholeModule).min(1).max(100, 'no layout has so many modules'),
}).transform((value): Pack => value)

/** `packs/tools.yaml` */
export const toolsFile = z.array(tool)

/** `packs/tool-words.yaml` */
export const toolWordsFile = z.array(toolWord).min(1)

/** `packs/outlines.yaml` */
export const outlinesFile = z.array(outline)

/** `packs/ladders/*.yaml` */
export const ladderFile = ladder

/** `packs/cautions.yaml` */
export const cautionsFile = z.array(caution)

const word = z.union([z.string().transform(one => ({ one })), z.strictObject({ one: z.string(), many: z.string() })])

/** `packs/terms.yaml` */
export const termsFile = z.record(id, z.strictObject({ us: word, uk: word }))
