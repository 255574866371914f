import { z } from 'zod'
import type { ProvingEvents } from '../../core/job/chapters/proving'
import { key } from '../common'
import type { Contract } from './contract'

export const proving = {
  'gear-tried': z
    .strictObject({ stepId: key(), gear: key(4), result: z.enum(['clean', 'stiff', 'noisy', 'refuses']) })
    .describe('How a gear went in.'),
  'check-made': z
    .strictObject({ checkId: key(), good: z.boolean(), note: z.string().trim().max(300) })
    .describe('A closing check by hand; all others follow from the log.'),
  'road-noted': z
    .strictObject({
      taskId: key(),
      good: z.boolean(),
      text: z.string().trim().max(500),
      speedKmh: z.number().min(0).max(300, 'No road test is that quick.').optional(),
      gear: key(4).optional(),
      rpm: z.number().min(0).max(12_000, 'No engine turns that fast.').optional(),
    })
    .describe('What a task of the road test showed; speed, gear and revs belong to a noise that was heard.'),
} satisfies Contract<ProvingEvents>
