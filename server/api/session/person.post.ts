import { handOverBody } from '../../../contracts/who'
import { wantsPin } from '../../../core/people/roles'
import { Refused } from '../../refused'
import { forgetBelieved } from '../../who/asker'
import { giveBack, PIN, takeTry } from '../../who/limits'
import { isSecret } from '../../who/secrets'

/** Somebody says that it is them now: by their name tag, or by their PIN where this device asks for one. */
export default defineRoute('signed-in', async event => {
  const asker = await askerOf(event)
  const { personId, pin } = await readChecked(event, handOverBody, undefined, 'anybody')
  const { who } = useStore(asker.garageId)
  const person = await who.person(personId)
  if (!person || person.gone) throw new Refused(422, [{ path: 'personId', reason: 'Nobody here has that id.' }])
  if (!asker.device) return null
  const device = (await who.devices()).find(each => each.id === asker.device!.rowId)!
  const signedInAs = (await who.ofAccount(device.accountId))?.role ?? 'helper'
  const asked = { role: person.role, hasPin: person.pinHash !== null }
  if (person.id !== asker.personId && wantsPin(asked, { asks: device.asks, signedInAs })) {
    const tried = `${asker.device.rowId} ${personId}`
    await takeTry(PIN, tried)
    if (!person.pinHash)
      throw new Refused(422, [
        { path: 'pin', reason: `${person.name} has no PIN yet. It is set by them or by the owner.` },
      ])
    if (!(await isSecret(person.pinHash, pin ?? '')))
      throw new Refused(422, [{ path: 'pin', reason: 'This is not the PIN.' }])
    await giveBack(PIN, tried)
  }
  await who.unlock(asker.device.deviceId, personId)
  await who.work(asker.device.rowId, personId)
  forgetBelieved()
  return null
})
