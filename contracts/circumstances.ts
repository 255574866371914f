import { z } from 'zod'
import { MOST_TRAY } from '../core/sequence/instance'
import { skills } from '../core/sequence/types'
import { instant, key } from './common'

const pin = z.strictObject({ stepId: key(), after: key().nullable() })

/** Minutes of the day from and to, and the weekdays worked, 0 for Sunday. */
export const workingHours = z
  .strictObject({
    fromMinute: z.number().int().min(0).max(1440),
    toMinute: z.number().int().min(0).max(1440),
    weekdays: z.array(z.number().int().min(0).max(6)).min(1, 'At least one day is worked.').max(7),
  })
  .refine(hours => hours.toMinute - hours.fromMinute >= 15, {
    path: ['toMinute'],
    error: 'Working hours end after they begin.',
  })

const trayTools = z
  .number()
  .int('A whole number of tools.')
  .min(0)
  .max(MOST_TRAY, 'No tray holds that many.')
  .optional()

/** What a job is planned for. */
export const circumstances = z.strictObject({
  helper: z.strictObject({ from: instant, to: instant }).nullable(),
  hours: workingHours.nullable(),
  arrivals: z.array(z.strictObject({ partId: key(), at: instant })).max(60),
  pins: z.array(pin).max(200),
  without: z.array(key()).max(60).optional(),
  trayTools,
  skill: z.enum(skills).optional(),
})

export const utcOffset = z.number().int().min(-840).max(840)
