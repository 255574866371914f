import { judgeSheet } from '../../bench/judge-sheet'
import { runLength } from '../../fasteners'
import type { Activity, Operation } from '../../pack/operations'
import type { JobState } from '../chapters'
import { bodyMissing } from './bodies'
import type { GearResult } from '../chapters/proving'

type OfKind<K extends Activity['kind']> = Activity & { kind: K }

/**
 * What is still missing before a step with an activity can be called done, in words; `null` when nothing is.
 * Steps without an activity miss nothing.
 */
export function tryCompleteActivity(state: JobState, { id, activity }: Operation): string | null {
  switch (activity?.kind) {
    case undefined:
      return null
    case 'tighten':
      return runMissing(state, id)
    case 'bleed':
      return state.bleeding[id]?.rounds.at(-1)?.feel === 'firm' ? null : 'The pedal has not been judged firm yet.'
    case 'gears':
      return gearsMissing(state, id, activity)
    case 'judged':
      return sheetMissing(state, activity)
    case 'read':
      return state.codes[id] ? null : 'Nobody has written down what the controller holds.'
    case 'body':
      return bodyMissing(state, activity.body, activity.wants)
    case 'teach':
      return routineMissing(state, id)
  }
}

function runMissing(state: JobState, stepId: string): string | null {
  const run = state.runs.findLast(entry => entry.stepId === stepId && entry.dropped === null)
  if (!run) return 'The tightening run has not been started.'
  const stop = run.stops.find(entry => entry.cleared === null)
  if (stop) return `Bolt ${stop.bolt + 1} stopped the run. ${stop.because}`
  const left = runLength(run) - run.turned
  return left > 0 ? `The tightening run has ${left} ${left === 1 ? 'turn' : 'turns'} to go.` : null
}

/** What is tried at a step: every gear of the car, or every position of its lever. */
export function gearsOf(state: JobState, { positions }: Pick<OfKind<'gears'>, 'positions'>): string[] {
  return positions ?? state.vehicle?.gears ?? []
}

function gearsMissing(state: JobState, stepId: string, activity: OfKind<'gears'>): string | null {
  const tried = state.gears[stepId] ?? {}
  const missing = gearsOf(state, activity).filter(gear => !tried[gear])
  if (missing.length > 0) return `Not tried yet: ${missing.join(', ')}.`
  const bad = badGears(tried)
  const written = state.troubles.some(trouble => trouble.stepId === stepId)
  const what = activity.positions ? 'Position' : 'Gear'
  return bad.length > 0 && !written ? `${what} ${bad.join(', ')} is not right. Write the trouble down first.` : null
}

/** A sheet that nobody filled in says nothing; one that says no holds the step. */
function sheetMissing(state: JobState, { sheet: sheetId, judges }: OfKind<'judged'>): string | null {
  const sheet = state.procedure?.bench.sheets.find(entry => entry.id === sheetId)
  if (!sheet) return null
  const values = state.sheets[sheetId]?.values
  const found = values ? judgeSheet(sheet, values).findings.filter(({ judge }) => judge && judges.includes(judge)) : []
  const bad = found.find(finding => finding.level === 'renew')
  if (bad) return bad.sentence
  const unjudged = judges.some(kind => !found.some(finding => finding.judge === kind))
  return unjudged ? `${sheet.title}: not measured yet.` : null
}

function routineMissing(state: JobState, stepId: string): string | null {
  const run = state.routines[stepId]
  if (!run) return 'The routine has not been run.'
  const written = state.troubles.some(trouble => trouble.stepId === stepId)
  return run.outcome === 'done' || written ? null : `It was refused: ${run.reason}. Write the trouble down first.`
}

/** Gears that make a noise or will not go in. */
export function badGears(tried: Record<string, GearResult>): string[] {
  return Object.entries(tried)
    .filter(([, result]) => result === 'noisy' || result === 'refuses')
    .map(([gear]) => gear)
}

/** Whether nothing is missing. */
export function activityComplete(state: JobState, operation: Operation): boolean {
  return tryCompleteActivity(state, operation) === null
}
