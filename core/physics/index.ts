/** What holds, hangs and stands at every moment of the work. */
export { simulate } from './simulate'
export type { Breach, BreachRule } from './simulate'
