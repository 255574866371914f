import { z } from 'zod'
import { uuid } from '../../../../contracts/common'
import { Refused } from '../../../refused'

const request = z.strictObject({ from: uuid, group: z.string().min(1).max(120), personId: uuid })

/** Takes a figure over from another car of the same model, with its source. */
export default defineRoute('work', async event => {
  const id = idParam(event)
  const { from, group, personId } = await readChecked(event, request)
  const store = useStore(garageOf(event))
  const vehicle = await store.vehicles.find(id)
  if (!vehicle) throw new Refused(404, [{ path: 'id', reason: 'There is no such vehicle in this garage.' }])
  if (!(await store.garage.people()).some(person => person.id === personId))
    throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
  const entry = (await store.vehicles.figuresAlike(vehicle)).find(
    each => each.vehicleId === from && each.figure.group === group,
  )
  if (!entry) throw new Refused(422, [{ path: 'group', reason: 'No other car of this model has that figure.' }])
  await store.vehicles.keepFigure(
    id,
    { ...entry.figure, reference: `${entry.figure.reference}, as on the ${entry.vehicleName}` },
    personId,
  )
  setResponseStatus(event, 201)
  return { group }
})
