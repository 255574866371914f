import { packCopy } from '../../../../contracts/jobs'
import { copyPack } from '../../../garage-packs'

export default defineRoute('teach', async event => {
  const { personId } = await readChecked(event, packCopy)
  const copy = await copyPack(useStore(garageOf(event)), useShelf(), getRouterParam(event, 'id')!, personId)
  setResponseStatus(event, 201)
  return copy
})
