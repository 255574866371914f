import { Refused } from '../../../refused'

/** Events that say something of the customer, or that the customer was given. */
const OF_CUSTOMER = new Set(['job-opened', 'handed-over', 'paper-issued', 'paid', 'note-added', 'cause-found'])

/** Everything that is kept of the customer of a car, as a file that can be given to them. */
export default defineRoute('settle', async event => {
  const id = idParam(event)
  const { vehicles, jobs, words } = useStore(garageOf(event))
  const vehicle = await vehicles.find(id)
  if (!vehicle) throw new Refused(404, [{ path: 'id', reason: 'There is no such vehicle in this garage.' }])
  setHeader(event, 'content-disposition', 'attachment; filename="customer.json"')
  setHeader(event, 'cache-control', 'no-store')
  const all = await words.ofVehicle(id, 10_000)
  return {
    customer: vehicle.customer,
    vehicle,
    jobs: await Promise.all(
      all.map(async ({ jobId, number }) => ({
        number,
        events: (await jobs.events(jobId))
          .filter(({ type }) => OF_CUSTOMER.has(type))
          .map(({ type, deviceTime, payload }) => ({ type, at: deviceTime, payload: withoutPlan(payload) })),
      })),
    ),
  }
})

/** A layout and its plan say nothing of anybody. */
function withoutPlan(payload: object): object {
  const { procedure: _procedure, plan: _plan, ...rest } = payload as { procedure?: unknown; plan?: unknown }
  return rest
}
