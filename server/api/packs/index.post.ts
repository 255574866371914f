import { packText } from '../../../contracts/jobs'
import { importPack } from '../../garage-packs'

export default defineRoute('teach', async event => {
  const { yaml, personId } = await readChecked(event, packText, largest.layout)
  const taken = await importPack(useStore(garageOf(event)), useShelf(), yaml, personId)
  setResponseStatus(event, 201)
  return taken
})
