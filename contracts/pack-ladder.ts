import { z } from 'zod'
import { id, sentence } from './pack-words'

/** `packs/ladders/*.yaml`: ways out of a trouble, the gentlest first. */
export const ladderFile = z
  .strictObject({
    id,
    title: sentence,
    perJob: z.number().min(0).max(5).optional(),
    when: z.array(sentence).default([]),
    asks: sentence.optional(),
    steps: z.array(id).default([]),
    with: z.array(id).min(1).optional(),
    everywhere: z.boolean().default(false),
    cautions: z.array(id).default([]),
    rungs: z
      .array(
        z
          .strictObject({
            id,
            with: z.array(id).min(1).optional(),
            title: sentence,
            text: sentence,
            minutes: z.number().positive().max(600).optional(),
            tools: z.array(id).default([]),
            parts: z.array(sentence).default([]),
            risk: sentence.optional(),
            hurts: sentence.optional(),
            cost: sentence.optional(),
            hot: z.boolean().optional(),
            precautions: z.array(sentence).min(1).optional(),
            waits: z.boolean().optional(),
            board: z.boolean().optional(),
            gap: z.boolean().optional(),
          })
          .refine(rung => !rung.hot || rung.precautions !== undefined, {
            path: ['precautions'],
            error: 'hot work names what has to be ticked before it',
          }),
      )
      .min(1),
  })
  .refine(value => value.everywhere || value.when.length + value.steps.length > 0, {
    path: ['steps'],
    error: 'a ladder says where it stands: when, steps or everywhere',
  })
