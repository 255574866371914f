import { z } from 'zod'
import type { UnforeseenEvents } from '../../core/job/chapters/unforeseen'
import { itemStates, phases } from '../../core/pack/kinds'
import { utcOffset } from '../circumstances'
import { instant, key, words } from '../common'
import type { Contract } from './contract'

const MOST = 20
const minutes = z.number().min(1, 'One minute at least.').max(600, 'A step takes ten hours at most.')
const ids = z.array(key()).max(MOST)

export const unforeseen = {
  'step-added': z
    .strictObject({
      stepId: key(),
      title: words(120),
      phase: z.enum(phases),
      place: key(),
      car: key(),
      minutes,
      tools: ids,
      cautions: ids,
      takesOff: z
        .array(
          z.strictObject({
            id: key(),
            name: words(80),
            count: z.int().min(1).max(60),
            state: z.enum(itemStates),
            isFastener: z.boolean(),
          }),
        )
        .max(MOST),
      after: ids,
      before: ids,
      refit: z.strictObject({ title: words(120), minutes }).nullable(),
      at: instant,
      utcOffsetMinutes: utcOffset,
    })
    .describe(
      'A step that the layout does not hold, with what it takes off; `refit` undoes it. It stands in the plan from now, directly before what it is in the way of.',
    ),
  'step-split': z
    .strictObject({
      stepId: key(),
      firstId: key(),
      first: z.strictObject({ title: words(120), minutes }),
      rest: z.strictObject({ title: words(120), minutes }),
      at: instant,
      utcOffsetMinutes: utcOffset,
    })
    .describe('A step is done in two goes; what it does to the car, the rest does.'),
  'step-left-out': z
    .strictObject({ stepId: key(), reason: words(200), at: instant, utcOffsetMinutes: utcOffset })
    .describe(
      'A step of the layout that this car has no use for, and why: it and the step that undoes it leave the plan; what it would have brought about holds.',
    ),
} satisfies Contract<UnforeseenEvents>
