import type { Load } from '../../pack/loads'
import type { Operation } from '../../pack/operations'
import type { Procedure } from '../../pack/pack'
import { CarState, heldBy, holds, isHeld, isOut, unheldBecause } from '../../physics'
import type { Bolts } from '../../physics'
import type { JobState } from '../chapters'

/** What holds something heavy. */
export interface Holding {
  loadId: string
  name: string
  /** It lies outside the car, and nothing has to hold it there. */
  isOut: boolean
  /** Every hold that is there, in words. */
  by: string[]
  /** The same as places in the load's list. */
  holds: number[]
  /** Why it hangs by nothing that holds; `null` where it is held. */
  hangs: string | null
  /** Light enough to be in a hand, and no step came since that has nothing to do with it. */
  byHand: boolean
}

/**
 * What holds each load now, from the ledger and the boards: bolts that nobody touched and those at their figure hold, started, snug and cracked
 * ones do not. Empty for a job whose layout says of no load.
 */
export const holdingNow = (state: JobState): Holding[] => holding(state, standing(state), lastDone(state))

/** What holds each load that a step holds otherwise, when it is done now. */
export function holdingAfter(state: JobState, step: Operation): Holding[] {
  const car = standing(state)
  const before = holding(state, car, lastDone(state))
  car.do(step)
  return changed(before, holding(state, car, step))
}

/** The same for every step to come that changes it, in the order of the plan. */
export function holdingAhead(state: JobState): { stepId: string; title: string; holding: Holding[] }[] {
  const { procedure, plan, done } = state
  if (!procedure?.loads || !plan) return []
  const steps = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const car = standing(state)
  let before = holding(state, car, lastDone(state))
  return plan.steps.flatMap(({ id }) => {
    const step = steps.get(id)
    if (!step || done[id]) return []
    car.do(step)
    const after = holding(state, car, step)
    const otherwise = changed(before, after)
    before = after
    return otherwise.length > 0 ? [{ stepId: id, title: step.title, holding: otherwise }] : []
  })
}

/** Loads that are held by something else; how many bolts more than enough are in changes nothing. */
function changed(before: Holding[], after: Holding[]): Holding[] {
  const told = ({ isOut, holds, hangs }: Holding) => [isOut, hangs !== null, ...holds].join()
  return after.filter((load, index) => told(load) !== told(before[index]!))
}

/** Loads that nothing holds at this moment. */
export const hangingNow = (state: JobState): Holding[] => holdingNow(state).filter(({ hangs }) => hangs !== null)

/** The step that was done last, of those that the work has. */
function lastDone({ done, procedure }: JobState): Operation | undefined {
  const last = Object.keys(done).at(-1)
  return procedure?.operations.find(({ id }) => id === last)
}

/** Whether a step has to do with what holds a load. */
function touches(
  { takesOff, putsBack, figure }: Operation,
  { out, heldBy }: Load,
  { items }: Pick<Procedure, 'items'>,
): boolean {
  const groups = heldBy.flatMap(({ bolts }) => bolts?.group ?? [])
  const held = new Set([
    ...heldBy.flatMap(({ prop, fitted = [] }) => [prop, ...fitted]),
    out,
    ...items.filter(({ group }) => group !== undefined && groups.includes(group)).map(({ id }) => id),
  ])
  const moved = [...Object.keys(takesOff), ...Object.keys(putsBack)]
  return moved.some(item => held.has(item)) || (figure !== undefined && groups.includes(figure))
}

function holding({ procedure }: JobState, car: CarState, last: Operation | undefined): Holding[] {
  return (procedure?.loads ?? []).map(load => ({
    loadId: load.id,
    name: load.name,
    isOut: isOut(car, load),
    by: isOut(car, load) ? [] : heldBy(procedure!, car, load),
    holds: load.heldBy.flatMap((hold, index) => (holds(car, hold) ? [index] : [])),
    hangs: isHeld(car, load) ? null : unheldBecause(procedure!, car, load),
    byHand: load.byHand === true && (!last || touches(last, load, procedure!)),
  }))
}

/** The car as it stands now, to be worked on further. */
export function standing({ procedure, ledger, boards }: Pick<JobState, 'procedure' | 'ledger' | 'boards'>): CarState {
  const { items = [], groups = [] } = procedure ?? {}
  const bolts = Object.fromEntries(
    groups.map(({ id, count }): [string, Bolts] => {
      const stands = boards[id]?.bolts ?? []
      const out = stands.filter(({ stand }) => stand === 'out').length
      const loose = stands.filter(({ stand }) => stand === 'started' || stand === 'snug').length
      // What is only cracked stands in the ledger alone.
      const slack = items
        .filter(item => item.group === id && item.state === 'slack')
        .reduce((sum, item) => sum + (ledger[item.id] ?? 0), 0)
      const notHolding = Math.min(count - out, Math.max(loose, slack))
      return [id, { out, loose: notHolding, atFigure: Math.max(0, count - out - notHolding) }]
    }),
  )
  return new CarState({ items, groups }, { ledger, bolts })
}
