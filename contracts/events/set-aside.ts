import { z } from 'zod'
import type { SetAsideEvents } from '../../core/job/chapters/set-aside'
import { device, instant, uuid, words } from '../common'
import type { Contract } from './contract'

/** What an act said may be large; what is far beyond any act is none. */
const MOST_CHARACTERS = 200_000

const act = z.strictObject({
  id: uuid,
  type: z.string().min(1).max(60),
  payload: z.unknown().refine(payload => (JSON.stringify(payload) ?? '').length <= MOST_CHARACTERS, {
    error: 'No act says so much.',
  }),
  deviceId: device,
  deviceTime: instant,
  personId: uuid,
})

export const setAside = {
  'act-set-aside': z
    .strictObject({ act, reason: words(500), settled: z.literal(true).optional() })
    .describe(
      'An act that could not count any more when it arrived: somebody was there before, or the job had gone another way. Settled where nothing is left to do about it.',
    ),
  'aside-ended': z
    .strictObject({ actId: uuid, how: z.enum(['taken-up', 'put-away']) })
    .describe('What became of an act set aside: done anew as another act, or put away.'),
} satisfies Contract<SetAsideEvents>
