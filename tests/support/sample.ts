import type { ZodType } from 'zod'

interface Def {
  type: string
  innerType?: ZodType
  element?: ZodType
  shape?: Record<string, ZodType>
  options?: ZodType[]
  values?: unknown[]
  entries?: Record<string, unknown>
  keyType?: ZodType
  valueType?: ZodType
  items?: ZodType[]
  in?: ZodType
  checks?: { _zod: { def: { check: string; minimum?: number; value?: number; format?: string } } }[]
  format?: string
}

/**
 * Some value of the shape a schema asks for, optional fields filled: enough to carry text to every place that takes text.
 * Refinements are not looked at, so that a value may still be refused.
 */
export function sampleOf(schema: ZodType): unknown {
  const def = schema._zod.def as unknown as Def
  const least = def.checks
    ?.map(check => check._zod.def)
    .find(check => check.check === 'min_length' || check.check === 'greater_than')
  switch (def.type) {
    case 'string':
      return sampleText(def, least?.minimum ?? 1)
    case 'number':
      return Math.max(1, Number(least?.value ?? 1))
    case 'boolean':
      return true
    case 'null':
    case 'unknown':
      return null
    case 'literal':
      return def.values![0]
    case 'enum':
      return Object.values(def.entries!)[0]
    case 'array':
      return Array.from({ length: Math.max(1, least?.minimum ?? 1) }, () => sampleOf(def.element!))
    case 'tuple':
      return def.items!.map(sampleOf)
    case 'object':
      return Object.fromEntries(Object.entries(def.shape!).map(([key, inner]) => [key, sampleOf(inner)]))
    case 'record':
      return { [String(sampleOf(def.keyType!))]: sampleOf(def.valueType!) }
    case 'union':
      return sampleOf(def.options![0]!)
    case 'nullable':
    case 'optional':
    case 'default':
    case 'nonoptional':
      return sampleOf(def.innerType!)
    case 'pipe':
      return sampleOf(def.in!)
    default:
      throw new Error(`no sample of ${def.type}`)
  }
}

function sampleText(def: Def, least: number): string {
  const format = def.format ?? def.checks?.map(check => check._zod.def.format).find(Boolean)
  if (format === 'uuid') return '0a7cf6f2-3a0b-4c35-8f43-7c1a0a7d1101'
  if (format === 'datetime') return '2026-03-02T08:00:00.000Z'
  if (format === 'date') return '2026-03-02'
  return 'x'.repeat(Math.max(1, least))
}

/** Every way to put one text in the place of one text of a value, or of one key that is no field of a schema. */
export function* withText(value: unknown, text: string): Generator<unknown> {
  if (typeof value === 'string') yield text
  else if (Array.isArray(value)) {
    for (const [index, entry] of value.entries())
      for (const changed of withText(entry, text)) yield value.with(index, changed)
  } else if (value !== null && typeof value === 'object') {
    for (const [key, entry] of Object.entries(value)) {
      for (const changed of withText(entry, text)) yield { ...value, [key]: changed }
      const { [key]: _moved, ...rest } = value as Record<string, unknown>
      yield JSON.parse(
        `${JSON.stringify(rest).slice(0, -1)}${Object.keys(rest).length > 0 ? ',' : ''}${JSON.stringify(text)}:${JSON.stringify(entry)}}`,
      )
    }
  }
}
