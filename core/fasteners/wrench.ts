import { FieldError, within } from '../base/field-error'

/**
 * What a torque wrench is set to with a crowfoot or other adapter on it.
 *
 * Setting = T · L / (L + E cos α): straight out it lengthens the wrench, square to it changes nothing, pointing back
 * shortens it. Formula, from the lever.
 * @param wrenchLengthMm from the square of the wrench to the middle of its grip
 * @param adapterLengthMm from the square to the middle of the bolt
 * @param adapterAngleDeg 0 straight out, 90 square to the wrench, 180 pointing back along it
 * @throws FieldError on the field at fault
 */
export function wrenchSetting({
  targetNm,
  wrenchLengthMm,
  adapterLengthMm,
  adapterAngleDeg,
}: {
  targetNm: number
  wrenchLengthMm: number
  adapterLengthMm: number
  adapterAngleDeg: number
}): { settingNm: number } {
  within('targetNm', targetNm, 0.1, 1000, 'A torque in N·m')
  within('wrenchLengthMm', wrenchLengthMm, 50, 2000, 'A wrench’s length in mm')
  within('adapterLengthMm', adapterLengthMm, 0, 1000, 'An adapter’s length in mm')
  within('adapterAngleDeg', adapterAngleDeg, -180, 360, 'An adapter’s angle in degrees')
  const reachMm = wrenchLengthMm + adapterLengthMm * Math.cos((adapterAngleDeg * Math.PI) / 180)
  if (reachMm < wrenchLengthMm * 0.2)
    throw new FieldError(
      'adapterLengthMm',
      'Pointing back, the adapter takes nearly all of the wrench’s length. Turn it.',
    )
  return { settingNm: (targetNm * wrenchLengthMm) / reachMm }
}

/** Drives of sockets and wrenches, in inches. */
export const driveSizes = ['1/4', '3/8', '1/2', '3/4'] as const
export type DriveSize = (typeof driveSizes)[number]

/** A torque wrench of the garage. */
export interface TorqueWrench {
  id: string
  name: string
  minNm: number
  maxNm: number
  drive: DriveSize
  /** From the square to the middle of the grip, in mm. */
  lengthMm: number
  /** Day of the last calibration, `yyyy-mm-dd`; `null` when nobody knows of one. */
  calibratedOn: string | null
}

/** A wrench is calibrated from this share of its range's end upwards. Source: ISO 6789 (from memory). */
export const CALIBRATED_FROM = 0.2
/** Calibration holds twelve months. Source: ISO 6789 (from memory). */
const CALIBRATION_MONTHS = 12

/** The part of a wrench's scale that its calibration covers, in N·m. */
export function calibratedRange(wrench: Pick<TorqueWrench, 'minNm' | 'maxNm'>): { fromNm: number; toNm: number } {
  within('minNm', wrench.minNm, 0, 5000, 'What the wrench begins at in N·m')
  within('maxNm', wrench.maxNm, 0, 5000, 'What the wrench ends at in N·m')
  return { fromNm: Math.max(wrench.minNm, wrench.maxNm * CALIBRATED_FROM), toNm: wrench.maxNm }
}

/** Whether a calibration has run out on a day, or was never made. @param today `yyyy-mm-dd` */
export function calibrationOverdue(wrench: Pick<TorqueWrench, 'calibratedOn'>, today: string): boolean {
  if (wrench.calibratedOn === null) return true
  const due = new Date(`${wrench.calibratedOn}T00:00:00Z`)
  due.setUTCMonth(due.getUTCMonth() + CALIBRATION_MONTHS)
  return due.toISOString().slice(0, 10) <= today
}

export interface WrenchChoice {
  wrench: TorqueWrench
  settingNm: number
  overdue: boolean
}

/**
 * The wrench for a torque out of those owned: the setting lies inside its calibrated range, the calibration has not run out,
 * and of several the one with the finest range, in whose middle the setting lies best.
 * @param today `yyyy-mm-dd`
 * @param setting what each wrench would be set to, in N·m; with an adapter it depends on the wrench's length
 * @returns the choice, flagged when its calibration has run out, or `null` when no wrench covers it
 */
export function chooseWrench(
  wrenches: TorqueWrench[],
  setting: (wrench: TorqueWrench) => number,
  today: string,
): WrenchChoice | null {
  const fitting = wrenches
    .map(wrench => ({ wrench, settingNm: setting(wrench), overdue: calibrationOverdue(wrench, today) }))
    .filter(({ wrench, settingNm }) => settingNm >= calibratedRange(wrench).fromNm && settingNm <= wrench.maxNm)
  return (
    fitting.sort(
      (a, b) =>
        Number(a.overdue) - Number(b.overdue) ||
        a.wrench.maxNm - b.wrench.maxNm ||
        (a.wrench.id < b.wrench.id ? -1 : 1),
    )[0] ?? null
  )
}
