import type { GarageAnswer } from '../../contracts/answers'

export default defineRoute(async (): Promise<GarageAnswer> => {
  const store = useStore(sessionGarage())
  const [row, people] = await Promise.all([store.garage.settings(), store.garage.people()])
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
    hours,
    labourPerHour,
    currency,
    taxPercent,
    partsMarginPercent,
    callOut,
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
    terms: useShelf().terms,
    schools,
    toolsMissing,
    hours,
    labourPerHour,
    currency,
    taxPercent,
    partsMarginPercent,
    callOut,
    paper,
    timeZone,
    location: latitude === null || longitude === null ? null : { latitude, longitude },
  }
})
