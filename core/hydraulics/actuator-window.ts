import { FieldError, within } from '../base/field-error'

export interface ActuatorReport {
  verdict: 'inside' | 'worn' | 'short'
  because: string
  /** Where in its window it stands, 0 to 1. */ share: number
}

/**
 * The travel that an automated clutch's actuator reports, against the window it was taught: as the disc wears the engaged
 * position moves, and beyond the window the controller refuses gears.
 * @throws FieldError on a window that is none
 */
export function actuatorWindow({
  reportedMm,
  lowMm,
  highMm,
  growsWithWear,
}: {
  reportedMm: number
  lowMm: number
  highMm: number
  growsWithWear: boolean
}): ActuatorReport {
  within('reportedMm', reportedMm, 0, 100, 'The reported travel in mm')
  within('lowMm', lowMm, 0, 100, 'The low end of the window in mm')
  within('highMm', highMm, 0, 100, 'The high end of the window in mm')
  if (highMm <= lowMm) throw new FieldError('highMm', 'The window ends above where it begins.')
  const share = (reportedMm - lowMm) / (highMm - lowMm)
  if (share >= 0 && share <= 1)
    return { verdict: 'inside', share, because: `{${reportedMm} mm} lies inside {${lowMm} mm} to {${highMm} mm}.` }
  const worn = growsWithWear ? share > 1 : share < 0
  return worn
    ? {
        verdict: 'worn',
        share,
        because: `{${reportedMm} mm} lies beyond {${growsWithWear ? highMm : lowMm} mm} on the side of wear: the disc is worn, or the travel was never taught after the last one.`,
      }
    : {
        verdict: 'short',
        share,
        because: `{${reportedMm} mm} lies beyond {${growsWithWear ? lowMm : highMm} mm} away from wear: air in the line, a leak, or the wrong parts.`,
      }
}
