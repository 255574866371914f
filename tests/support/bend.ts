import fc from 'fast-check'
import { expect } from 'vitest'
import {
  canBeAnew,
  choicesFor,
  comesApart,
  orderKept,
  reduceJob,
  stepsLeft,
  stepView,
  switchAsked,
  UNFORESEEN,
} from '../../core/job'
import type { AddedStep, EventPayloads, JobEvent, JobState, PartDecided } from '../../core/job'
import { expandPack } from '../../core/packs'
import type { Pack } from '../../core/packs'
import { operationOrder, planJob } from '../../core/sequence'
import { DemoMechanic } from '../../server/demo/play'
import { personId } from './requests'
import { told } from './told'

/** What a mechanic may come upon, at a random moment of a job. */
export const found = fc.record({
  moment: fc.double({ min: 0, max: 0.98, noNaN: true }),
  minutes: fc.integer({ min: 1, max: 90 }),
  things: fc.integer({ min: 0, max: 3 }),
  isFastener: fc.boolean(),
  isTied: fc.boolean(),
  goesBack: fc.boolean(),
  isLeftOut: fc.boolean(),
})
export type Found = typeof found extends fc.Arbitrary<infer What> ? What : never

/** The step as Work tells of it: at the step one is at, with its place and height. */
export function addedAt(
  state: ReturnType<typeof reduceJob>,
  id: string,
  what: Found,
): EventPayloads['step-added'] | null {
  const next = stepsLeft(state).find(step => stepView(state, step)!.operation)
  const { operation } = next ? stepView(state, next)! : { operation: null }
  if (!operation) return null
  const takesOff: AddedStep['takesOff'] = what.goesBack
    ? Array.from({ length: what.things }, (_, index) => ({
        id: `${id}-${index}`,
        name: `thing ${index}`,
        count: index + 1,
        state: 'off' as const,
        isFastener: what.isFastener,
      }))
    : []
  return {
    stepId: id,
    title: 'Something else in the way',
    phase: operation.phase,
    place: operation.place,
    car: operation.car,
    minutes: what.minutes,
    tools: operation.tools.slice(0, 1),
    cautions: [],
    takesOff,
    after: [],
    before: what.isTied ? [operation.id] : [],
    refit: what.goesBack ? { title: 'Back again', minutes: what.minutes } : null,
    at: '2026-03-02T12:00:00.000Z',
    utcOffsetMinutes: 0,
  }
}

/** What may go wrong at a random moment of a job: at which of the steps of the way back done so far, and what it asks for. */
export const gone = fc.record({
  moment: fc.double({ min: 0.4, max: 1, noNaN: true }),
  which: fc.nat(),
  isSentAway: fc.boolean(),
  hasDay: fc.boolean(),
  newParts: fc.integer({ min: 0, max: 2 }),
})
export type Gone = typeof gone extends fc.Arbitrary<infer What> ? What : never

export function apartAgain(events: JobEvent[], index: number, what: Gone): EventPayloads['apart-again'] | null {
  const state = reduceJob(events)
  const done = state.procedure!.operations.filter(
    operation => state.done[operation.id] && operation.module !== UNFORESEEN && canBeAnew(state, operation),
  )
  if (done.length === 0) return null
  const stepId = done[what.which % done.length]!.id
  const until = what.hasDay ? '2026-03-04T10:00:00.000Z' : null
  return {
    againId: `again-${index}`,
    stepId,
    because: 'It went',
    troubleId: null,
    ...comesApart(state, stepId),
    away: what.isSentAway ? { to: 'machine shop', wayMinutes: what.which % 40, until } : null,
    parts: Array.from({ length: what.newParts }, (_, part) => ({
      partId: `again-${index}.part-${part}`,
      name: `part ${part}`,
      count: 1,
      until,
    })),
    at: '2026-03-02T20:00:00.000Z',
    utcOffsetMinutes: 0,
    asItStands: true,
  }
}

/** What is left of a job, in its order; with another order, only what stands in that. */
export const ordered = ({ plan, done }: JobState, within?: string[]) =>
  operationOrder(plan!).filter(id => !done[id] && (within?.includes(id) ?? true))

/** Some parts in reach, each renewed by one of its ways or left. */
export const decided = fc.array(fc.record({ part: fc.nat(), way: fc.nat(), leaves: fc.boolean() }), {
  minLength: 1,
  maxLength: 4,
})

/** Some parts renewed or left, each by any of its ways; `null` where that changes nothing. */
export function renewed(
  pack: Pack,
  state: JobState,
  events: JobEvent[],
  index: number,
  picks: { part: number; way: number; leaves: boolean }[],
): JobEvent | null {
  const reachable = state.procedure!.bench.reachable.filter(part => part.option)
  if (reachable.length === 0) return null
  const decided = picks.map(({ part: nth, way, leaves }): PartDecided => {
    const part = reachable[nth % reachable.length]!
    const ways = [part.option!.choice, ...(part.option!.others ?? [])]
    return leaves ? { part, decision: 'leave' } : { part, decision: 'renew', way: ways[way % ways.length]! }
  })
  const choices = choicesFor(state.procedure!, decided)
  if (Object.keys(choices).length === 0) return null
  const procedure = expandPack(pack, { ...state.procedure!.options, ...choices })
  const clock = { at: '2026-03-05T20:00:00.000Z', utcOffsetMinutes: 0 }
  const asked = switchAsked(state, procedure, state.circumstances, clock)
  const { clock: from, circumstances, setting } = asked
  const order = index % 2 === 0 ? orderKept(state, procedure, asked) : null
  if (order) expect(order.filter(id => ordered(state).includes(id))).toEqual(ordered(state, order))
  const request = { ...asked.request, ...(order ? { order } : {}) }
  const payload: EventPayloads['options-switched'] = {
    procedure,
    plan: planJob(procedure, setting, { ...request, effort: { moves: 1000 } }),
    circumstances,
    clock: from,
    decided: {
      decisions: decided.map(({ part, decision }) => ({ partId: part.id, decision })),
      because: 'Found so',
    },
  }
  return told(events, `renewed-${index}`, 'options-switched', payload)
}

export const sameOrder = (state: ReturnType<typeof reduceJob>): EventPayloads['plan-changed'] => ({
  circumstances: { ...state.circumstances, arrivals: [] },
  order: operationOrder(state.plan!).filter(id => !state.done[id]),
  at: '2026-03-06T08:00:00.000Z',
  utcOffsetMinutes: 0,
  lowerBoundMinutes: 0,
  proven: false,
})

/** Works to the end, saying of each part that it is here before the step that wants it. */
export function finished(events: JobEvent[]): JobEvent[] {
  const mechanic = new DemoMechanic(events, personId, Date.parse('2026-03-06T08:00:00.000Z'))
  return mechanic.write('plan-changed', sameOrder(reduceJob(events))).workUntil(null).events
}
