import type { LinkKind } from '../../pack/kinds'
import type { Operation } from '../../pack/operations'
import type { JobState } from '../chapters'
import { missingNow, unseenNow } from '../chapters/taken-over/missing'
import { boardsNotClear } from '../chapters/bolts/boards'
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

function wrongPosition(state: JobState, wanted: 'ground' | 'raised' | 'either'): Blocker[] {
  if (wanted === 'either' || wanted === state.car) return []
  return [
    wanted === 'raised'
      ? {
          stepId: null,
          title: 'The car is on the ground',
          kind: 'safety',
          because: 'This is done with the car raised and standing on its supports.',
        }
      : {
          stepId: null,
          title: 'The car is raised',
          kind: 'safety',
          because: 'This is done with the car on its wheels.',
        },
  ]
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
      return !operation || operation.car !== 'either'
    })
    .map(id => ({
      stepId: id,
      title: cars.get(id)?.title ?? 'An earlier change of height',
      kind: 'safety' as const,
      because: 'It is planned for the height the car is at now.',
    }))
}
