import type { Link } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import type { Plan } from './types'

/** A place in the order of the operations that a step may not go to, and why. */
export interface Barrier {
  stepId: string
  because: string
}

export interface LegalRange {
  /** First and last place in the order of operations, counted with the step taken out. */
  first: number
  last: number
  /** The step that it must stay behind, and the one it must stay before; `null` where nothing holds it. */
  after: Barrier | null
  before: Barrier | null
}

/** The operations of a plan in their order, bringing the car up and down left out. */
export function operationOrder(plan: Plan): string[] {
  return plan.steps.filter(step => step.kind === 'operation').map(step => step.id)
}

/**
 * Where a step may stand in a plan while all others keep their order.
 * A step that must follow another at once goes nowhere; one that drags such a follower takes it along.
 * @param done steps that are done and so stay where they are
 */
export function legalRange(procedure: Procedure, plan: Plan, stepId: string, done: Set<string>): LegalRange {
  const order = operationOrder(plan).filter(id => id !== stepId)
  const place = new Map(order.map((id, index) => [id, index]))
  const into = procedure.links.filter(link => link.after === stepId && place.has(link.before))
  const out = procedure.links.filter(link => link.before === stepId && place.has(link.after))
  const latest = into.reduce<Link | null>(
    (last, link) => (last && place.get(last.before)! >= place.get(link.before)! ? last : link),
    null,
  )
  const soonest = out
    .filter(link => !link.atOnce)
    .reduce<Link | null>(
      (first, link) => (first && place.get(first.after)! <= place.get(link.after)! ? first : link),
      null,
    )
  const lastDone = order.reduce((last, id, index) => (done.has(id) ? index : last), -1)
  const first = Math.max(latest ? place.get(latest.before)! + 1 : 0, lastDone + 1)
  const last = soonest ? place.get(soonest.after)! : order.length
  const bound = into.find(link => link.atOnce)
  return {
    first: bound ? place.get(bound.before)! + 1 : first,
    last: bound ? place.get(bound.before)! + 1 : Math.max(first, last),
    after: bound
      ? { stepId: bound.before, because: bound.because }
      : latest && first === place.get(latest.before)! + 1
        ? { stepId: latest.before, because: latest.because }
        : lastDone >= 0
          ? { stepId: order[lastDone]!, because: 'This is done already.' }
          : null,
    before: bound
      ? { stepId: bound.before, because: bound.because }
      : soonest
        ? { stepId: soonest.after, because: soonest.because }
        : null,
  }
}

/**
 * The order of operations with one step moved to another place.
 * @param place counted with the step taken out, as in `legalRange`
 * @returns the new order, or the sentence that forbids it
 */
export function moveStep(
  procedure: Procedure,
  plan: Plan,
  stepId: string,
  place: number,
  done: Set<string>,
): { order: string[] } | Barrier {
  const range = legalRange(procedure, plan, stepId, done)
  if (place < range.first) return range.after!
  if (place > range.last) return range.before!
  const order = operationOrder(plan).filter(id => id !== stepId)
  const followers = followersOf(procedure.links, stepId)
  const parted = procedure.links.find(
    link =>
      link.atOnce && link.before === order[place - 1] && link.after === order[place] && link.after !== followers[0],
  )
  if (parted) return { stepId: parted.after, because: parted.because }
  const moved = [...order.slice(0, place), stepId, ...order.slice(place)]
  if (followers.length === 0) return { order: moved }
  const rest = moved.filter(id => !followers.includes(id))
  rest.splice(rest.indexOf(stepId) + 1, 0, ...followers)
  return { order: rest }
}

/** What follows a step at once, and what follows that. */
function followersOf(links: Link[], stepId: string): string[] {
  const next = links.find(link => link.atOnce && link.before === stepId)?.after
  return next === undefined ? [] : [next, ...followersOf(links, next)]
}
