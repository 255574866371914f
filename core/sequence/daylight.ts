import { within } from '../base/field-error'

/** Degrees below the horizon at which a mechanic without lamps has to stop: civil twilight. */
const CIVIL = 6
const toRadians = Math.PI / 180

/**
 * When it gets dark: the end of civil twilight, minutes of the day in UTC; 24 h and more runs into the next day.
 *
 * Sun's declination and equation of time by the short Fourier series of Spencer 1971, from memory; good to about two minutes.
 * @param latitudeDegrees north positive
 * @param longitudeDegrees east positive
 * @param dayOfYear 1 for 1 January
 * @returns `null` where it does not get dark that day, or does not get light
 */
export function darkFrom(latitudeDegrees: number, longitudeDegrees: number, dayOfYear: number): number | null {
  within('latitudeDegrees', latitudeDegrees, -90, 90, 'The latitude')
  within('longitudeDegrees', longitudeDegrees, -180, 180, 'The longitude')
  within('dayOfYear', dayOfYear, 1, 366, 'The day of the year')
  const angle = (2 * Math.PI * (dayOfYear - 1)) / 365
  const declination =
    0.006918 -
    0.399912 * Math.cos(angle) +
    0.070257 * Math.sin(angle) -
    0.006758 * Math.cos(2 * angle) +
    0.000907 * Math.sin(2 * angle) -
    0.002697 * Math.cos(3 * angle) +
    0.00148 * Math.sin(3 * angle)
  const equationMinutes =
    229.18 *
    (0.000075 +
      0.001868 * Math.cos(angle) -
      0.032077 * Math.sin(angle) -
      0.014615 * Math.cos(2 * angle) -
      0.040849 * Math.sin(2 * angle))
  const latitude = latitudeDegrees * toRadians
  const cosine =
    (Math.sin(-CIVIL * toRadians) - Math.sin(latitude) * Math.sin(declination)) /
    (Math.cos(latitude) * Math.cos(declination))
  if (cosine < -1 || cosine > 1) return null
  const noon = 720 - 4 * longitudeDegrees - equationMinutes
  return noon + (4 * Math.acos(cosine)) / toRadians
}
