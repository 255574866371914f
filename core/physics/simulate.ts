import { EITHER_POSITION } from '../pack/kinds'
import type { CarPosition } from '../pack/kinds'
import type { Operation } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import { bayOf } from '../pack/bay'
import { CarState } from './car-state'
import { isHeld, nameOf, unheldBecause } from './holding'

/** What may not be: a load that nothing holds enough, a car that moves over what stands on the floor under it, a load that is settled
 * while something carries it, a dirty face that is covered or dry dust that is stirred, something flying while an opening gapes. */
export type BreachRule = 'held' | 'height' | 'settled' | 'clean' | 'shut'

/** The first moment at which something may not be as it is. */
export interface Breach {
  rule: BreachRule
  /** The step by which it comes about. */
  step: string
  /** The load that is let go, what stands in the way, the surface or the opening. */
  what: string
  because: string
}

/** A car that is being worked on. It is worked on further: nobody else should hold it. */
export interface Begun {
  car: CarState
  stance: CarPosition
  /** Surfaces that are dirty, each with the title of the step that left it so. */
  soiledBy: Map<string, string>
}

/**
 * Works an order off and tells the first breach of each rule. It goes by what comes off, goes back and is set, and knows neither the facts
 * nor the links that an order was made by.
 * @param procedure its `loads`, and the `foot` of what it props; a job of before says neither, and nothing is found
 * @param order ids of operations in the order they are done; others are passed over
 * @param from how the car stands when the order begins; as it came where nothing is said
 * @returns in the order in which they come about; empty where all holds
 */
export function simulate(procedure: Procedure, order: string[], from?: Begun): Breach[] {
  const operations = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const car = from?.car ?? new CarState(procedure)
  const { loads = [], surfaces = [] } = procedure
  const found: Breach[] = []
  let stance = from?.stance ?? bayOf(procedure).stances[0]!.id
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
  /** By which step a surface was left dirty. */
  const soiledBy = new Map(from?.soiledBy)
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
    for (const surface of surfaces.filter(({ id: wanted }) => operation.wantsClean?.includes(wanted))) {
      const soiled = soiledBy.get(surface.id)
      if (soiled !== undefined)
        tell({
          rule: 'clean',
          step: id,
          what: surface.id,
          because: `${surface.name}: not clean since “${soiled}”. ${surface.because}`,
        })
    }
    for (const item of operation.wantsShut?.filter(item => car.gapes(item)) ?? [])
      tell({ rule: 'shut', step: id, what: item, because: `${nameOf(procedure, item)}: what flies falls in.` })
    for (const surface of operation.soils ?? []) soiledBy.set(surface, operation.title)
    for (const surface of operation.washes ?? []) soiledBy.delete(surface)
    car.do(operation)
    const hanging = loads.filter(load => !isHeld(car, load))
    for (const breach of inHands) if (hanging.some(({ id: load }) => load === breach.what)) tell(breach)
    inHands = []
    for (const load of hanging) {
      const breach: Breach = { rule: 'held', step: id, what: load.id, because: unheldBecause(procedure, car, load) }
      if (load.byHand) inHands.push(breach)
      else tell(breach)
    }
  }
  // Nobody stands there with it for good.
  for (const breach of inHands) tell(breach)
  return found
}
