import { z } from 'zod'
import type { EventPayloads, EventType } from '../core/job/events'
import { benchPayloads } from './bench'
import { bleedPayloads } from './bleeding'
import { boltPayloads } from './bolts'
import { device, instant, key, odometer, uuid, words } from './common'

const stepId = key()
const id = key()
const pin = z.strictObject({ stepId, after: stepId.nullable() })

/** Minutes of the day from and to, and the weekdays worked, 0 for Sunday. */
export const workingHours = z.strictObject({
  fromMinute: z.number().int().min(0).max(1440),
  toMinute: z.number().int().min(0).max(1440),
  weekdays: z.array(z.number().int().min(0).max(6)).min(1, 'At least one day is worked.').max(7),
}).refine(hours => hours.toMinute - hours.fromMinute >= 15, { path: ['toMinute'], error: 'Working hours end after they begin.' })

/** What a job is planned for. */
export const circumstances = z.strictObject({
  helper: z.strictObject({ from: instant, to: instant }).nullable(),
  hours: workingHours.nullable(),
  arrivals: z.array(z.strictObject({ partId: id, at: instant })).max(60),
  pins: z.array(pin).max(200),
})

export const utcOffset = z.number().int().min(-840).max(840)

/** What only the server writes: opening a job, planning it, switching its options, what it asks of the supplier, and papers that leave the house. */
type ServerType = 'job-opened' | 'plan-made' | 'options-switched' | 'order-asked' | 'order-failed' | 'paper-issued'

/** What a device may post about a job. */
export const payloads = {
  'plan-changed': z.strictObject({ circumstances, order: z.array(stepId).max(400), at: instant, utcOffsetMinutes: utcOffset, lowerBoundMinutes: z.number().min(0), proven: z.boolean() }),
  'step-done': z.strictObject({ stepId }),
  'note-added': z.strictObject({ stepId: stepId.nullable(), text: words(2000) }),
  'reading-taken': z.strictObject({ stepId, readingId: id, value: z.union([z.number(), words(120)]), unit: z.string().max(12).nullable() }),
  'timer-started': z.strictObject({ stepId }),
  'timer-stopped': z.strictObject({ stepId }),
  'trouble-raised': z.strictObject({ troubleId: uuid, stepId: stepId.nullable(), text: words(1000), waitsFor: words(200).nullable(), until: instant.nullable() }),
  'trouble-cleared': z.strictObject({ troubleId: uuid, how: words(1000) }),
  ...boltPayloads,
  ...benchPayloads,
  ...bleedPayloads,
  'gear-tried': z.strictObject({ stepId, gear: key(4), result: z.enum(['clean', 'stiff', 'noisy', 'refuses']) }),
  'break-in-set': z.strictObject({ distanceKm: z.number().positive('The distance is above zero.').max(10_000, 'No break-in is that long. Check the unit.'), writtenAs: words(40), source: words(200), odometerKm: odometer }),
  'odometer-read': z.strictObject({ odometerKm: odometer, stopAndGo: z.number().min(0).max(1).optional(), hard: z.boolean().optional() }),
  'paid': z.strictObject({ amount: z.number().min(-1e6).max(1e6, 'No job costs that much.').refine(value => value !== 0, 'How much was it?'), how: words(120) }),
  'week-placed': z.strictObject({ site: z.enum(['bay', 'driveway']), travelMinutes: z.number().min(0).max(600, 'Nobody drives that long to a clutch.'), notBefore: instant.nullable() }),
  'comeback-noted': z.strictObject({ jobId: uuid, number: z.number().int().positive(), cause: words(200).nullable() }),
  'finding-noted': z.strictObject({ tableId: id, testId: id, outcome: id.nullable() }),
  'cause-found': z.strictObject({ tableId: id, causeId: id, title: words(200), text: z.string().trim().max(1000), findings: z.record(id, id) }),
  'check-made': z.strictObject({ checkId: id, good: z.boolean(), note: z.string().trim().max(300) }),
  'road-noted': z.strictObject({
    taskId: id, good: z.boolean(), text: z.string().trim().max(500), speedKmh: z.number().min(0).max(300, 'No road test is that quick.').optional(),
    gear: key(4).optional(), rpm: z.number().min(0).max(12_000, 'No engine turns that fast.').optional(),
  }),
  'caution-acknowledged': z.strictObject({ cautionIds: z.array(id).min(1).max(20) }),
  'entry-replaced': z.strictObject({ itemId: id, by: words(200) }),
  'left-open': z.strictObject({ entry: key(200), reason: words(300) }),
  'left-open-withdrawn': z.strictObject({ entry: key(200) }),
  'handed-over': z.strictObject({ to: words(120), odometerKm: odometer.nullable() }),
  'called-off': z.strictObject({ reason: words(300) }),
  'undone': z.strictObject({ eventId: uuid }),
} satisfies { [T in Exclude<EventType, ServerType>]: z.ZodType<EventPayloads[T]> }

export type PostableType = keyof typeof payloads

const envelope = { id: uuid, deviceId: device, deviceTime: instant, personId: uuid }

const postable = z.discriminatedUnion('type', Object.entries(payloads).map(([type, payload]) =>
  z.strictObject({ ...envelope, type: z.literal(type as PostableType), payload })) as never)

/** `POST /api/jobs/:id/events`; `sentAt` is the device's clock as it sends. */
export const postEvents = z.strictObject({ events: z.array(postable).min(1).max(200), sentAt: instant.optional() })

/** The server's answer: where each event stands in the log, and when it happened where the device's clock was wrong. */
export interface PostedEvents { accepted: { id: string, seq: number, deviceTime?: string, saidAt?: string }[] }
