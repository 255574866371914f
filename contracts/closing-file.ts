import { z } from 'zod'
import { closingKinds } from '../core/pack/closing'
import type { ClosingCheck, RoadTask } from '../core/pack/closing'
import { id, sentence } from './pack-words'

export const closingCheck = z
  .strictObject({
    id,
    kind: z.enum(closingKinds),
    title: sentence,
    because: sentence,
    steps: z.array(id).default([]),
    good: z.string().min(1).optional(),
    bad: z.string().min(1).optional(),
    safety: z.boolean().optional(),
  })
  .refine(check => (check.kind !== 'steps' && check.kind !== 'codes') || check.steps.length > 0, {
    path: ['steps'],
    error: 'a check by steps names them',
  })
  .refine(check => (check.kind === 'hand') === (check.good !== undefined && check.bad !== undefined), {
    path: ['good'],
    error: 'a check by hand, and no other, says what good and bad are called',
  })
  .transform((value): ClosingCheck => value)

export const roadTask = z.strictObject({ id, title: sentence, say: sentence }).transform((value): RoadTask => value)

/** `packs/closing/*.yaml` */
export const closingFile = z.array(closingCheck).min(1)

/** `packs/road-tests/*.yaml` */
export const roadTestFile = z.array(roadTask).min(1)
