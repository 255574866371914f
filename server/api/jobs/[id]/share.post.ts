import { shareBody } from '../../../../contracts/jobs'
import { Refused } from '../../../refused'
import { hashOf } from '../../../who/secrets'

/** Lets a link lead to a job. Whoever makes it has thrown the dice; here stands only what it hashes to. */
export default defineRoute('share', async event => {
  const id = idParam(event)
  const { token, days } = await readChecked(event, shareBody)
  const store = useStore(garageOf(event))
  if (!(await store.jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  await store.shares.make(id, hashOf(token), days)
  return { days }
})
