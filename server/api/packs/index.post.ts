import { packText } from '../../../contracts/jobs'
import { importPack } from '../../garage-packs'

export default defineRoute(async event => {
  const { yaml, personId } = await readChecked(event, packText, largest.layout)
  const taken = await importPack(useStore(sessionGarage()), useShelf(), yaml, personId)
  setResponseStatus(event, 201)
  return taken
})
