import { EITHER_POSITION } from '../pack/kinds'
import type { Hold, Load } from '../pack/loads'
import type { Operation } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import { bayOf } from '../pack/bay'
import { CarState } from './car-state'

/** What may not be: a load that nothing holds enough, a car that moves over what stands on the floor under it, a load that is settled while something carries it. */
export type BreachRule = 'held' | 'height' | 'settled'

/** The first moment at which something may not be as it is. */
export interface Breach {
  rule: BreachRule
  /** The step by which it comes about. */
  step: string
  /** The load that is let go, or what stands in the way. */
  what: string
  because: string
}

/**
 * Works an order off and tells the first breach of each rule. It goes by what comes off, goes back and is set, and knows neither the facts
 * nor the links that an order was made by.
 * @param procedure its `loads`, and the `foot` of what it props; a job of before says neither, and nothing is found
 * @param order ids of operations in the order they are done; others are passed over
 * @returns in the order in which they come about; empty where all holds
 */
export function simulate(procedure: Procedure, order: string[]): Breach[] {
  const operations = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const car = new CarState(procedure)
  const { loads = [] } = procedure
  const found: Breach[] = []
  let stance = bayOf(procedure).stances[0]!.id
  const tell = (breach: Breach) => {
    if (!found.some(({ rule, what }) => rule === breach.rule && what === breach.what)) found.push(breach)
  }
  const move = (operation: Pick<Operation, 'id' | 'car'>) => {
    if (operation.car === EITHER_POSITION || operation.car === stance) return
    stance = operation.car
    for (const prop of car.onFloor())
      tell({
        rule: 'height',
        step: operation.id,
        what: prop.id,
        because: `${prop.name} stands on the floor: the car keeps its height as long as it does.`,
      })
  }
  /** What hands hold until the next step. */
  let inHands: Breach[] = []
  for (const id of order) {
    const operation = operations.get(id)
    if (!operation) continue
    move(operation)
    for (const load of loads.filter(({ id: load }) => operation.settles?.includes(load)))
      for (const prop of car.propsOf(load))
        tell({
          rule: 'settled',
          step: id,
          what: load.id,
          because: `${load.name} does not hang by itself: ${nameOf(procedure, prop)} carries it.`,
        })
    car.do(operation)
    const hanging = loads.filter(load => !car.isHeld(load))
    for (const breach of inHands) if (hanging.some(({ id: load }) => load === breach.what)) tell(breach)
    inHands = []
    for (const load of hanging) {
      const breach: Breach = { rule: 'held', step: id, what: load.id, because: unheld(procedure, car, load) }
      if (load.byHand) inHands.push(breach)
      else tell(breach)
    }
  }
  return found
}

/** What is wrong with a load that hangs, from the hold that lacks least. */
function unheld(procedure: Procedure, car: CarState, load: Load): string {
  const own = load.heldBy.find(({ bolts, fitted }) => bolts ?? fitted)
  const props = load.heldBy.flatMap(({ prop }) => nameOf(procedure, prop) ?? [])
  return (
    [`${load.name}: no ${props.join(' or ')} carries it`, ...(own ? lacking(procedure, car, own) : [])].join(', ') + '.'
  )
}

function lacking(procedure: Procedure, car: CarState, { fitted = [], bolts }: Hold): string[] {
  const off = fitted.filter(item => car.count(item) > 0).map(item => `without ${nameOf(procedure, item)}`)
  if (!bolts || car.atFigure(bolts.group) >= bolts.atFigure) return off
  const { name, count } = procedure.groups.find(group => group.id === bolts.group)!
  return [...off, `${car.atFigure(bolts.group)} of ${count} at their figure: ${name}`]
}

const nameOf = ({ items }: Procedure, id: string | undefined) => items.find(item => item.id === id)?.name
