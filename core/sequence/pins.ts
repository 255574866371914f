import { findCycle } from '../base/find-cycle'
import type { Link } from '../pack/operations'
import type { InstanceLink } from './instance'
import type { Pin } from './types'

export interface BoundPins {
  /** Step → the step that must stand directly before it. */
  leaders: Map<string, string>
  /** Links that keep whatever else must come before or after a bound pair out of its middle. */
  links: InstanceLink[]
  dropped: { stepId: string; because: string }[]
}

/**
 * Pins, and links that let nothing come in between, as links. A pin that names a step that is not there, or that no order can keep, is dropped with a sentence.
 * @param ids the steps to be planned
 */
export function bindPins(ids: string[], links: Link[], pins: Pin[]): BoundPins {
  const kept: Pin[] = links.filter(link => link.atOnce).map(link => ({ stepId: link.after, after: link.before }))
  let bound: BoundPins = { ...bind(ids, links, kept), dropped: [] }
  for (const pin of pins) {
    if (!ids.includes(pin.stepId) || (pin.after !== null && !ids.includes(pin.after))) {
      // Done already, or not part of the work under these options: nothing is left to hold in place.
      continue
    }
    const tried = bind(ids, links, [...kept, pin])
    const cycle = findCycle(ids, [...links, ...tried.links])
    if (cycle || taken(kept, pin)) {
      const against = links.find(
        link =>
          (link.before === pin.stepId && link.after === pin.after) ||
          (link.atOnce && (link.before === pin.after || link.after === pin.stepId)) ||
          cycle?.some((id, at) => id === link.before && cycle[at + 1] === link.after),
      )
      bound.dropped.push({
        stepId: pin.stepId,
        because: against?.because ?? 'Another step is pinned to the same place.',
      })
      continue
    }
    kept.push(pin)
    bound = { ...tried, dropped: bound.dropped }
  }
  return bound
}

function taken(kept: Pin[], pin: Pin): boolean {
  return kept.some(other => other.stepId === pin.stepId || other.after === pin.after)
}

function bind(ids: string[], links: Link[], pins: Pin[]): Omit<BoundPins, 'dropped'> {
  const leaders = new Map<string, string>()
  for (const pin of pins) if (pin.after !== null) leaders.set(pin.stepId, pin.after)
  const extra: InstanceLink[] = pins
    .filter(pin => pin.after === null)
    .flatMap(pin => ids.filter(id => id !== pin.stepId).map(id => ({ before: pin.stepId, after: id })))
  for (const chain of chainsOf(leaders)) {
    const members = new Set(chain)
    for (const [position, id] of chain.entries()) {
      if (position > 0) extra.push({ before: chain[position - 1]!, after: id })
    }
    for (const link of [...links, ...extra.slice()]) {
      if (members.has(link.after) && !members.has(link.before)) extra.push({ before: link.before, after: chain[0]! })
      if (members.has(link.before) && !members.has(link.after)) extra.push({ before: chain.at(-1)!, after: link.after })
    }
  }
  return { leaders, links: extra }
}

/** Steps bound together, each list in its order. */
function chainsOf(leaders: Map<string, string>): string[][] {
  const followers = new Map([...leaders].map(([follower, leader]) => [leader, follower]))
  const heads = [...followers.keys()].filter(id => !leaders.has(id))
  return heads.map(head => {
    const chain = [head]
    for (let next = followers.get(head); next !== undefined && !chain.includes(next); next = followers.get(next))
      chain.push(next)
    return chain
  })
}

/**
 * Pins with one more: a step that stood pinned behind the same one now stands behind the new one,
 * and a step pinned behind the moved one stays where it was.
 */
export function withPin(pins: Pin[], pin: Pin): Pin[] {
  const old = pins.find(other => other.stepId === pin.stepId)
  const rest = pins
    .filter(other => other.stepId !== pin.stepId)
    .flatMap((other): Pin[] => {
      if (other.after === pin.stepId) return old ? [{ ...other, after: old.after }] : []
      return other.after === pin.after ? [{ ...other, after: pin.stepId }] : [other]
    })
  return [...rest, pin]
}

export function withoutPin(pins: Pin[], stepId: string): Pin[] {
  return pins.filter(pin => pin.stepId !== stepId)
}
