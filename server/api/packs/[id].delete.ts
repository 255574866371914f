import { removePack } from '../../garage-packs'

export default defineRoute(async event => {
  await removePack(useStore(sessionGarage()), useShelf(), getRouterParam(event, 'id')!)
  setResponseStatus(event, 204)
  return null
})
