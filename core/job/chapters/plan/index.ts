import { bayOf, homeOf } from '../../../pack/bay'
import type { Procedure } from '../../../pack/pack'
import { operationOrder } from '../../../sequence/move-step'
import { OrderError } from '../../../sequence/plan-in-order'
import type { Plan } from '../../../sequence/types'
import type { Chapter } from '../../chapters'
import { refuse } from '../../log/chapter'
import { newBreach } from '../../views/breaches-ahead'
import { buildBoards } from '../bolts/boards'
import { decide, unknownDecided } from '../renewals'
import type { Decided } from '../renewals'
import { addAgain, withOwnDone } from '../unforeseen'
import { changedPlan } from './change-plan'
import { noCircumstances } from './circumstances'
import type { PlanMove } from './moves'
import type { Circumstances, PlanClock } from './circumstances'
import { readPlan } from './read-plan'
import { pastOf } from './past'
import { switchBarrier } from './switch-barrier'

/** Where a car is worked on, how far that is, and until when it is put off. */
export interface WeekPlacing {
  site: 'bay' | 'driveway'
  travelMinutes: number
  notBefore: string | null
}

export interface PlanEvents {
  /** The work and its order. */
  'plan-made': { procedure: Procedure; plan: Plan; circumstances?: Circumstances; clock?: PlanClock }
  /** Another way of doing it: other work, planned on from the steps done. */
  'options-switched': {
    procedure: Procedure
    plan: Plan
    circumstances: Circumstances
    clock: PlanClock
    /** What was decided of parts in reach, where that is why. */
    decided?: Decided
  }
  /** The same work in another order, or under other circumstances. `order` holds the operations not yet done. */
  'plan-changed': {
    circumstances: Circumstances
    order: string[]
    at: string
    utcOffsetMinutes: number
    lowerBoundMinutes: number
    proven: boolean
  }
  /** What was proven of a plan after it was made: no order takes fewer minutes. `order` (its operations) and `minutes` say of which plan. */
  'plan-proven': { order: string[]; minutes: number; lowerBoundMinutes: number }
  'week-placed': WeekPlacing
  /** When the customer was told it would be done; `null` takes that back. */
  promised: { at: string | null }
}

/** What is to be done, in which order, where and by when. */
export interface PlanState {
  procedure: Procedure | null
  plan: Plan | null
  circumstances: Circumstances
  /** Where the plan lies on the wall clock. */
  clock: PlanClock | null
  site: WeekPlacing
  /** ISO 8601. */
  promisedAt: string | null
  /** What moved the plan since it was made, in the order it happened; what was undone has moved nothing. */
  moves: PlanMove[]
}

export const noPlan = (): PlanState => ({
  procedure: null,
  plan: null,
  circumstances: noCircumstances,
  clock: null,
  site: { site: 'bay', travelMinutes: 0, notBefore: null },
  promisedAt: null,
  moves: [],
})

export const plan: Chapter<PlanEvents> = {
  'plan-made': {
    words: 'Plan',
    wants: 'work',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    admit: () => null,
    apply: (state, { payload, deviceTime }) => {
      Object.assign(state, readPlan(payload))
      Object.assign(state, { car: homeOf(payload.procedure), place: bayOf(payload.procedure).places[0]!.id })
      state.circumstances = payload.circumstances ?? noCircumstances
      state.clock = payload.clock ?? { at: deviceTime, minutes: 0, utcOffsetMinutes: 0 }
      state.facts = payload.procedure.facts.filter(fact => fact.initially).map(fact => fact.id)
      buildBoards(state)
    },
  },
  'options-switched': {
    words: (state, { payload }) => wordsOfSwitch(state, payload.decided),
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.procedure) return refuse('type', 'The job has no plan yet.')
      const barrier = switchBarrier(
        { procedure: state.procedure, done: Object.keys(state.done), car: state.car },
        payload.procedure,
      )
      if (barrier !== null) return refuse('options', barrier)
      const breach = newBreach(state, operationOrder(payload.plan), payload.procedure)
      if (breach) return refuse('payload.plan', breach.because)
      return payload.decided ? unknownDecided(payload, payload.decided) : null
    },
    apply: (state, { payload, deviceTime }) => {
      const known = new Set(state.procedure?.facts.map(fact => fact.id))
      const begun = payload.procedure.facts.filter(fact => fact.initially && !known.has(fact.id)).map(fact => fact.id)
      state.facts = [...state.facts, ...begun]
      const before = state.plan
      Object.assign(state, readPlan(payload), { circumstances: payload.circumstances, clock: payload.clock })
      if (before) state.plan = withOwnDone(state, before)
      addAgain(state, payload.clock, payload)
      buildBoards(state)
      if (payload.decided) decide(state, payload.decided, deviceTime)
    },
  },
  'plan-changed': {
    words: 'Change of the plan',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.plan) return refuse('type', 'The job has no plan yet.')
      const { helper, arrivals } = payload.circumstances
      if (helper && Date.parse(helper.to) <= Date.parse(helper.from))
        return refuse('payload.circumstances.helper.to', 'The helper leaves before coming.')
      const unknown = arrivals.find(arrival => !state.procedure!.parts.some(part => part.id === arrival.partId))
      if (unknown) return refuse('payload.circumstances.arrivals', `This job uses no part "${unknown.partId}".`)
      const stranger = payload.order.find(id => !state.procedure!.operations.some(operation => operation.id === id))
      if (stranger !== undefined) return refuse('payload.order', `The plan of this job has no step "${stranger}".`)
      try {
        changedPlan(state, payload)
        const breach = newBreach(state, payload.order)
        return breach && refuse('payload.order', breach.because)
      } catch (error) {
        if (error instanceof OrderError) return refuse('payload.order', error.because)
        if (error instanceof RangeError) return refuse('payload.circumstances', error.message)
        throw error
      }
    },
    apply: (state, { payload }) => {
      state.plan = changedPlan(state, payload)
      state.circumstances = payload.circumstances
      state.clock = {
        at: payload.at,
        utcOffsetMinutes: payload.utcOffsetMinutes,
        minutes: pastOf(state)?.steps.at(-1)?.finishMinutes ?? 0,
      }
    },
  },
  'plan-proven': {
    words: 'Proof of the plan',
    wants: 'work',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.plan) return refuse('type', 'The job has no plan yet.')
      const stranger = payload.order.find(id => !state.procedure!.operations.some(operation => operation.id === id))
      if (stranger !== undefined) return refuse('payload.order', `The plan of this job has no step "${stranger}".`)
      return payload.lowerBoundMinutes > payload.minutes + SAME_MINUTES
        ? refuse('payload.lowerBoundMinutes', 'A plan is not shorter than the shortest there can be.')
        : null
    },
    apply: (state, { payload }) => {
      const { plan } = state
      // The plan that was looked at may be another one by now.
      if (!plan || !isSamePlan(plan, payload) || payload.lowerBoundMinutes <= plan.lowerBoundMinutes) return
      const { lowerBoundMinutes } = payload
      state.plan = { ...plan, lowerBoundMinutes, proven: plan.totals.minutes <= lowerBoundMinutes + SAME_MINUTES }
    },
  },
  'week-placed': {
    words: 'Place in the week',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: () => null,
    apply: (state, { payload }) => {
      state.site = payload
    },
  },
  promised: {
    words: 'Promise',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: () => null,
    apply: (state, { payload }) => {
      state.promisedAt = payload.at
    },
  },
}

/** Times are sums of tenths. */
const SAME_MINUTES = 1e-3

const isSamePlan = (plan: Plan, { order, minutes }: PlanEvents['plan-proven']): boolean =>
  Math.abs(plan.totals.minutes - minutes) < SAME_MINUTES && operationOrder(plan).join(' ') === order.join(' ')

/** What is switched, by the parts that are renewed or left with it. */
function wordsOfSwitch({ procedure }: Pick<PlanState, 'procedure'>, decided?: Decided): string {
  const named = (wanted: string) =>
    (decided?.decisions ?? [])
      .filter(({ decision }) => decision === wanted)
      .flatMap(({ partId }) => procedure?.bench.reachable.find(({ id }) => id === partId)?.name ?? [])
      .join(', ')
  const [renewed, left] = [named('renew'), named('leave')]
  if (renewed) return `Renewed: ${renewed}`
  return left ? `Left: ${left}` : 'Another way of doing it'
}
