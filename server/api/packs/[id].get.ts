import { Refused } from '../../refused'

export default defineRoute((event) => {
  const id = getRouterParam(event, 'id')!
  const pack = useShelf().packs.get(id)
  if (!pack) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
  return sendJson(event, pack)
})
