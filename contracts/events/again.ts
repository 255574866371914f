import { z } from 'zod'
import type { AgainEvents } from '../../core/job/chapters/again'
import { utcOffset } from '../circumstances'
import { instant, key, uuid, words } from '../common'
import type { Contract } from './contract'

const ids = z.array(key(300)).max(400)

export const again = {
  'apart-again': z
    .strictObject({
      againId: key(80),
      stepId: key(),
      because: words(300),
      troubleId: uuid.nullable(),
      opens: ids,
      repeats: ids,
      away: z
        .strictObject({
          to: words(120),
          wayMinutes: z.number().min(0).max(600, 'Ten hours one way at most.'),
          until: instant.nullable(),
        })
        .nullable(),
      parts: z
        .array(
          z.strictObject({ partId: key(), name: words(120), count: z.int().min(1).max(60), until: instant.nullable() }),
        )
        .max(20),
      at: instant,
      utcOffsetMinutes: utcOffset,
      asItStands: z.literal(true).optional(),
    })
    .describe(
      'A step is done anew: `opens` come off once more, `repeats` count as not done; what of it is worked on elsewhere, and what it needs new, come as arrivals of the plan. `asItStands`: what hangs at that moment is held first, nothing comes before what stands on the floor is away, and nothing flies before what gapes is shut.',
    ),
} satisfies Contract<AgainEvents>
