import type { Choices } from '../pack/kinds'
import type { OperationSource } from '../pack/operations'
import type { PackOption } from '../pack/options'
import type { BadAnswer, ReadingSpec } from '../pack/readings'

/** What a layout has, by id. */
export interface Known {
  options: PackOption[]
  fixed: Record<string, string>
  parts: Set<string>
  ladders: Set<string>
  sheets: Set<string>
}

/**
 * An operation whose bad answers name only what the layout has. An answer that the layout's fixed choices deal with
 * anyhow is watched and no longer bad.
 */
export function knownAnswers(operation: OperationSource, known: Known): OperationSource {
  const { refit } = operation
  return {
    ...operation,
    readings: operation.readings.map(spec => knownReading(spec, known)),
    ...(refit.kind === 'mirror' && refit.override.readings
      ? {
          refit: {
            kind: 'mirror',
            override: { ...refit.override, readings: refit.override.readings.map(spec => knownReading(spec, known)) },
          },
        }
      : {}),
  }
}

function knownReading(spec: ReadingSpec, known: Known): ReadingSpec {
  if (spec.kind !== 'choice' || !spec.bad) return spec
  const entries = Object.entries(spec.bad).map(([answer, bad]): [string, BadAnswer | null] => [
    answer,
    knownAnswer(bad, known),
  ])
  const settled = entries.filter(([, bad]) => bad === null).map(([answer]) => answer)
  const { bad: _bad, ...rest } = spec
  const left = entries.filter((entry): entry is [string, BadAnswer] => entry[1] !== null)
  return {
    ...rest,
    ...(settled.length ? { watch: [...(spec.watch ?? []), ...settled] } : {}),
    ...(left.length ? { bad: Object.fromEntries(left) } : {}),
  }
}

function knownAnswer({ options, renews, ladder, sheet, because }: BadAnswer, known: Known): BadAnswer | null {
  if (Object.entries(options ?? {}).some(([id, choices]) => choices.includes(known.fixed[id] ?? ''))) return null
  const offered: Choices = {}
  for (const [id, choices] of Object.entries(options ?? {})) {
    const left = choices.filter(choice =>
      known.options.find(option => option.id === id)?.choices.some(entry => entry.id === choice),
    )
    if (left.length > 0) offered[id] = left
  }
  const parts = (renews ?? []).filter(part => known.parts.has(part))
  return {
    because,
    ...(Object.keys(offered).length ? { options: offered } : {}),
    ...(parts.length && parts.length === renews?.length ? { renews: parts } : {}),
    ...(ladder !== undefined && known.ladders.has(ladder) ? { ladder } : {}),
    ...(sheet !== undefined && known.sheets.has(sheet) ? { sheet } : {}),
  }
}
