import { z } from 'zod'
import type { EventPayloads } from '../../core/job'
import { device, instant, uuid } from '../common'
import { again } from './again'
import { bench } from './bench'
import { bleeding } from './bleeding'
import { bodies } from './bodies'
import { bolts } from './bolts'
import { breakIn } from './break-in'
import { candidates } from './candidates'
import { cautions } from './cautions'
import type { Contract } from './contract'
import { controller } from './controller'
import { diagnosis } from './diagnosis'
import { handed } from './handed'
import { handOver } from './hand-over'
import { mating } from './mating'
import { money } from './money'
import { orders } from './orders'
import { plan } from './plan'
import { proving } from './proving'
import { renewals } from './renewals'
import type { ServerType } from './by-server'
import { setAside } from './set-aside'
import { steps } from './steps'
import { takenOver } from './taken-over'
import { tightening } from './tightening'
import { troubles } from './troubles'
import { unforeseen } from './unforeseen'

/** What a device may post about a job, chapter by chapter. */
export const payloads = {
  ...plan,
  ...steps,
  ...handed,
  ...unforeseen,
  ...again,
  ...takenOver,
  ...troubles,
  ...bolts,
  ...bodies,
  ...tightening,
  ...bench,
  ...candidates,
  ...renewals,
  ...orders,
  ...bleeding,
  ...mating,
  ...cautions,
  ...proving,
  ...controller,
  ...diagnosis,
  ...breakIn,
  ...money,
  ...handOver,
  ...setAside,
  undone: z.strictObject({ eventId: uuid }).describe('Takes an act back: the last one that still counts, or an undo.'),
} satisfies Contract<Omit<EventPayloads, ServerType>>

export type PostableType = keyof typeof payloads

const envelope = { id: uuid, deviceId: device, deviceTime: instant, personId: uuid }

const postable = z.discriminatedUnion(
  'type',
  Object.entries(payloads).map(([type, payload]) =>
    z.strictObject({ ...envelope, type: z.literal(type as PostableType), payload }),
  ) as never,
)

/** `POST /api/jobs/:id/events`; `sentAt` is the device's clock as it sends. */
export const postEvents = z.strictObject({ events: z.array(postable).min(1).max(200), sentAt: instant.optional() })

/** The server's answer: where each event stands in the log, and when it happened where the device's clock was wrong. */
export interface PostedEvents {
  accepted: { id: string; seq: number; deviceTime?: string; saidAt?: string }[]
}
