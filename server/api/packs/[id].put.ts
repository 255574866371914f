import { packChange } from '../../../contracts/jobs'
import { changePack } from '../../garage-packs'

export default defineRoute(async event => {
  const { yaml, revision, personId } = await readChecked(event, packChange, largest.layout)
  return changePack(useStore(sessionGarage()), useShelf(), getRouterParam(event, 'id')!, revision, yaml, personId)
})
