import { Refused } from '../../../refused'

/** Gives the customer's link of a job, the one there is or a new one. */
export default defineRoute(async event => {
  const id = idParam(event)
  const store = useStore(sessionGarage())
  if (!(await store.jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  return { token: (await store.shares.ofJob(id))?.token ?? (await store.shares.make(id)) }
})
