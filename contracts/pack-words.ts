import { z } from 'zod'
import type { When } from '../core/pack/kinds'
import { isInherited } from './common'
import { speak } from './speak'

speak()

/** What every file of a pack is made of. */

export const id = z
  .string()
  .regex(/^[a-z0-9]+(?:[-.][a-z0-9]+)*$/, 'ids are lower case words joined by hyphens')
  .refine(text => !isInherited(text), 'nothing can be called that')
export const sentence = z.string({ error: 'a sentence is wanted' }).trim().min(3, 'a sentence is wanted')
export const choices = z.record(id, z.union([id.transform(choice => [choice]), z.array(id).min(1)]))
export const when = z.union([
  choices.transform((value): When => (Object.keys(value).length === 0 ? [] : [value])),
  z.array(choices),
])
