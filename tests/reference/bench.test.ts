import FFT from 'fft.js'
import { Matrix, solve } from 'ml-matrix'
import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { alignment, clutch } from '../../core'
import { Chance } from '../../stand-ins/chance'

/** Readings round a circle with tilt, warp and noise, made by a generator that shares nothing with the fit. */
function circle(seed: number, count: number, even: boolean) {
  const chance = new Chance(seed)
  const [tilt, at, warp, turn] = [chance.next() * 0.3, chance.next() * 360, chance.next() * 0.2, chance.next() * 180]
  return Array.from({ length: count }, (_, index) => {
    const angleDeg = even ? (index * 360) / count : chance.next() * 360
    const rad = Math.PI / 180
    return {
      angleDeg,
      heightMm:
        0.4 +
        tilt * Math.cos((angleDeg - at) * rad) +
        warp * Math.cos(2 * (angleDeg - turn) * rad) +
        0.01 * (chance.next() - 0.5),
    }
  })
}
const seeds = Array.from({ length: 40 }, (_, index) => index + 1)

describe('flywheel runout', () => {
  it('has the mean and first coefficient of a discrete Fourier transform (fft.js)', () => {
    for (const seed of seeds) {
      for (const count of [8, 16]) {
        const readings = circle(seed, count, true)
        const fft = new FFT(count)
        const out = fft.createComplexArray()
        fft.realTransform(
          out,
          readings.map(reading => reading.heightMm),
        )
        const [re, im] = [(out[2]! * 2) / count, (-out[3]! * 2) / count]
        const fit = alignment.fitRunout(readings)
        expect(fit.meanMm).toBeCloseTo(out[0]! / count, 10)
        expect(fit.tiltMm).toBeCloseTo(Math.hypot(re, im), 10)
        expect(fit.tiltMm * Math.cos((fit.tiltAtDeg * Math.PI) / 180)).toBeCloseTo(re, 10)
        expect(fit.tiltMm * Math.sin((fit.tiltAtDeg * Math.PI) / 180)).toBeCloseTo(im, 10)
      }
    }
  })
  it('is the least-squares fit of ml-matrix where the places are uneven, and the rest is warp', () => {
    for (const seed of seeds) {
      const readings = circle(seed, 11, false)
      const design = new Matrix(
        readings.map(({ angleDeg }) => [1, Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)]),
      )
      const heights = Matrix.columnVector(readings.map(reading => reading.heightMm))
      const solution = solve(design, heights, true)
      const fit = alignment.fitRunout(readings)
      expect(fit.meanMm).toBeCloseTo(solution.get(0, 0), 9)
      expect(fit.tiltMm).toBeCloseTo(Math.hypot(solution.get(1, 0), solution.get(2, 0)), 9)
      const rest = Matrix.sub(heights, design.mmul(solution)).to1DArray()
      expect(fit.warpMm).toBeCloseTo(Math.max(...rest) - Math.min(...rest), 9)
    }
  })
})

describe('bell bore', () => {
  it('lies off by half the total indicator reading (formula), 5 thou being 0.0025 in of offset (common practice, no source)', () => {
    const totalMm = unit(0.005, 'in').toNumber('mm')
    const readings = [0, 90, 180, 270].map(angleDeg => ({
      angleDeg,
      heightMm: 1 + (totalMm / 2) * Math.cos(((angleDeg - 90) * Math.PI) / 180),
    }))
    const bore = alignment.boreOffset(readings)
    expect(bore.totalMm).toBeCloseTo(totalMm, 9)
    expect(bore.offsetMm).toBeCloseTo(totalMm / 2, 9)
    expect(bore.offsetMm).toBeCloseTo(unit(0.0025, 'in').toNumber('mm'), 9)
    expect(bore.atDeg).toBeCloseTo(90, 9)
  })
  it('agrees with the offset of two circles worked out by their geometry', () => {
    // The wall of a bore of radius R whose middle lies at e, seen from the crank: e·u + √(R² − (e×u)²), u the direction of the dial.
    const [radius, offset, at] = [60, 0.35, 130]
    const readings = Array.from({ length: 12 }, (_, index) => {
      const angle = ((index * 30 - at) * Math.PI) / 180
      const wall = offset * Math.cos(angle) + Math.sqrt(radius ** 2 - (offset * Math.sin(angle)) ** 2)
      // A wall that stands near pushes the plunger in.
      return { angleDeg: index * 30, heightMm: radius - wall }
    })
    const bore = alignment.boreOffset(readings)
    expect(bore.offsetMm).toBeCloseTo(offset, 4)
    expect(bore.atDeg).toBeCloseTo(at + 180, 3)
    // Moved by as much to where the dial reads highest, the bore is in the middle.
    expect(alignment.offsetDowels(bore, [offset]).leftTotalMm).toBeLessThan(0.001)
  })
})

describe('alignment tool', () => {
  it('0.030 in under the shaft leaves 0.015 in of radial play (formula)', () => {
    const shaftMm = 15
    const fit = alignment.toolFit({ toolMm: shaftMm - unit(0.03, 'in').toNumber('mm'), shaftMm, tapeMm: 0.13 })
    expect(fit.radialPlayMm).toBeCloseTo(unit(0.015, 'in').toNumber('mm'), 9)
    expect(fit.wraps).toBe(2)
  })
})

describe('friction torque of a disc', () => {
  const disc = { frictionCoefficient: 0.35, clampN: 5200, faces: 2, outerMm: 240, innerMm: 160 }
  /** The ring cut into thin rings: pressure even, or falling with the radius so that p·r is even. */
  function rings(
    model: 'uniform-wear' | 'uniform-pressure',
    { frictionCoefficient, clampN, faces, outerMm, innerMm }: typeof disc,
  ): number {
    const count = 200_000
    const [inner, outer] = [innerMm / 2, outerMm / 2]
    const width = (outer - inner) / count
    let [force, moment] = [0, 0]
    for (let index = 0; index < count; index++) {
      const radius = inner + (index + 0.5) * width
      const pressure = model === 'uniform-wear' ? 1 / radius : 1
      force += pressure * 2 * Math.PI * radius * width
      moment += pressure * 2 * Math.PI * radius * width * radius
    }
    return (frictionCoefficient * clampN * faces * moment) / force / 1000
  }
  it.each(['uniform-wear', 'uniform-pressure'] as const)('%s agrees with the sum over thin rings', model => {
    expect(clutch.frictionTorque({ ...disc, model })).toBeCloseTo(rings(model, disc), 5)
  })
  it('is the closed form of any machine design handbook, chapter on disc clutches (formula)', () => {
    expect(clutch.frictionTorque({ ...disc, model: 'uniform-wear' })).toBeCloseTo(
      (0.35 * 5200 * 2 * (0.12 + 0.08)) / 2,
      9,
    )
    expect(clutch.frictionTorque({ ...disc, model: 'uniform-pressure' })).toBeCloseTo(
      ((2 / 3) * 0.35 * 5200 * 2 * (0.12 ** 3 - 0.08 ** 3)) / (0.12 ** 2 - 0.08 ** 2),
      9,
    )
  })
  it('is the same by both as the ring narrows, and ⅔ of the radius for a solid disc', () => {
    const narrow = { ...disc, innerMm: 239.999 }
    expect(clutch.frictionTorque({ ...narrow, model: 'uniform-wear' })).toBeCloseTo(
      clutch.frictionTorque({ ...narrow, model: 'uniform-pressure' }),
      6,
    )
    const ring = { ...disc, innerMm: 240 }
    expect(clutch.frictionTorque({ ...ring, model: 'uniform-wear' })).toBeCloseTo(
      clutch.frictionTorque({ ...ring, model: 'uniform-pressure' }),
      9,
    )
    expect(clutch.frictionTorque({ ...disc, innerMm: 0, model: 'uniform-pressure' })).toBeCloseTo(
      ((0.35 * 5200 * 2 * 2) / 3) * 0.12,
      9,
    )
  })
})

describe('pilot stack', () => {
  it('by chance it stays within root sum square of the tolerances (simulated, three standard deviations)', () => {
    const chance = new Chance(11)
    const normal = () => Math.sqrt(-2 * Math.log(1 - chance.next())) * Math.cos(2 * Math.PI * chance.next())
    const part = (mm: number, plusMinusMm: number) => ({ mm, plusMinusMm })
    const stack = {
      shaftStandsOut: part(26, 0.6),
      faceToBellFace: part(-12, 0.4),
      pilotDepth: part(4, 0.5),
      pilotLength: part(30, 0),
      holeDepth: part(60, 0),
      tipLength: part(40, 0),
    }
    const fit = alignment.pilotDepth(stack)
    const drawn = Array.from(
      { length: 20_000 },
      () => 26 + normal() * 0.2 - 12 + (normal() * 0.4) / 3 - 4 - (normal() * 0.5) / 3,
    )
    const inside =
      drawn.filter(value => value >= fit.statisticalMm[0] && value <= fit.statisticalMm[1]).length / drawn.length
    expect(inside).toBeGreaterThan(0.995)
    expect(inside).toBeLessThan(0.9995)
    expect(Math.min(...drawn)).toBeGreaterThan(fit.worstMm[0])
    expect(Math.max(...drawn)).toBeLessThan(fit.worstMm[1])
  })
})
