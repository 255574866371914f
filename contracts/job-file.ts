import { z } from 'zod'
import { JOB_FORMAT, JOB_FORMAT_VERSION } from '../core/formats/job-file'
import { device, HIGHEST_JOB_NUMBER, instant, key, uuid, words } from './common'
import { circumstances, payloads } from './events'
import { symptoms } from './jobs'
import { issuedPaper } from './papers'
import { clock, plan, procedure } from './procedure-file'

const id = key(200)
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
  'paper-issued': issuedPaper,
}

const event = z.discriminatedUnion('type', Object.entries({ ...opened, ...payloads }).map(([type, payload]) => z.strictObject({
  id: uuid, jobId: uuid, seq: z.number().int().positive(), deviceId: device, deviceTime: instant, saidAt: instant.optional(), personId: uuid, type: z.literal(type), payload,
})) as never)

/** One job as a file; the published schema follows from this. */
export const jobFile = z.strictObject({
  format: z.literal(JOB_FORMAT), version: z.literal(JOB_FORMAT_VERSION), exportedAt: instant,
  people: z.array(z.strictObject({ id: uuid, name: words(120) })).min(1).max(100, 'No job was worked on by so many.'), events: z.array(event).min(1).max(20_000, 'No job has so many events.'),
})
