import { inGarage } from '../../../db/eyes'
import { forGarage } from '../../../db/for-garage'
import { tell } from '../../../jobs/told'
import { projectAnew } from '../../../projections'
import { Refused } from '../../../refused'

/** Takes the customer's name out of the records of a car; what was done to it stays. */
export default defineRoute('settle', async event => {
  const id = idParam(event)
  const { garageId, personId } = await askerOf(event)
  return inGarage(useDatabase().db, garageId, async tx => {
    const store = forGarage(tx, garageId)
    if (!(await store.vehicles.find(id)))
      throw new Refused(404, [{ path: 'id', reason: 'There is no such vehicle in this garage.' }])
    const jobs = await store.erasures.erase(id, personId)
    for (const jobId of jobs) await projectAnew(store, tell(await store.jobs.events(jobId)))
    return { jobs: jobs.length }
  })
})
