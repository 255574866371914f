import type { VehicleHistory } from '../../../../contracts/answers'
import { foundBefore } from '../../../found-before'
import { Refused } from '../../../refused'

/** A car with its jobs, the figures of its book, those written down on other cars of the same model, and what was found on such. */
export default defineRoute('see-customers', async (event): Promise<VehicleHistory> => {
  const id = idParam(event)
  const { vehicles, words } = useStore(garageOf(event))
  const vehicle = await vehicles.find(id)
  if (!vehicle) throw new Refused(404, [{ path: 'id', reason: 'There is no such vehicle in this garage.' }])
  const [figures, alike, jobs, added] = await Promise.all([
    vehicles.figures(id),
    vehicles.figuresAlike(vehicle),
    words.ofVehicle(id),
    vehicles.addedOnModel(vehicle),
  ])
  return {
    vehicle,
    jobs,
    figures,
    found: foundBefore(added),
    alike: alike.filter(entry => !figures.some(figure => figure.group === entry.figure.group)),
  }
})
