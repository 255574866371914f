import { z } from 'zod'
import type { RenewalEvents } from '../../core/job/chapters/renewals'
import { key, words } from '../common'
import { money } from '../money'
import type { Contract } from './contract'

const id = key()
const share = z.number().min(0, 'A chance lies between 0 and 1.').max(1, 'A chance lies between 0 and 1.')
const minutes = z.number().min(0).max(100_000)
const way = z.strictObject({
  id,
  money,
  finishMinutes: z.number().min(-100_000).max(100_000),
  chance: share,
  closed: words(300).nullable(),
})

/** What is decided of parts in reach, and why. */
export const decided = z.strictObject({
  decisions: z
    .array(z.strictObject({ partId: id, decision: z.enum(['renew', 'leave']) }))
    .min(1)
    .max(60),
  because: words(300),
})

export const renewals = {
  'renewal-weighed': z
    .strictObject({
      partId: id,
      partCost: money.nullable(),
      minutesNow: minutes.nullable(),
      minutesLater: minutes.nullable(),
      chance: share,
      comebackCost: money,
      newFails: share.optional(),
      yearsLater: z.number().min(0).max(50).optional(),
    })
    .describe(
      'What is put into the question whether a part is renewed while it is open; `null` leaves what Eldrin found.',
    ),
  'renewal-decided': decided.describe('Parts in reach that are renewed now, or left.'),
  'way-chosen': z
    .strictObject({ option: id, choice: id, because: words(300), ways: z.array(way).min(1).max(8) })
    .describe('Machine, keep or buy: what was chosen, and what lay side by side.'),
  'entry-replaced': z
    .strictObject({ itemId: id, by: words(200) })
    .describe(
      'What goes back in place of an old thing is a new one. A step that puts back what is used once is refused without it.',
    ),
} satisfies Contract<RenewalEvents>
