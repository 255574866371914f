/** What holds, hangs and stands at every moment of the work. */
export { simulate } from './simulate'
export type { Begun, Breach, BreachRule } from './simulate'
export { CarState } from './car-state'
export type { Bolts } from './car-state'
export { heldBy, holds, isHeld, isOut, unheldBecause } from './holding'
export type { Standing } from './holding'
