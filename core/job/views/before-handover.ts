import type { ClosingCheck } from '../../pack/closing'
import type { JobState } from '../chapters'
import type { StoredCode } from '../chapters/controller'
import { missingNow, unseenNow } from '../chapters/taken-over/missing'
import { badFindings, openFindings } from './bad-findings'
import { figureEntry, figuresWanted, notTight } from './fastening'
import { openEntries, openEntry } from './ledger'
import type { OpenEntry } from './ledger'

/**
 * Everything that stands between the car and its owner: what is off or slack, bolts that are not tight, safety fasteners
 * without a figure, what was found bad, troubles, work and checks not done.
 */
export function openBeforeHandover(state: JobState): OpenEntry[] {
  return [
    ...openEntries(state),
    ...notHere(state),
    ...looseBolts(state),
    ...missingFigures(state),
    ...found(state),
    ...troubles(state),
    ...work(state),
    ...checks(state),
  ]
}

/** Entries that hold the car: without a reason, or such as no reason lets go. */
export function holdingBack(entries: OpenEntry[]): OpenEntry[] {
  return entries.filter(entry => entry.safety || entry.left === null)
}

/** What came off elsewhere and is not here. What nobody has seen does not go without: no reason lets it. */
function notHere(state: JobState): OpenEntry[] {
  return Object.keys(state.told).flatMap(id => {
    const unknown = unseenNow(state, id)
    const missing = missingNow(state, id)
    if (unknown + missing === 0 || !state.ledger[id]) return []
    const name = state.procedure?.items.find(item => item.id === id)?.name ?? id
    return openEntry(state, `thing:${id}`, 'thing', `${name}: ${unknown > 0 ? 'nobody has seen it' : 'missing'}`, {
      count: unknown + missing,
      safety: unknown > 0,
    })
  })
}

function looseBolts(state: JobState): OpenEntry[] {
  return notTight(state).map(({ group, count }) =>
    openEntry(state, `tight:${group.id}`, 'tight', group.name, { count, safety: group.safety === true }),
  )
}

function missingFigures(state: JobState): OpenEntry[] {
  return figuresWanted(state).map(group => openEntry(state, figureEntry(group.id), 'figure', group.name))
}

/** What somebody has answered for stays in the list, with the reason. */
function found(state: JobState): OpenEntry[] {
  const all = badFindings(state)
  const open = new Set(openFindings(all))
  return all
    .filter(finding => open.has(finding) || (finding.accepted && finding.dealtWith === null))
    .map(finding =>
      openEntry(state, finding.entry, 'finding', `${finding.name}: ${finding.answer}`, { safety: finding.stops }),
    )
}

function troubles(state: JobState): OpenEntry[] {
  return state.troubles
    .filter(trouble => !trouble.cleared)
    .map(trouble => openEntry(state, `trouble:${trouble.troubleId}`, 'trouble', trouble.text))
}

/** Work of filling and proving that is not done. */
function work(state: JobState): OpenEntry[] {
  return (state.procedure?.operations ?? [])
    .filter(operation => (operation.phase === 'prove' || operation.phase === 'fill') && !state.done[operation.id])
    .map(operation =>
      openEntry(state, `step:${operation.id}`, 'step', operation.title, { safety: operation.safety === true }),
    )
}

/** Codes that the controller still held when the steps of a check read it. */
export const codesLeft = ({ codes, done }: JobState, { steps }: Pick<ClosingCheck, 'steps'>): StoredCode[] =>
  steps.flatMap(step => (done[step] ? (codes[step]?.codes ?? []) : []))

/** Closing checks by hand that were not made or came out bad, and a memory that is not empty. */
function checks(state: JobState): OpenEntry[] {
  return (state.procedure?.closing ?? [])
    .filter(check =>
      check.kind === 'codes'
        ? codesLeft(state, check).length > 0
        : check.kind === 'hand' && !state.checks[check.id]?.good,
    )
    .map(check => openEntry(state, `check:${check.id}`, 'check', check.title, { safety: check.safety === true }))
}
