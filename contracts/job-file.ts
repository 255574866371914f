import { z } from 'zod'
import { JOB_FORMAT, JOB_FORMAT_VERSION } from '../core/formats/job-file'
import { device, instant, uuid, words } from './common'
import { payloads } from './events'
import { byServer } from './events/by-server'

const envelope = {
  id: uuid,
  jobId: uuid,
  seq: z.number().int().positive(),
  deviceId: device,
  deviceTime: instant,
  saidAt: instant.optional(),
  personId: uuid,
  late: z.literal(true).optional(),
}

const event = z.discriminatedUnion(
  'type',
  Object.entries({ ...byServer, ...payloads }).map(([type, payload]) =>
    z.strictObject({ ...envelope, type: z.literal(type), payload }),
  ) as never,
)

/** One job as a file; the published schema follows from this. */
export const jobFile = z.strictObject({
  format: z.literal(JOB_FORMAT),
  version: z.literal(JOB_FORMAT_VERSION),
  exportedAt: instant,
  people: z
    .array(z.strictObject({ id: uuid, name: words(120) }))
    .min(1)
    .max(100, 'No job was worked on by so many.'),
  events: z.array(event).min(1).max(20_000, 'No job has so many events.'),
})
