import { drawingFault } from '../bench/drawing-inputs'
import { judges } from '../bench/judges'
import { sheetOfOne } from '../bench/sheet-of-one'
import type { PackFault } from './check-pack'
import type { JudgeSpec, Mating, OnlyIf, Sheet, SheetField } from '../pack/sheets'
import type { When } from '../pack/kinds'
import type { Pack } from '../pack/pack'

type Fault = (path: string, reason: string) => void

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
      wantWhen(at, judge.when)
      wantParts(at, judge.renews)
      wantInputs(sheet, at, judge, fault)
    }
    if (sheet.beside) {
      wantSteps(`${path}.beside.steps`, sheet.beside.steps ?? [])
      for (const { when } of [...sheet.beside.more.fields, ...sheet.beside.more.judges])
        wantWhen(`${path}.beside.more`, when)
      checkBeside(sheet, sheets, fault)
    }
  }
  if (pack.bench.mating) checkMating(pack.bench.mating, sheets, stepIds, fault)
  for (const entry of orientations) wantSteps(`bench.orientations[${entry.id}]`, [...entry.off, ...entry.back])
  for (const entry of oldParts) wantSteps(`bench.oldParts[${entry.id}]`, [...entry.off, ...entry.until])
  for (const entry of reachable) wantSteps(`bench.reachable[${entry.id}]`, entry.reachedBy)
  return faults
}

/** A computation has the inputs it takes, each fed by a field of its kind. */
function wantInputs(sheet: Sheet, path: string, judge: JudgeSpec, fault: Fault): void {
  const { inputs, needs } = judges[judge.kind]
  if (judge.if) wantAnswer(sheet, path, judge.if, fault)
  for (const need of needs)
    if (!(need in judge.inputs)) fault(`${path}.inputs`, `${judge.kind} cannot do without "${need}"`)
  for (const [input, fieldId] of Object.entries(judge.inputs)) {
    const field = sheet.fields.find(entry => entry.id === fieldId)
    if (!(input in inputs)) fault(`${path}.inputs.${input}`, `${judge.kind} takes ${Object.keys(inputs).join(', ')}`)
    else if (!field) fault(`${path}.inputs.${input}`, `unknown field "${fieldId}"`)
    else if (field.kind !== inputs[input])
      fault(`${path}.inputs.${input}`, `"${fieldId}" is a field of ${field.kind}, wanted is ${inputs[input]}`)
  }
}

/** What lies side by side: own fields, what is asked beside, and the other sheet lead somewhere. A layout without that sheet goes without. */
function checkBeside(sheet: Sheet, sheets: Sheet[], fault: Fault): void {
  const { own, more, also, least } = sheet.beside!
  const path = `bench.sheets[${sheet.id}].beside`
  const one = sheetOfOne(sheet)
  const known = new Set(one.fields.map(field => field.id))
  if (known.size < one.fields.length) fault(`${path}.more`, 'a field of that name stands on the sheet already')
  if (sheet.judges.length === 0) fault(path, 'a sheet without a computation decides nothing')
  for (const id of own) if (!sheet.fields.some(field => field.id === id)) fault(`${path}.own`, `unknown field "${id}"`)
  for (const [index, judge] of more.judges.entries()) wantInputs(one, `${path}.more.judges[${index}]`, judge, fault)
  for (const field of more.fields) if (field.if) wantAnswer(one, `${path}.more.fields[${field.id}]`, field.if, fault)
  const kinds = new Set(one.judges.map(judge => judge.kind))
  if (!kinds.has(least.judge)) fault(`${path}.least`, `the sheet computes no ${least.judge}`)
  const other = sheets.find(entry => entry.id === also?.sheet)
  for (const [fieldId, from] of Object.entries(also?.put ?? {})) {
    if (other && !other.fields.some(field => field.id === fieldId && field.kind === 'number'))
      fault(`${path}.also.put`, `"${also!.sheet}" asks for no number "${fieldId}"`)
    if (typeof from === 'string' ? !known.has(from) : !kinds.has(from.judge))
      fault(
        `${path}.also.put.${fieldId}`,
        typeof from === 'string' ? `unknown field "${from}"` : `the sheet computes no ${from.judge}`,
      )
  }
}

/** Its own step has to be there; what checks and signs name may belong to other layouts. */
function checkMating({ step, checks, causes }: Mating, sheets: Sheet[], stepIds: Set<string>, fault: Fault): void {
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

function wantAnswer(sheet: Sheet, path: string, { field: id, is }: OnlyIf, fault: Fault): void {
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
  fault: Fault,
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
