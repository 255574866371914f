import { may } from '../../../core/people/roles'
import type { DeviceLine } from '../../../contracts/who'

/** Devices that are signed in: all of the garage for who looks after its people, one's own for everybody else. */
export default defineRoute('signed-in', async (event): Promise<DeviceLine[]> => {
  const { garageId, device, accountId, role } = await askerOf(event)
  const store = useStore(garageId)
  const [devices, people] = await Promise.all([store.who.devices(), store.garage.people()])
  const nameOf = new Map(people.map(({ id, name }) => [id, name]))
  return devices
    .filter(each => may(role, 'people') || each.accountId === accountId)
    .map(({ id, name, personId, asks, signedInAt, seenAt }) => ({
      id,
      name,
      person: nameOf.get(personId) ?? '',
      asks,
      signedInAt: signedInAt.toISOString(),
      seenAt: seenAt.toISOString(),
      own: id === device?.rowId,
    }))
})
