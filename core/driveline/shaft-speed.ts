import { within } from '../base/field-error'

/**
 * How fast the shaft turns at a road speed, in turns a minute: v / U × i.
 * @param roadKmH road speed in km an hour
 * @param axleRatio turns of the shaft to one of the wheel
 * @param rollingMm rolling circumference of the tire in mm
 * @throws FieldError on the field at fault
 */
export function shaftSpeed(roadKmH: number, axleRatio: number, rollingMm: number): number {
  within('roadKmH', roadKmH, 0, 400, 'The road speed in km an hour')
  within('axleRatio', axleRatio, 1, 12, 'The ratio of the axle')
  within('rollingMm', rollingMm, 800, 6000, 'The rolling circumference in mm')
  return ((roadKmH * 1e6) / 60 / rollingMm) * axleRatio
}
