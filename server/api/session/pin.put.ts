import { pinBody } from '../../../contracts/who'
import { hashSecret } from '../../who/secrets'

export default defineRoute('signed-in', async event => {
  const { garageId, personId } = await askerOf(event)
  const { pin } = await readChecked(event, pinBody)
  await useStore(garageId).who.setPin(personId, pin === null ? null : await hashSecret(pin))
  return null
})
