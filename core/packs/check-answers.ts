import type { PackFault } from './check-pack'
import type { Pack } from '../pack/pack'
import type { ReadingSpec } from '../pack/readings'

/** Words that no good answer bears. */
const BAD_WORDS =
  /\b(cracked|crack|bent|missing|differs|wet|slips|judders?|rough|loose|play|damaged|ratcheted|crooked|soft|sinking|leaks?|wept|torn|warped|oily|will not|drags|not as ordered|not yet|off its mark|a run|a drip|a gap)\b/i

/**
 * Answers that are not good and bring nothing about: every answer of a choice is good, or it stops its step, has a consequence
 * of its own, or is said to be watched and no more. Bad answers name options, parts, ladders and sheets that there are.
 */
export function checkAnswers(pack: Pack): PackFault[] {
  return [
    ...readingsOf(pack).flatMap(({ path, spec }) => (spec.kind === 'choice' ? faultsOf(pack, path, spec) : [])),
    ...sheetFaults(pack),
  ]
}

function readingsOf(pack: Pack): { path: string; spec: ReadingSpec }[] {
  return pack.modules.flatMap(module =>
    module.operations.flatMap(operation => {
      const path = `modules[${module.id}].operations[${operation.id}]`
      const override = operation.refit.kind === 'mirror' ? (operation.refit.override.readings ?? []) : []
      return [...operation.readings, ...override].map(spec => ({ path: `${path}.readings[${spec.id}]`, spec }))
    }),
  )
}

function faultsOf(pack: Pack, path: string, spec: Extract<ReadingSpec, { kind: 'choice' }>): PackFault[] {
  const known = new Set([...(spec.stops ?? []), ...Object.keys(spec.bad ?? {}), ...(spec.watch ?? [])])
  const mute = spec.choices.filter(answer => BAD_WORDS.test(answer) && !known.has(answer))
  return [
    ...mute.map(answer => ({
      path,
      reason: `"${answer}" is no good answer: it stops the step, has a consequence, or is watched`,
    })),
    ...(known.size === spec.choices.length ? [{ path, reason: 'no answer is good' }] : []),
    ...Object.entries(spec.bad ?? {}).flatMap(([answer, bad]) => unknownWays(pack, `${path}.bad[${answer}]`, bad)),
  ]
}

function unknownWays(
  pack: Pack,
  path: string,
  { options, renews, ladder, sheet }: NonNullable<Extract<ReadingSpec, { kind: 'choice' }>['bad']>[string],
): PackFault[] {
  const parts = new Set([
    ...pack.modules.flatMap(module => module.parts.map(part => part.id)),
    ...pack.bench.reachable.map(entry => entry.part),
  ])
  const faults: PackFault[] = []
  for (const [id, choices] of Object.entries(options ?? {})) {
    const option = pack.options.find(entry => entry.id === id)
    if (!option) faults.push({ path, reason: `unknown option "${id}"` })
    for (const choice of choices)
      if (option && !option.choices.some(entry => entry.id === choice))
        faults.push({ path, reason: `unknown choice of ${id} "${choice}"` })
  }
  for (const part of renews ?? []) if (!parts.has(part)) faults.push({ path, reason: `unknown part "${part}"` })
  if (ladder !== undefined && !pack.ladders.some(entry => entry.id === ladder))
    faults.push({ path, reason: `unknown ladder "${ladder}"` })
  if (sheet !== undefined && !pack.bench.sheets.some(entry => entry.id === sheet))
    faults.push({ path, reason: `unknown sheet "${sheet}"` })
  return faults
}

/** What a sheet calls bad says what happens when it is ignored: somebody may have to answer for that. A reading that is the same thing calls it bad too. */
function sheetFaults(pack: Pack): PackFault[] {
  const readings = new Map(
    pack.modules.flatMap(module =>
      module.operations.flatMap(operation => [
        ...operation.readings.map((spec): [string, ReadingSpec] => [`${operation.id} ${spec.id}`, spec]),
        ...(operation.refit.kind === 'mirror'
          ? (operation.refit.override.readings ?? []).map((spec): [string, ReadingSpec] => [
              `${operation.id}.refit ${spec.id}`,
              spec,
            ])
          : []),
      ]),
    ),
  )
  return pack.bench.sheets.flatMap(sheet =>
    sheet.fields.flatMap((field): PackFault[] => {
      if (field.kind !== 'choice') return []
      const path = `bench.sheets[${sheet.id}].fields[${field.id}]`
      const spec = field.reading && readings.get(`${field.reading.step} ${field.reading.id}`)
      return field.answers.flatMap(({ id, label, says, ignored }): PackFault[] => {
        if (says !== 'renew') return []
        if (!ignored)
          return [{ path: `${path}.answers[${id}]`, reason: 'a bad answer says what happens when it is ignored' }]
        const heeded =
          spec?.kind !== 'choice' || spec.stops?.includes(label) || spec.bad?.[label] || spec.watch?.includes(label)
        return heeded
          ? []
          : [{ path: `${path}.answers[${id}]`, reason: `the reading "${spec.id}" takes "${label}" for good` }]
      })
    }),
  )
}
