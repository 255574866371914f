import { z } from 'zod'
import { paperKinds } from '../core/job/chapters/money/paper-doc'
import { issuedKinds } from '../core/job/chapters/money/issued-papers'
import { device, instant, uuid } from './common'

/** `POST /api/jobs/:id/papers`: the id becomes the paper's and the event's. */
export const newPaper = z.strictObject({
  id: uuid,
  kind: z.enum(issuedKinds),
  /** The paper it stands in place of. */ corrects: uuid.nullable(),
  personId: uuid,
  deviceId: device,
  at: instant,
})
export type NewPaper = z.infer<typeof newPaper>

const line = z.string().max(4000)
const table = z.strictObject({
  head: z.array(line).max(12),
  rows: z.array(z.array(line).max(12)).max(600),
  right: z.array(z.number().int().min(0).max(12)).max(12),
  whole: z.array(z.number().int().min(0).max(12)).max(12).optional(),
  sums: z.number().int().min(0).max(600).optional(),
})
const paper = z.strictObject({
  kind: z.enum(paperKinds),
  title: line,
  facts: z
    .array(z.tuple([line, line]))
    .min(1)
    .max(40),
  sections: z
    .array(
      z.strictObject({
        title: line,
        lines: z.array(line).max(400).optional(),
        table: table.optional(),
        caution: z.boolean().optional(),
      }),
    )
    .max(60),
})

/** A paper as the log holds it. */
export const issuedPaper = z.strictObject({
  paperId: uuid,
  kind: z.enum(issuedKinds),
  number: z.number().int().min(1).max(9_999_999),
  issuedOn: z.iso.date(),
  garageId: uuid,
  corrects: uuid.nullable(),
  letterhead: z.strictObject({ name: line, town: line, address: line }),
  size: z.enum(['a4', 'letter']),
  paper,
})
