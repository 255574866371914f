import type { ZodType } from 'zod'
import { Refused } from './refused'

/** How many faults of one body are told. */
const TOLD = 50

/** A value of a schema. @throws Refused with the path of each fault */
export function checked<T>(value: unknown, schema: ZodType<T>, status = 422): T {
  const result = schema.safeParse(value)
  if (result.success) return result.data
  throw new Refused(
    status,
    result.error.issues.slice(0, TOLD).map(issue => ({ path: pathText(issue.path), reason: issue.message })),
  )
}

function pathText(path: PropertyKey[]): string {
  return path.reduce<string>(
    (text, part) => (typeof part === 'number' ? `${text}[${part}]` : text ? `${text}.${String(part)}` : String(part)),
    '',
  )
}
