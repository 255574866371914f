import { uuid } from '../../../contracts/common'
import { personBody } from '../../../contracts/jobs'
import { Refused } from '../../refused'

/** Somebody who works here, by an id that the device gives. The last one cannot leave, nor can the last owner. */
export default defineRoute('people', async event => {
  const id = uuid.safeParse(getRouterParam(event, 'id'))
  if (!id.success) throw new Refused(400, [{ path: 'id', reason: 'A UUID is wanted.' }])
  const change = await readChecked(event, personBody)
  const { garage } = useStore(garageOf(event))
  const people = await garage.people()
  const others = people.filter(person => person.id !== id.data && !person.gone)
  if (change.gone && others.length === 0)
    throw new Refused(409, [{ path: 'gone', reason: 'Somebody has to work here. Add another person first.' }])
  const isOwner = change.role === undefined || change.role === 'owner'
  const owners = others.filter(person => person.role === 'owner')
  const was = people.find(person => person.id === id.data)
  if (was?.role === 'owner' && owners.length === 0 && (change.gone || !isOwner))
    throw new Refused(409, [{ path: 'role', reason: 'A garage has an owner. Make somebody else one first.' }])
  if (!(await garage.savePerson(id.data, change))) throw new Refused(409, [{ path: 'id', reason: 'This id is taken.' }])
  return { id: id.data, ...change }
})
