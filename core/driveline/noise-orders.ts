import { within } from '../base/field-error'

/** How the car was driven when something was heard or felt. */
export interface NoiseDrive {
  speedKmh: number
  /** Of the gear it was in, of the final drive, and the tire. */
  gearRatio: number
  finalRatio: number
  tire: { widthMm: number; aspect: number; rimIn: number }
  cylinders: number
  /** Whether a shaft between box and axle turns at the speed of the box's output, with joints of its own. */
  propshaft: boolean
  /** What was counted or read off a meter, in Hz. */
  heardHz?: number
}

export interface NoiseOrder {
  part: 'wheel' | 'propshaft' | 'engine'
  order: number
  hz: number
  /** What of it makes this order. */
  from: string
  /** How far from what was heard, as a share of it; `null` where nothing was counted. */
  off: number | null
}

/** A tire rolls on this share of its free circumference. From memory; depends on load and pressure. */
const ROLLS = 0.97
const KMH = 1 / 3.6

/** Rolling circumference of a tire, in mm, from its size: rim and twice the wall. */
export function rollingMm({ widthMm, aspect, rimIn }: NoiseDrive['tire']): number {
  within('tire.widthMm', widthMm, 100, 400, 'The width of the {tire} in mm')
  within('tire.aspect', aspect, 25, 95, 'The height of its wall in hundredths of the width')
  within('tire.rimIn', rimIn, 10, 24, 'The rim in inches')
  return Math.PI * (rimIn * 25.4 + (2 * widthMm * aspect) / 100) * ROLLS
}

/**
 * Which turning part makes which frequency at a speed: first, second and fourth order of wheel, shaft and engine, and the firing
 * order, nearest to what was heard first. An order is a multiple of a part's own turns.
 * @throws FieldError on the field at fault
 */
export function noiseOrders({
  speedKmh,
  gearRatio,
  finalRatio,
  tire,
  cylinders,
  propshaft,
  heardHz,
}: NoiseDrive): NoiseOrder[] {
  within('speedKmh', speedKmh, 1, 300, 'The speed in km/h')
  within('gearRatio', gearRatio, 0.3, 8, 'The ratio of the gear')
  within('finalRatio', finalRatio, 1.5, 8, 'The final ratio')
  within('cylinders', cylinders, 1, 16, 'The cylinders')
  if (heardHz !== undefined) within('heardHz', heardHz, 0.1, 20_000, 'What was heard in Hz')
  const wheel = (speedKmh * KMH * 1000) / rollingMm(tire)
  const output = wheel * finalRatio
  const engine = output * gearRatio
  // A four-stroke fires half of its cylinders in a turn.
  const firing = cylinders / 2
  const rows: [NoiseOrder['part'], number, number, string][] = [
    ['wheel', wheel, 1, 'a wheel out of balance or round, a bent rim'],
    ['wheel', wheel, 2, 'a {tire} with two high places, an axle shaft joint'],
    ['wheel', wheel, 4, 'a {tire} worn in steps'],
    ...(propshaft
      ? ([
          ['propshaft', output, 1, 'a shaft out of balance or bent, its flange off the middle'],
          ['propshaft', output, 2, 'its joints: angles that do not cancel, yokes out of phase'],
          ['propshaft', output, 4, 'a joint that binds'],
        ] as [NoiseOrder['part'], number, number, string][])
      : []),
    ...[...new Set([1, 2, 4, firing])].map((order): [NoiseOrder['part'], number, number, string] => [
      'engine',
      engine,
      order,
      order === firing
        ? `the firing of ${cylinders} cylinders, a mount that passes it on`
        : ({ 1: 'clutch or flywheel out of balance, not square on its dowels', 2: 'masses of the engine' }[order] ??
          'second harmonic, a bracket that sings'),
    ]),
  ]
  return rows
    .map(([part, turns, order, from]) => ({
      part,
      order,
      hz: turns * order,
      from,
      off: heardHz === undefined ? null : Math.abs(turns * order - heardHz) / heardHz,
    }))
    .sort((a, b) => (a.off === null ? a.hz - b.hz : a.off - b.off!))
}
