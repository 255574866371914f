import { drawingFault } from '../bench/drawing-inputs'
import { judges } from '../bench/judges'
import type { PackFault } from './check-pack'
import type { Mating, OnlyIf, Sheet, SheetField } from '../pack/sheets'
import type { When } from '../pack/kinds'
import type { Pack } from '../pack/pack'

/** What is wrong with the sheets of a pack: fields and inputs that lead nowhere, inputs that are missing or of another kind. */
export function checkBench(pack: Pack, stepIds: Set<string>): PackFault[] {
  const faults: PackFault[] = []
  const fault = (path: string, reason: string) => faults.push({ path, reason })
  const wantSteps = (path: string, steps: string[]) => {
    for (const step of steps) if (!stepIds.has(step)) fault(path, `unknown operation "${step}"`)
  }
  const wantWhen = (path: string, when: When) => {
    for (const [id, choices] of when.flatMap(entry => Object.entries(entry))) {
      const option = pack.options.find(entry => entry.id === id)
      if (!option) fault(`${path}.when`, `unknown option "${id}"`)
      else
        for (const choice of choices)
          if (!option.choices.some(entry => entry.id === choice))
            fault(`${path}.when`, `unknown choice of ${id} "${choice}"`)
    }
  }
  const parts = new Set([
    ...pack.modules.flatMap(module => module.parts.map(part => part.id)),
    ...pack.bench.reachable.map(entry => entry.part),
  ])
  const wantParts = (path: string, ids: string[] = []) => {
    for (const id of ids) if (!parts.has(id)) fault(`${path}.renews`, `unknown part "${id}"`)
  }
  const { sheets, orientations, oldParts, reachable } = pack.bench
  for (const [kind, list] of [
    ['sheets', sheets],
    ['orientations', orientations],
    ['oldParts', oldParts],
    ['reachable', reachable],
  ] as const) {
    for (const [index, { id }] of list.entries())
      if (list.findIndex(other => other.id === id) < index) fault(`bench.${kind}[${id}]`, `the id "${id}" stands twice`)
  }
  for (const sheet of sheets) {
    const path = `bench.sheets[${sheet.id}]`
    wantSteps(`${path}.steps`, sheet.steps)
    wantWhen(path, sheet.when)
    for (const [index, field] of sheet.fields.entries()) {
      const at = `${path}.fields[${field.id}]`
      wantWhen(at, field.when)
      if (sheet.fields.findIndex(other => other.id === field.id) < index)
        fault(at, `the field "${field.id}" stands twice`)
      if (field.reading) wantReading(pack, at, field, field.reading, fault)
      if (field.if) wantAnswer(sheet, at, field.if, fault)
      if (field.kind === 'choice')
        for (const answer of field.answers) wantParts(`${at}.answers[${answer.id}]`, answer.renews)
    }
    for (const way of sheet.ways?.choices ?? []) {
      if (way.closedIf) wantAnswer(sheet, `${path}.ways[${way.choice}]`, way.closedIf, fault)
      wantParts(`${path}.ways[${way.choice}].parts`, way.parts)
    }
    for (const [input, fieldId] of Object.entries(sheet.draws ?? {})) {
      const reason = drawingFault(
        sheet.drawing,
        input,
        sheet.fields.find(entry => entry.id === fieldId),
        fieldId,
      )
      if (reason) fault(`${path}.draws.${input}`, reason)
    }
    for (const [index, judge] of sheet.judges.entries()) {
      const at = `${path}.judges[${index}]`
      const { inputs, needs } = judges[judge.kind]
      wantWhen(at, judge.when)
      if (judge.if) wantAnswer(sheet, at, judge.if, fault)
      wantParts(at, judge.renews)
      for (const need of needs)
        if (!(need in judge.inputs)) fault(`${at}.inputs`, `${judge.kind} cannot do without "${need}"`)
      for (const [input, fieldId] of Object.entries(judge.inputs)) {
        const field = sheet.fields.find(entry => entry.id === fieldId)
        if (!(input in inputs)) fault(`${at}.inputs.${input}`, `${judge.kind} takes ${Object.keys(inputs).join(', ')}`)
        else if (!field) fault(`${at}.inputs.${input}`, `unknown field "${fieldId}"`)
        else if (field.kind !== inputs[input])
          fault(`${at}.inputs.${input}`, `"${fieldId}" is a field of ${field.kind}, wanted is ${inputs[input]}`)
      }
    }
  }
  if (pack.bench.mating) checkMating(pack.bench.mating, sheets, stepIds, fault)
  for (const entry of orientations) wantSteps(`bench.orientations[${entry.id}]`, [...entry.off, ...entry.back])
  for (const entry of oldParts) wantSteps(`bench.oldParts[${entry.id}]`, [...entry.off, ...entry.until])
  for (const entry of reachable) wantSteps(`bench.reachable[${entry.id}]`, entry.reachedBy)
  return faults
}

/** Its own step has to be there; what checks and signs name may belong to other layouts. */
function checkMating(
  { step, checks, causes }: Mating,
  sheets: Sheet[],
  stepIds: Set<string>,
  fault: (path: string, reason: string) => void,
): void {
  if (!stepIds.has(step)) fault('bench.mating.step', `unknown operation "${step}"`)
  for (const { id, answer } of checks) {
    const sheet = sheets.find(entry => entry.id === answer?.sheet)
    if (answer && sheet)
      wantAnswer(sheet, `bench.mating.checks[${id}].answer`, { field: answer.field, is: answer.good }, fault)
  }
  for (const [index, { id }] of causes.entries())
    if (causes.findIndex(other => other.id === id) < index)
      fault(`bench.mating.causes[${id}]`, `the id "${id}" stands twice`)
}

function wantAnswer(
  sheet: Sheet,
  path: string,
  { field: id, is }: OnlyIf,
  fault: (path: string, reason: string) => void,
): void {
  const field = sheet.fields.find(entry => entry.id === id)
  if (field?.kind !== 'choice') return fault(`${path}.if`, `"${id}" is no question of this sheet`)
  for (const answer of is)
    if (!field.answers.some(entry => entry.id === answer)) fault(`${path}.if`, `"${id}" has no answer "${answer}"`)
}

function wantReading(
  pack: Pack,
  path: string,
  field: SheetField,
  { step, id }: { step: string; id: string },
  fault: (path: string, reason: string) => void,
): void {
  const operation = pack.modules.flatMap(module => module.operations).find(entry => entry.id === step)
  const reading = [
    ...(operation?.readings ?? []),
    ...(operation?.refit.kind === 'mirror' ? (operation.refit.override.readings ?? []) : []),
  ].find(entry => entry.id === id)
  if (!reading) return fault(`${path}.reading`, `there is no reading "${id}" on a step "${step}"`)
  if (reading.kind === 'number' ? field.kind !== 'number' && field.kind !== 'points' : field.kind !== 'choice')
    return fault(`${path}.reading`, `a field of ${field.kind} is no reading of ${reading.kind}`)
  if (reading.kind === 'choice' && field.kind === 'choice') {
    for (const { id: answer, label } of field.answers)
      if (!reading.choices.includes(label))
        fault(`${path}.answers[${answer}]`, `the reading "${id}" knows no "${label}"`)
  }
}
