export { bottles } from './bottles'
export type { BottleChoice, BottleSize } from './bottles'
export { drained, syringeStrokes } from './drained'
export type { DrainReport } from './drained'
