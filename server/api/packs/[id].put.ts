import { packChange } from '../../../contracts/jobs'
import { changePack } from '../../garage-packs'

export default defineRoute('teach', async event => {
  const { yaml, revision, personId } = await readChecked(event, packChange, largest.layout)
  return changePack(useStore(garageOf(event)), useShelf(), getRouterParam(event, 'id')!, revision, yaml, personId)
})
