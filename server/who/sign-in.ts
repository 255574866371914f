import type { H3Event } from 'h3'
import { inGarage } from '../db/eyes'
import { forGarage } from '../db/for-garage'
import { daysFromNow } from '../db/from-now'
import { SIGNED_IN_DAYS } from '../db/queries/who'
import { useDatabase } from '../utils/database'
import { giveDeviceCookie } from './device-cookie'
import { hashOf, newToken } from './secrets'

/** Signs a device in as somebody of a garage: it gets a token of its own, whatever it had before ends. */
export async function signDeviceIn(
  event: H3Event,
  who: { garageId: string; accountId: string; personId: string; deviceId: string; deviceName: string },
): Promise<void> {
  const token = newToken()
  await inGarage(useDatabase().db, who.garageId, async tx => {
    const { who: people } = forGarage(tx, who.garageId)
    for (const { id, deviceId } of await people.devices()) if (deviceId === who.deviceId) await people.end(id, false)
    await people.signIn({
      garageId: who.garageId,
      deviceId: who.deviceId,
      name: who.deviceName,
      tokenHash: hashOf(token),
      accountId: who.accountId,
      personId: who.personId,
      expiresAt: daysFromNow(SIGNED_IN_DAYS),
    })
  })
  giveDeviceCookie(event, token)
}
