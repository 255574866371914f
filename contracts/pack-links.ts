import { z } from 'zod'
import { linkKinds } from '../core/pack/kinds'
import type { LinkSource } from '../core/pack/operations'
import { id, sentence, when } from './pack-words'

const ends = z.union([id.transform(one => [one]), z.array(id).min(1)])

/** A link, or the same reason between several steps at once. */
const link = z
  .strictObject({
    before: ends,
    after: ends,
    kind: z.enum(linkKinds),
    because: sentence,
    wait: z.number().positive().max(20_000, 'nothing of a car waits that long').optional(),
    atOnce: z.boolean().optional(),
    school: sentence.optional(),
    when: when.default([]),
    mirror: z.boolean().optional(),
    mirrorBecause: sentence.optional(),
  })
  .transform(({ before, after, wait, mirror, ...rest }): LinkSource[] =>
    before.flatMap(one =>
      after.map(other => ({
        before: one,
        after: other,
        ...rest,
        ...(wait ? { waitMinutes: wait } : {}),
        mirror: mirror ?? (rest.kind === 'physical' || rest.kind === 'access'),
      })),
    ),
  )
export const links = z
  .array(link)
  .max(2000, 'no layout has so many links')
  .default([])
  .transform(list => list.flat())
