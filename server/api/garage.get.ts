import type { GarageAnswer } from '../../contracts/answers'
import type { MeAnswer } from '../../contracts/who'
import { may } from '../../core/people/roles'
import { canMail } from '../who/mail'

export default defineRoute('signed-in', async (event): Promise<GarageAnswer> => {
  const { garageId, role, personId, device } = await askerOf(event)
  const store = useStore(garageId)
  const showsMoney = may(role, 'see-money')
  const [row, people, own, erased] = await Promise.all([
    store.garage.settings(),
    store.garage.people(),
    device ? store.who.seen(device.rowId) : null,
    store.erasures.list(),
  ])
  const {
    id,
    name,
    town,
    address,
    words,
    torqueUnit: torque,
    lengthUnit: length,
    distanceUnit: distance,
    massUnit: mass,
    volumeUnit: volume,
    numberFormat: numbers,
    schools,
    toolsMissing,
    toolTerms,
    hours,
    labourPerHour,
    currency,
    taxPercent,
    partsMarginPercent,
    callOut,
    priceShare,
    laterPercent,
    latePerDay,
    earlyPerDay,
    trayTools,
    paper,
    timeZone,
    latitude,
    longitude,
  } = row
  return {
    id,
    name,
    town,
    address,
    words,
    units: { torque, length, distance, mass, volume, numbers },
    people,
    me: { personId, role, device: device && own ? await ownDevice(store, device.rowId, own) : null },
    erased,
    mails: canMail() && may(role, 'people'),
    terms: useShelf().terms,
    found: useShelf().found,
    schools,
    toolsMissing,
    toolTerms,
    hours,
    labourPerHour: showsMoney ? labourPerHour : 0,
    currency,
    taxPercent: showsMoney ? taxPercent : 0,
    partsMarginPercent: showsMoney ? partsMarginPercent : 0,
    callOut: showsMoney ? callOut : 0,
    priceShare,
    laterPercent: showsMoney ? laterPercent : 0,
    latePerDay: showsMoney ? latePerDay : 0,
    earlyPerDay: showsMoney ? earlyPerDay : 0,
    trayTools,
    paper,
    timeZone,
    location: latitude === null || longitude === null ? null : { latitude, longitude },
  }
})

/** How this device asks who is working, and for whom it does not. */
async function ownDevice(
  { who }: ReturnType<typeof useStore>,
  id: string,
  { asks, accountId }: { asks: 'pin' | 'tag'; accountId: string },
): Promise<MeAnswer['device']> {
  return { id, asks, signedInAs: (await who.ofAccount(accountId))?.role ?? 'helper' }
}
