import type { FoundLine } from '../../../contracts/answers'
import { Refused } from '../../refused'

/** Jobs by their words. */
export default defineRoute(async (event): Promise<FoundLine[]> => {
  const text = String(getQuery(event).q ?? '')
  if (text.length > 200) throw new Refused(400, [{ path: 'q', reason: 'At most 200 characters.' }])
  return useStore(sessionGarage()).words.find(text)
})
