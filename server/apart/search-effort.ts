import { USUAL_MOVES } from '../../core/sequence'
import { numberSetting } from '../setting'

/** How long the planner tries. ELDRIN_PLAN_MOVES is for machines so slow that taking a car in keeps people waiting. */
export const searchEffort = { moves: numberSetting('ELDRIN_PLAN_MOVES', USUAL_MOVES) }
