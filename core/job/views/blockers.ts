import { EITHER_POSITION } from '../../pack/kinds'
import type { CarPosition, LinkKind } from '../../pack/kinds'
import { stanceOf } from '../../pack/bay'
import type { Operation } from '../../pack/operations'
import type { JobState } from '../chapters'
import { missingNow, unseenNow } from '../chapters/taken-over/missing'
import { boardsNotClear } from '../chapters/bolts/boards'
import { tryCompleteActivity } from './activity'
import { findingsOfStep, openFindings } from './bad-findings'

/** What stands in the way of a step, with the sentence that says why. */
export interface Blocker {
  stepId: string | null
  title: string
  kind: LinkKind
  because: string
}

/**
 * What stands in the way of doing a step now: earlier steps not done, a fact that does not hold,
 * the car in the wrong position. Links of habit advise and do not block.
 */
export function blockersOf(state: JobState, stepId: string): Blocker[] {
  const { procedure, plan } = state
  if (!procedure || !plan) return []
  const planned = plan.steps.find(step => step.id === stepId)
  if (!planned) return []
  if (planned.kind !== 'operation') return positionBlockers(state, stepId)
  const operation = procedure.operations.find(entry => entry.id === stepId)!
  const titles = new Map(procedure.operations.map(entry => [entry.id, entry.title]))
  const links = procedure.links
    .filter(link => link.after === stepId && link.kind !== 'habit' && !state.done[link.before])
    .map(link => ({ stepId: link.before, title: titles.get(link.before)!, kind: link.kind, because: link.because }))
  const facts = procedure.facts
    .filter(fact => operation.needs.includes(fact.id) && !state.facts.includes(fact.id))
    .filter(fact => !links.some(link => link.because === fact.because))
    .map(fact => ({ stepId: null, title: fact.name, kind: fact.kind, because: fact.because }))
  return [
    ...links,
    ...facts,
    ...foundBefore(state, stepId),
    ...unprovenBefore(state, stepId),
    ...notHere(state, operation),
    ...boardsNotClear(state, stepId),
    ...wrongPosition(state, operation.car),
  ]
}

/** What came off elsewhere does not go back before somebody has seen it, or got it. */
function notHere(state: JobState, { putsBack }: Operation): Blocker[] {
  return Object.keys(putsBack).flatMap((id): Blocker[] => {
    const name = state.procedure!.items.find(item => item.id === id)?.name ?? id
    const block = (how: string, because: string): Blocker => ({
      stepId: null,
      title: `${name}: ${how}`,
      kind: 'physical',
      because,
    })
    if (unseenNow(state, id) > 0)
      return [block('nobody has seen it', 'It came off elsewhere. Say whether it is here: Car, By others.')]
    return missingNow(state, id) > 0 ? [block('missing', 'Say when it is here: Car, By others.')] : []
  })
}

/** What a step before this one has found bad since it was done, and nobody has dealt with. */
function foundBefore(state: JobState, stepId: string): Blocker[] {
  const { procedure } = state
  const before = new Map(
    procedure!.links
      .filter(link => link.after === stepId && link.kind !== 'habit' && state.done[link.before])
      .map(link => [link.before, link.kind]),
  )
  return procedure!.operations
    .filter(operation => before.has(operation.id) && operation.readings.length > 0)
    .flatMap(operation =>
      openFindings(findingsOfStep(state, operation)).map((finding): Blocker => ({
        stepId: operation.id,
        title: `${finding.name}: ${finding.answer}`,
        kind: before.get(operation.id)!,
        because: finding.because,
      })),
    )
}

/** A step before this one was done when its sheet, or its board of pieces, said yes; by what stands there now it does not. */
function unprovenBefore(state: JobState, stepId: string): Blocker[] {
  const { links, operations } = state.procedure!
  // Plugs that are off go on again on the way back; only what comes apart needs them off.
  const comesApartAt = (id: string) => operations.find(operation => operation.id === id)?.phase === 'strip'
  const before = new Map(
    links
      .filter(link => link.after === stepId && link.kind !== 'habit' && state.done[link.before])
      .map(link => [link.before, link.kind]),
  )
  return operations
    .filter(({ id, activity }) => before.has(id) && (activity?.kind === 'judged' || activity?.kind === 'body'))
    .filter(({ activity }) => activity?.kind !== 'body' || activity.wants !== 'plugs-off' || comesApartAt(stepId))
    .flatMap((operation): Blocker[] => {
      const missing = tryCompleteActivity(state, operation)
      return missing === null
        ? []
        : [{ stepId: operation.id, title: operation.title, kind: before.get(operation.id)!, because: missing }]
    })
}

function wrongPosition(state: JobState, wanted: CarPosition): Blocker[] {
  if (wanted === EITHER_POSITION || wanted === state.car) return []
  const now = stanceOf(state.procedure!, state.car).said
  return [{ stepId: null, title: now, kind: 'safety', because: stanceOf(state.procedure!, wanted).because }]
}

/** Bringing the car up or down waits for every step that the plan puts before it at the other height. */
function positionBlockers(state: JobState, stepId: string): Blocker[] {
  const { plan, procedure } = state
  const index = plan!.order.indexOf(stepId)
  const cars = new Map(procedure!.operations.map(operation => [operation.id, operation]))
  return plan!.order
    .slice(0, index)
    .filter(id => !state.done[id])
    .filter(id => {
      const operation = cars.get(id)
      return !operation || operation.car !== EITHER_POSITION
    })
    .map(id => ({
      stepId: id,
      title: cars.get(id)?.title ?? 'An earlier change of height',
      kind: 'safety' as const,
      because: 'It is planned for the height the car is at now.',
    }))
}
