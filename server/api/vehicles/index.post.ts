import { newVehicle } from '../../../contracts/jobs'
import { Refused } from '../../refused'

export default defineRoute('work', async event => {
  const entry = await readChecked(event, newVehicle)
  const { vehicles } = useStore(garageOf(event))
  await vehicles.add(entry)
  const kept = await vehicles.find(entry.id)
  if (!kept) throw new Refused(409, [{ path: 'id', reason: 'This id is taken.' }])
  setResponseStatus(event, 201)
  return kept
})
