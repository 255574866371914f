import { removePack } from '../../garage-packs'

export default defineRoute('teach', async event => {
  await removePack(useStore(garageOf(event)), useShelf(), getRouterParam(event, 'id')!)
  setResponseStatus(event, 204)
  return null
})
