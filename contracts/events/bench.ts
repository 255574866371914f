import { z } from 'zod'
import type { BenchEvents } from '../../core/job/chapters/bench'
import { key, words } from '../common'
import type { Contract } from './contract'

const id = key()
const entry = z.strictObject({ entered: z.string().trim().max(40), value: z.number().min(-1e6).max(1e6).nullable() })
const dialEntry = entry.extend({ angleDeg: z.number().min(-720).max(720).nullable() })

const fieldValue = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('number'), entry }),
  z.strictObject({ kind: z.literal('points'), entries: z.array(entry).min(1).max(24) }),
  z.strictObject({ kind: z.literal('dial'), entries: z.array(dialEntry).min(1).max(80) }),
  z.strictObject({ kind: z.literal('choice'), answer: id }),
  z.strictObject({ kind: z.literal('text'), text: words(300) }),
])

/** What stands in fields of a sheet. */
export const fieldValues = z.record(id, fieldValue)

export const bench = {
  'sheet-read': z
    .strictObject({ sheetId: id, values: fieldValues, cleared: z.array(id).max(60) })
    .refine(({ values, cleared }) => Object.keys(values).length + cleared.length > 0, {
      path: ['values'],
      error: 'Nothing is entered.',
    })
    .describe(
      'Fields of a sheet, each as it was typed and as it was read; those in `cleared` are emptied, those not named stay.',
    ),
  'orientation-noted': z
    .strictObject({ partId: id, side: words(120), mark: z.string().trim().max(120), photo: words(120).nullable() })
    .describe('Which way a part lay when it came off.'),
  'orientation-confirmed': z.strictObject({ partId: id }).describe('It goes back the same way.'),
  'old-part-gone': z
    .strictObject({ partId: id, where: words(120) })
    .describe('An old part leaves the shelf. Refused until the steps of its `until` are done.'),
} satisfies Contract<BenchEvents>
