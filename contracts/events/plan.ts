import { z } from 'zod'
import type { PlanEvents } from '../../core/job/chapters/plan'
import { circumstances, utcOffset } from '../circumstances'
import { instant, key } from '../common'
import { clock, plan as planOfJob, procedure } from '../procedure-file'
import type { Contract } from './contract'
import { decided } from './renewals'

export const planByServer = {
  'plan-made': z
    .strictObject({ procedure, plan: planOfJob, circumstances: circumstances.optional(), clock: clock.optional() })
    .describe('The work and its order. It carries the whole procedure, so that a layout edited later changes no job.'),
  'options-switched': z
    .strictObject({ procedure, plan: planOfJob, circumstances, clock, decided: decided.optional() })
    .describe(
      'Another way of doing it, planned on from the steps done; `decided` says which parts are renewed or left by it. Refused when something done has no place in the other way.',
    ),
} satisfies Record<'plan-made' | 'options-switched', z.ZodType>

export const plan = {
  'plan-changed': z
    .strictObject({
      circumstances,
      order: z.array(key()).max(400),
      at: instant,
      utcOffsetMinutes: utcOffset,
      lowerBoundMinutes: z.number().min(0),
      proven: z.boolean(),
    })
    .describe(
      'The same work in another order, or under other circumstances. `order` holds the operations not yet done; one that breaks a link is refused with the link’s because.',
    ),
  'plan-proven': z
    .strictObject({ order: z.array(key()).max(500), minutes: z.number().min(0), lowerBoundMinutes: z.number().min(0) })
    .describe(
      'What was proven of a plan after it was made: no order of this work takes fewer minutes. `order` holds its operations. It says nothing of a plan whose `order` or `minutes` are others by now.',
    ),
  'week-placed': z
    .strictObject({
      site: z.enum(['bay', 'driveway']),
      travelMinutes: z.number().min(0).max(600, 'Nobody drives that long to a clutch.'),
      notBefore: instant.nullable(),
    })
    .describe('Where the car stands, how far that is, and until when it is put off.'),
  promised: z
    .strictObject({ at: instant.nullable() })
    .describe('When the customer was told it would be done; `null` takes that back.'),
} satisfies Contract<Omit<PlanEvents, keyof typeof planByServer>>
