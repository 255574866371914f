import type { JobWorked } from '../../core/sequence'

/** The newest jobs of the garage, as their pace is learned from them: what was estimated and what it took. */
export default defineRoute('see-jobs', async (event): Promise<JobWorked[]> => useStore(garageOf(event)).learned.jobs())
