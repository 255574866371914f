import { findPack } from '../../garage-packs'
import { learnedPack } from '../../learn'
import { Refused } from '../../refused'

export default defineRoute('see-jobs', async event => {
  const id = getRouterParam(event, 'id')!
  const pack = await findPack(useStore(garageOf(event)), useShelf(), id)
  if (!pack) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
  return sendJson(event, await learnedPack(useStore(garageOf(event)), pack))
})
