import type { H3Event } from 'h3'
import type { PlacesAnswer } from '../../contracts/who'
import { placesOf } from '../db/queries/who'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'
import { signDeviceIn } from './sign-in'

/**
 * Lets somebody in who has shown who they are.
 * @param garageId the garage they said, of several
 * @returns the garages there are to choose from; `null` once they are in
 * @throws Refused where they belong to none
 */
export async function letAccountIn(
  event: H3Event,
  accountId: string,
  device: { deviceId: string; deviceName: string },
  garageId: string | undefined,
): Promise<PlacesAnswer | null> {
  const places = await placesOf(useDatabase().db, accountId)
  if (places.length === 0)
    throw new Refused(403, [{ path: 'signIn', reason: 'You belong to no garage any more. Ask for an invitation.' }])
  const place = places.length === 1 ? places[0]! : places.find(each => each.garageId === garageId)
  if (!place) return { places: places.map(({ garageId: id, garage, role }) => ({ garageId: id, garage, role })) }
  await signDeviceIn(event, { ...device, garageId: place.garageId, personId: place.personId, accountId })
  return null
}
