import type { Planner } from '../workers/planner'

/** The planner in a worker; only the last question counts. */
export const usePlannerWorker = () =>
  useLastAsked<Planner>(() => new Worker(new URL('../workers/planner.ts', import.meta.url), { type: 'module' }))
