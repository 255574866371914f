import { z } from 'zod'
import type { Cleanliness, Surface } from '../core/pack/surfaces'
import { id, sentence } from './pack-words'

/** What has to be clean, wetted or shut, and what a step does to it. */

export const surface = z.strictObject({
  id,
  name: sentence,
  because: sentence,
  once: z.boolean().optional(),
}) satisfies z.ZodType<Surface>

const some = z.array(id).max(12).optional()
export const cleanliness = { soils: some, washes: some, wantsClean: some, wantsShut: some } satisfies Record<
  keyof Cleanliness,
  z.ZodType
>
