import { z } from 'zod'
import { book } from '../core/job/chapters'
import { payloads } from './events'
import { byServer } from './events/by-server'

interface JsonSchema {
  type?: string
  properties?: Record<string, JsonSchema>
  required?: string[]
  items?: JsonSchema
  enum?: unknown[]
  const?: unknown
  anyOf?: JsonSchema[]
  oneOf?: JsonSchema[]
}

/** The table of events in `docs/formats/events.md`: what each says, what it carries, and what the log does with it. */
export function eventTable(): string {
  const rows = Object.entries({ ...byServer, ...payloads }).map(([type, schema]) => {
    const kind = book.kinds[type] ?? null
    const allowed = (permission: unknown) =>
      permission === false ? '' : typeof permission === 'function' ? 'where it was asked for' : 'yes'
    return [
      `\`${type}\``,
      schema.description ?? '',
      fieldsOf(schema),
      type in byServer ? 'server' : 'device',
      kind === null || kind.undo ? 'yes' : '',
      kind === null ? 'yes' : allowed(kind.afterHandover),
    ]
  })
  const line = (cells: string[]) => `| ${cells.join(' | ')} |`
  return [
    line(['event', 'says', 'carries', 'written by', 'undo', 'after hand-over']),
    line(Array(6).fill('---')),
    ...rows.map(line),
  ].join('\n')
}

/** Fields of a payload with their kinds in a few words; `?` where one may be left out. */
function fieldsOf(schema: z.ZodType): string {
  const { properties = {}, required = [] } = z.toJSONSchema(schema, {
    io: 'input',
    unrepresentable: 'any',
  }) as JsonSchema
  return Object.entries(properties)
    .map(([name, field]) => `\`${name}${required.includes(name) ? '' : '?'}\` ${kindOfField(field)}`)
    .join(', ')
}

function kindOfField(field: JsonSchema): string {
  const either = field.anyOf ?? field.oneOf
  if (either) return [...new Set(either.map(kindOfField))].join(' or ')
  if (field.enum) return field.enum.map(value => `"${value}"`).join(' / ')
  if (field.const !== undefined) return `"${field.const}"`
  if (field.type === 'array') return `list of ${kindOfField(field.items ?? {})}`
  return { integer: 'whole number', boolean: 'yes or no', string: 'text' }[field.type ?? ''] ?? field.type ?? 'anything'
}
