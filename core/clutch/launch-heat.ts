import { within } from '../base/field-error'

export interface Launch {
  /** Mass of car and load, in kg. */
  massKg: number
  /** First gear times final drive. */
  ratio: number
  tyreRadiusMm: number
  /** Engine speed held while it takes up. */
  enginePerMinute: number
  /** Torque the clutch carries and torque the hill or trailer asks at the clutch, in N·m. */
  clutchNm: number
  loadNm: number
  /** Iron that takes the heat up at once: pressure plate and flywheel rim, in kg. */
  ironKg: number
  /** Area of one lining face, in mm², and how many rub. */
  faceMm2: number
  faces: number
}

export interface LaunchHeat {
  /** Heat made in one start, in J. */
  energyJ: number
  /** How much warmer the iron is after it, in °C. */
  riseC: number
  /** Heat on the lining, in J/mm². */
  perAreaJMm2: number
  seconds: number
}

/** Heat taken up by iron and steel, in J/(kg·K). Shigley, clutches and brakes: 500; from memory. */
const IRON_J_KG_K = 500

/**
 * The heat of one start from rest at a held engine speed.
 *
 * The car seen from the clutch is a flywheel of m (r / i)². Brought up to speed ω by the torque that is left after the load,
 * it slips for t = J ω / (T − Tload) and makes ½ J ω² T / (T − Tload). Source: the energy of a slipping clutch in any machine
 * design handbook, with the engine's speed held instead of falling.
 * @throws FieldError on the field at fault
 */
export function launchHeat({
  massKg,
  ratio,
  tyreRadiusMm,
  enginePerMinute,
  clutchNm,
  loadNm,
  ironKg,
  faceMm2,
  faces,
}: Launch): LaunchHeat {
  within('massKg', massKg, 100, 60_000, 'The mass in kg')
  within('ratio', ratio, 1, 200, 'The ratio')
  within('tyreRadiusMm', tyreRadiusMm, 100, 1500, 'The radius of the tyre in mm')
  within('enginePerMinute', enginePerMinute, 300, 12_000, 'The engine speed per minute')
  within('loadNm', loadNm, 0, 5000, 'The load at the clutch in N·m')
  within('clutchNm', clutchNm, loadNm * 1.001 + 0.001, 20_000, 'The torque of the clutch in N·m')
  within('ironKg', ironKg, 0.5, 200, 'The iron in kg')
  within('faceMm2', faceMm2, 100, 1e7, 'The area of a face in mm²')
  within('faces', faces, 1, 20, 'The number of faces')
  const inertia = massKg * (tyreRadiusMm / 1000 / ratio) ** 2
  const speed = (enginePerMinute * 2 * Math.PI) / 60
  const energyJ = (((inertia * speed ** 2) / 2) * clutchNm) / (clutchNm - loadNm)
  return {
    energyJ,
    riseC: energyJ / (ironKg * IRON_J_KG_K),
    perAreaJMm2: energyJ / (faceMm2 * faces),
    seconds: (inertia * speed) / (clutchNm - loadNm),
  }
}
