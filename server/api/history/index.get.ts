import { HIGHEST_JOB_NUMBER, uuid } from '../../../contracts/common'
import { Refused } from '../../refused'

/** Closed jobs below a number, or all of one car; newest first. */
export default defineRoute('see-jobs', async event => {
  const { vehicle, before } = getQuery(event)
  const { words } = useStore(garageOf(event))
  if (vehicle !== undefined) {
    if (!uuid.safeParse(vehicle).success) throw new Refused(400, [{ path: 'vehicle', reason: 'A UUID is wanted.' }])
    return words.ofVehicle(String(vehicle))
  }
  const number = before === undefined ? HIGHEST_JOB_NUMBER + 1 : Number(before)
  if (!Number.isInteger(number) || number < 1 || number > HIGHEST_JOB_NUMBER + 1)
    throw new Refused(400, [{ path: 'before', reason: `A whole number from 1 to ${HIGHEST_JOB_NUMBER + 1}.` }])
  return words.closed(number)
})
