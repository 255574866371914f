import { z } from 'zod'
import { EITHER_POSITION, itemStates, linkKinds, phases } from '../core/pack/kinds'
import { bayOf } from '../core/pack/bay'
import type { Bay } from '../core/pack/bay'
import { cautionSigns } from '../core/pack/things'
import { utcOffset } from './circumstances'
import { instant, key } from './common'
import { bay } from './pack-bay'
import { load } from './pack-loads'
import { surface } from './pack-surfaces'

/**
 * The work of a job and its plan, as a job file carries them. What a newer Eldrin added is let through; all that is counted, drawn or
 * walked through is held to sizes that a car can have.
 */

const id = key(200)
const text = z.string().max(4000)
const list = <T extends z.ZodType>(entry: T, most: number) =>
  z.array(entry).max(most, `No job has more than ${most} of these.`)
const minutes = z.number().min(-1e6).max(1e6)
const counts = z.record(id, z.number().int().min(0).max(200))
const threePoint = z.tuple([minutes, minutes, minutes])

const reading = z.discriminatedUnion('kind', [
  z.looseObject({ id, name: text, kind: z.literal('number'), unit: z.string().max(40), required: z.boolean() }),
  z.looseObject({
    id,
    name: text,
    kind: z.literal('choice'),
    choices: list(z.string().max(200), 40),
    required: z.boolean(),
  }),
])

const operation = z.looseObject({
  id,
  title: text,
  phase: z.enum(phases),
  place: id,
  car: id,
  minutes: threePoint,
  tools: list(id, 100),
  needs: list(id, 100),
  gives: list(id, 100),
  ends: list(id, 100),
  takesOff: counts,
  putsBack: counts,
  readings: list(reading, 60),
  cautions: list(id, 60),
  parts: counts,
})

const place = z.looseObject({ id, x: z.number().min(-2000).max(2000), y: z.number().min(-2000).max(2000) })
const group = z.looseObject({
  id,
  name: text,
  count: z.number().int().min(0).max(60, 'No group of a car has so many.'),
  part: z.enum(['vehicle', 'kit']),
  board: z.looseObject({ outline: id, places: list(place, 60) }).optional(),
})

const position = z.looseObject({
  to: id,
  title: text,
  minutes: threePoint,
  tools: list(id, 60),
  cautions: list(id, 60),
  takesOff: counts,
  workShare: z.number().min(0.3).max(3).optional(),
})

const sheet = z.looseObject({
  id,
  title: text,
  fields: list(z.looseObject({ id, name: text, kind: z.string().max(20) }), 200),
  judges: list(z.looseObject({}), 100),
})

const rung = z.looseObject({ id, title: text, text, tools: list(id, 60), parts: list(text, 60) })

const bench = z.looseObject({
  sheets: list(sheet, 200),
  orientations: list(z.looseObject({ id }), 200),
  oldParts: list(z.looseObject({ id }), 200),
  reachable: list(z.looseObject({ id, part: id }), 200),
})

const work = z.looseObject({
  packId: id,
  packVersion: z.number(),
  title: text,
  options: z.record(id, id),
  hands: z.union([z.literal(1), z.literal(2)]),
  operations: list(operation, 1000),
  links: list(
    z.looseObject({ before: id, after: id, kind: z.enum(linkKinds), because: text, waitMinutes: minutes }),
    10_000,
  ),
  items: list(z.looseObject({ id, name: text, state: z.enum(itemStates) }), 1000),
  loads: list(load, 60).optional(),
  surfaces: list(surface, 60).optional(),
  facts: list(z.looseObject({ id, name: text, because: text, kind: z.enum(linkKinds), initially: z.boolean() }), 500),
  groups: list(group, 200),
  parts: list(z.looseObject({ id, name: text }), 500),
  tools: list(z.looseObject({ id, name: text }), 1000),
  cautions: list(z.looseObject({ id, title: text, text, serious: z.boolean(), sign: z.enum(cautionSigns) }), 500),
  outlines: list(z.looseObject({ id, name: text }), 200),
  ladders: list(
    z.looseObject({
      id,
      title: text,
      perJob: z.number().min(0).max(5).optional(),
      when: list(text, 60),
      steps: list(id, 1000),
      everywhere: z.boolean(),
      rungs: list(rung, 60),
    }),
    200,
  ),
  positions: z.record(id, position),
  bay: bay.optional(),
  pace: z
    .strictObject({
      mean: z.number().min(-5).max(5),
      sigma: z.number().min(0).max(5),
      weight: z.number().min(0).max(1),
      n: z.number().int().min(0).max(1_000_000),
      troublesPerJob: z.number().min(0).max(100).optional(),
    })
    .optional(),
  bench,
  bleeding: list(z.looseObject({ id, title: text }), 60).optional(),
  closing: list(z.looseObject({ id, title: text, steps: list(id, 1000) }), 200),
  roadTest: list(z.looseObject({ id, title: text }), 200),
})

/** The work of a job, each step of it at a place and in a stance that its bay has. */
export const procedure = work.superRefine((value, context) => {
  const { places, stances } = bayOf(value as { bay?: Bay })
  for (const { id: stance } of stances)
    if (!Object.hasOwn(value.positions, stance))
      context.addIssue({
        code: 'custom',
        path: ['positions'],
        message: `Nothing says how the car comes to stand "${stance}".`,
      })
  const known = [...stances.map(stance => stance.id), EITHER_POSITION]
  for (const [index, entry] of value.operations.entries()) {
    if (!places.some(each => each.id === entry.place))
      context.addIssue({
        code: 'custom',
        path: ['operations', index, 'place'],
        message: `There is no place "${entry.place}" at this car.`,
      })
    if (!known.includes(entry.car))
      context.addIssue({
        code: 'custom',
        path: ['operations', index, 'car'],
        message: `This car never stands "${entry.car}".`,
      })
  }
})

const totals = z.looseObject({ minutes, closedMinutes: minutes })
const step = z.looseObject({
  id,
  kind: z.enum(['operation', 'raise', 'lower']),
  place: id,
  car: id,
  startMinutes: minutes,
  finishMinutes: minutes,
  setupMinutes: minutes,
  waitMinutes: minutes,
})
const trip = z.looseObject({
  place: id,
  car: id,
  stepIds: list(id, 1200),
  startMinutes: minutes,
  finishMinutes: minutes,
  minutes,
  tools: list(id, 1000),
})

export const plan = z.looseObject({
  order: list(id, 1200),
  steps: list(step, 1200),
  trips: list(trip, 1200),
  setting: z.looseObject({}),
  droppedPins: list(z.looseObject({}), 200),
  proven: z.boolean(),
  lowerBoundMinutes: minutes,
  totals,
  authored: totals,
})

export const clock = z.looseObject({ at: instant, minutes, utcOffsetMinutes: utcOffset })
