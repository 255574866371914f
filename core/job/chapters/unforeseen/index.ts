import { byId } from '../../../base/by-id'
import { findCycle } from '../../../base/find-cycle'
import { EITHER_POSITION } from '../../../pack/kinds'
import { bayOf } from '../../../pack/bay'
import { operationOrder } from '../../../sequence/move-step'
import { OrderError } from '../../../sequence/plan-in-order'
import type { Plan } from '../../../sequence/types'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { apartAgainIn } from '../again'
import { putAway } from '../again/put-away'
import { orderAgain } from '../again/order-again'
import { stepsOfAgain } from '../again/with-again'
import { buildBoards } from '../bolts/boards'
import { changedPlan } from '../plan/change-plan'
import { missingAgain } from '../taken-over'
import { pastOf } from '../plan/past'
import { stepsOfAdded, withAddedStep } from './added-step'
import type { AddedStep } from './added-step'
import { leaveOut, notToBeLeftOut, withoutStep } from './left-out'
import type { LeftOutStep } from './left-out'
import { notToBeSplit, withSplit } from './split'
import type { SplitStep } from './split'
import { putInOrder } from './put-in-order'

export interface UnforeseenEvents {
  /** A step that is done in two goes. */
  'step-split': SplitStep & { at: string; utcOffsetMinutes: number }
  /** A step that the layout does not hold: something else is in the way on this car. */
  'step-added': AddedStep & { at: string; utcOffsetMinutes: number }
  /** A step of the layout that this car has no use for. */
  'step-left-out': { stepId: string; reason: string; at: string; utcOffsetMinutes: number }
}

/** What this car has beyond its layout, and what it has not. */
export interface UnforeseenState {
  added: AddedStep[]
  split: SplitStep[]
  leftOut: LeftOutStep[]
}

export const nothingUnforeseen = (): UnforeseenState => ({ added: [], split: [], leftOut: [] })

export const unforeseen: Chapter<UnforeseenEvents> = {
  'step-added': {
    words: (_state, { payload }) => `Step added: ${payload.title}`,
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notToBeAdded(state, payload),
    apply: (state, { payload }) => {
      if (!state.plan || !state.procedure) return
      const { at, utcOffsetMinutes, ...added } = payload
      state.procedure = withAddedStep(state.procedure, added)
      planOn(state, [added], { at, utcOffsetMinutes }, payload)
      state.added = [...state.added, added]
      buildBoards(state)
    },
  },
  'step-split': {
    words: (_state, { payload }) => `In two: ${payload.first.title}`,
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notToBeSplit(state, payload),
    apply: (state, { payload }) => {
      if (!state.plan || !state.procedure || state.done[payload.stepId]) return
      const { at, utcOffsetMinutes, ...split } = payload
      state.procedure = withSplit(state.procedure, split)
      planOn(state, [], { at, utcOffsetMinutes }, payload, order => withFirst(order, split))
      state.split = [...state.split, split]
    },
  },
  'step-left-out': {
    words: (state, { payload }) =>
      `Left out: ${state.leftOut.find(({ stepId }) => stepId === payload.stepId)?.title ?? 'a step'}`,
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notToBeLeftOut(state, payload.stepId),
    apply: (state, { payload, deviceTime, personId }) => {
      const { stepId, reason, at, utcOffsetMinutes } = payload
      const operation = state.procedure && byId(state.procedure.operations, stepId)
      if (!operation || !state.plan || state.done[stepId]) return
      leaveOut(state, stepId)
      planOn(state, [], { at, utcOffsetMinutes }, payload)
      state.leftOut = [...state.leftOut, { stepId, title: operation.title, reason, at: deviceTime, personId }]
    },
  },
}

/** Plans on from now, remembered by the event that wanted it. */
function planOn(
  state: JobState,
  added: AddedStep[],
  at: { at: string; utcOffsetMinutes: number },
  event: object,
  reorder: (order: string[]) => string[] = order => order,
): void {
  const planned = planWith(state, added)
  state.plan = changedPlan(state, { ...planned, order: reorder(planned.order), ...at }, event)
  state.clock = { ...at, minutes: pastOf(state)?.steps.at(-1)?.finishMinutes ?? 0 }
}

/** The first part of a step stands directly before the rest. */
const withFirst = (order: readonly string[], { stepId, firstId }: SplitStep): string[] =>
  order.flatMap(id => (id === firstId ? [] : id === stepId ? [firstId, stepId] : [id]))

/** What the plan becomes with these steps, which its procedure holds already: everything else keeps its order. */
function planWith(state: JobState, added: AddedStep[]) {
  const { circumstances, plan, procedure } = state
  const { links } = procedure!
  const there = new Set(procedure!.operations.map(({ id }) => id))
  const isLeft = (id: string) => there.has(id) && !state.done[id]
  const order = added
    .flatMap(step => stepsOfAdded(step).map(id => ({ id, late: id === step.stepId })))
    .filter(({ id }) => isLeft(id))
    .reduce<string[]>(
      (left, { id, late }) => putInOrder(left, id, { links, pins: circumstances.pins, late }),
      operationOrder(plan!).filter(isLeft),
    )
  return { circumstances, order, lowerBoundMinutes: plan!.lowerBoundMinutes, proven: false }
}

/** Why a step cannot be added; `null` when it can. */
function notToBeAdded(
  state: JobState,
  { at, utcOffsetMinutes, ...added }: UnforeseenEvents['step-added'],
): Refusal | null {
  const { procedure, plan } = state
  if (!procedure || !plan) return refuse('type', 'The job has no plan yet.')
  const { places, stances } = bayOf(procedure)
  if (!places.some(({ id }) => id === added.place))
    return refuse('payload.place', `There is no place "${added.place}" at this car.`)
  if (added.car !== EITHER_POSITION && !stances.some(({ id }) => id === added.car))
    return refuse('payload.car', `This car never stands "${added.car}".`)
  const known = new Set(procedure.operations.map(({ id }) => id))
  if (stepsOfAdded(added).some(id => known.has(id)))
    return refuse('payload.stepId', 'The plan has such a step already.')
  const things = new Set([...procedure.items, ...procedure.groups].map(({ id }) => id))
  const twice = added.takesOff.find(
    ({ id }, index) => things.has(id) || added.takesOff.findIndex(other => other.id === id) < index,
  )
  if (twice) return refuse('payload.takesOff', `This job has a thing "${twice.id}" already.`)
  for (const [path, wanted, there] of [
    ['payload.tools', added.tools, procedure.tools],
    ['payload.cautions', added.cautions, procedure.cautions],
    ['payload.after', added.after, procedure.operations],
    ['payload.before', added.before, procedure.operations],
  ] as const) {
    const stranger = wanted.find(id => !there.some(entry => entry.id === id))
    if (stranger !== undefined) return refuse(path, `This job knows nothing of "${stranger}".`)
  }
  const over = added.before.find(id => state.done[id])
  if (over !== undefined) return refuse('payload.before', 'That is done already: nothing is in its way any more.')
  const larger = withAddedStep(procedure, added)
  if (
    findCycle(
      larger.operations.map(({ id }) => id),
      larger.links,
    )
  )
    return refuse('payload.before', 'It cannot come before one step and after another that waits for that one.')
  try {
    const wider = { ...state, procedure: larger }
    changedPlan(wider, { ...planWith(wider, [added]), at, utcOffsetMinutes })
    return null
  } catch (error) {
    if (error instanceof OrderError) return refuse('payload.before', error.because)
    throw error
  }
}

/**
 * After the work was expanded anew: what this car has beyond its layout is in it again, what it has not is out, what comes apart once
 * more does, and the plan goes by it.
 */
export function addAgain(state: JobState, event: { at: string; utcOffsetMinutes: number }, remembered: object): void {
  missingAgain(state)
  if (
    state.added.length + state.split.length + state.leftOut.length + state.again.length === 0 ||
    !state.procedure ||
    !state.plan
  )
    return
  for (const { stepId } of state.leftOut)
    if (!state.done[stepId]) state.procedure = withoutStep(state.procedure, stepId)
  for (const split of state.split) state.procedure = withSplit(state.procedure, split)
  for (const added of state.added) state.procedure = withAddedStep(state.procedure, tiedWhereItCan(state, added))
  apartAgainIn(state)
  const { operations, links } = state.procedure
  const isLeft = (id: string) => !state.done[id] && operations.some(operation => operation.id === id)
  const planned = planWith(state, state.added)
  const firsts = state.split
    .filter(({ firstId, stepId }) => isLeft(firstId) && isLeft(stepId))
    .reduce((left, split) => withFirst(left, split), planned.order)
  const order = state.again.reduce((left, entry) => orderAgain(left, entry, links, isLeft), firsts)
  state.plan = changedPlan(state, { ...planned, order, ...event }, remembered)
  if (state.again.length > 0) state.procedure = putAway(state, state.procedure, order)
}

/**
 * The present plan with what was done of this car's own work, which no layout knows: planned anew it is not in it, and would be taken for
 * work that is left.
 * @param before the plan until now
 */
export function withOwnDone({ plan, added, again, done }: JobState, before: Plan): Plan {
  const own = new Set([...added.flatMap(stepsOfAdded), ...again.flatMap(stepsOfAgain)])
  const held = new Set(plan!.steps.map(step => step.id))
  const steps = before.steps.filter(({ id }) => own.has(id) && done[id] && !held.has(id))
  return { ...plan!, order: [...steps.map(step => step.id), ...plan!.order], steps: [...steps, ...plan!.steps] }
}

/** Done another way, what it was tied to may stand the other way round: then it is tied to nothing. */
function tiedWhereItCan({ procedure }: JobState, added: AddedStep): AddedStep {
  const { operations, links } = withAddedStep(procedure!, added)
  return findCycle(
    operations.map(({ id }) => id),
    links,
  )
    ? { ...added, after: [], before: [] }
    : added
}
