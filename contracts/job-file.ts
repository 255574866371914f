import { z } from 'zod'
import { JOB_FORMAT, JOB_FORMAT_VERSION } from '../core/formats/job-file'
import { device, HIGHEST_JOB_NUMBER, instant, key, uuid, words } from './common'
import { circumstances, payloads, utcOffset } from './events'
import { symptoms } from './jobs'

const id = key(200)
const procedure = z.looseObject({
  packId: id, packVersion: z.number(), title: z.string(), options: z.record(z.string(), z.string()), hands: z.union([z.literal(1), z.literal(2)]),
  operations: z.array(z.looseObject({
    id, title: z.string(), phase: z.string(), place: z.string(), car: z.string(), minutes: z.array(z.number()).length(3), tools: z.array(z.string()), needs: z.array(z.string()), gives: z.array(z.string()), ends: z.array(z.string()),
    takesOff: z.record(z.string(), z.number()), putsBack: z.record(z.string(), z.number()), readings: z.array(z.looseObject({ id })), cautions: z.array(z.string()), parts: z.record(z.string(), z.number()),
  })),
  links: z.array(z.looseObject({ before: id, after: id, kind: z.string(), because: z.string(), waitMinutes: z.number() })),
  items: z.array(z.looseObject({ id })), facts: z.array(z.looseObject({ id })), groups: z.array(z.looseObject({ id })), parts: z.array(z.looseObject({ id })),
  tools: z.array(z.looseObject({ id })), cautions: z.array(z.looseObject({ id })), outlines: z.array(z.looseObject({ id })), ladders: z.array(z.looseObject({ id })),
  positions: z.looseObject({ raised: z.looseObject({}), ground: z.looseObject({}) }), bench: z.looseObject({ sheets: z.array(z.looseObject({ id })) }),
})
const plan = z.looseObject({ order: z.array(id), steps: z.array(z.looseObject({ id, startMinutes: z.number(), finishMinutes: z.number() })), totals: z.looseObject({ minutes: z.number() }) })
const clock = z.looseObject({ at: instant, minutes: z.number(), utcOffsetMinutes: utcOffset })

/** What only the server writes into a log. */
const opened = {
  'job-opened': z.strictObject({
    number: z.number().int().positive().max(HIGHEST_JOB_NUMBER, 'No garage has had so many jobs.'), numberThere: z.number().int().positive().max(HIGHEST_JOB_NUMBER).optional(),
    vehicle: z.strictObject({ id: uuid, name: words(80), make: words(60), model: words(60), year: z.number().int(), customer: words(120), gears: z.array(z.string().min(1).max(3)).min(2) }),
    complaint: z.strictObject({ symptoms: z.array(z.enum(symptoms)), text: z.string().max(2000) }),
    pumpTest: z.strictObject({ result: z.enum(['not-done', 'no-change', 'rises']), strokes: z.number().nullable() }), odometerKm: z.number().nullable(),
  }),
  'plan-made': z.strictObject({ procedure, plan, circumstances: circumstances.optional(), clock: clock.optional() }),
  'options-switched': z.strictObject({ procedure, plan, circumstances, clock }),
  'order-asked': z.strictObject({ orderId: uuid, partId: id, count: z.number().int().min(1).max(200) }),
  'order-failed': z.strictObject({ orderId: uuid, because: words(300) }),
}

const event = z.discriminatedUnion('type', Object.entries({ ...opened, ...payloads }).map(([type, payload]) => z.strictObject({
  id: uuid, jobId: uuid, seq: z.number().int().positive(), deviceId: device, deviceTime: instant, saidAt: instant.optional(), personId: uuid, type: z.literal(type), payload,
})) as never)

/** One job as a file; the published schema follows from this. */
export const jobFile = z.strictObject({
  format: z.literal(JOB_FORMAT), version: z.literal(JOB_FORMAT_VERSION), exportedAt: instant,
  people: z.array(z.strictObject({ id: uuid, name: words(120) })).min(1).max(100, 'No job was worked on by so many.'), events: z.array(event).min(1).max(20_000, 'No job has so many events.'),
})
