import { findPack } from '../../garage-packs'
import { Refused } from '../../refused'

export default defineRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  const pack = await findPack(useStore(sessionGarage()), useShelf(), id)
  if (!pack) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
  return sendJson(event, pack)
})
