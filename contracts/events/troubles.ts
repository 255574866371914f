import { z } from 'zod'
import { ladderEnds, rungOutcomes } from '../../core/job/chapters/troubles/ladders'
import type { TroubleEvents } from '../../core/job/chapters/troubles'
import { instant, key, uuid, words } from '../common'
import type { Contract } from './contract'

const id = key()

export const troubles = {
  'trouble-raised': z
    .strictObject({
      troubleId: uuid,
      stepId: id.nullable(),
      text: words(1000),
      waitsFor: words(200).nullable(),
      until: instant.nullable(),
      group: id.optional(),
      itemId: id.optional(),
    })
    .describe(
      'Something is wrong, with a step, a group of bolts or a thing; what the job waits for because of it, and until when, where that is known.',
    ),
  'trouble-cleared': z.strictObject({ troubleId: uuid, how: words(1000) }).describe('It is right again, and how.'),
  'ladder-opened': z
    .strictObject({
      ladderRunId: uuid,
      ladderId: id,
      stepId: id.nullable(),
      text: words(500),
      about: words(200).optional(),
      bolt: z.strictObject({ group: id, boltId: key(60) }).optional(),
    })
    .describe('A trouble is taken up a ladder. `about` says which one it is, `bolt` which bolt of a board.'),
  'rung-begun': z
    .strictObject({ ladderRunId: uuid, rungId: id, ticked: z.array(words(200)).max(20) })
    .describe('A rung is tried. Refused while another is open, or while a precaution of hot work is not ticked.'),
  'rung-ended': z
    .strictObject({ ladderRunId: uuid, rungId: id, outcome: z.enum(rungOutcomes), note: words(500).nullable() })
    .describe('How a rung went.'),
  'ladder-left': z
    .strictObject({
      ladderRunId: uuid,
      end: z.enum(ladderEnds),
      waitsFor: words(200),
      until: instant.nullable(),
      minutes: z.number().min(0).max(100_000, 'No car waits that long for a bolt.'),
    })
    .describe('No rung helped: who or what does, from when, and how many minutes of work that is here.'),
} satisfies Contract<TroubleEvents>
