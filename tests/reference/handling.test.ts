import { Matrix, pseudoInverse, solve } from 'ml-matrix'
import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { alignment, driveline, handling } from '../../core'
import { Chance } from '../../stand-ins/chance'

const cm = (inches: number) => unit(inches, 'in').toNumber('cm')
const kg = (pounds: number) => unit(pounds, 'lb').toNumber('kg')

describe('revised NIOSH lifting equation', () => {
  it('Applications Manual 1994, example 1, punch press stock, at the origin: RWL 16.3 lb with multipliers of two places, 16.03 lb unrounded; LI 2.7 (published; from memory)', () => {
    const found = handling.liftingIndex({
      massKg: kg(44),
      horizontalCm: cm(23),
      verticalCm: cm(15),
      travelCm: cm(48),
      asymmetryDeg: 0,
      liftsPerMinute: 0.2,
      durationHours: 1,
      coupling: 'fair',
    })
    const limitLb = found.limitKg / kg(1)
    expect(limitLb).toBeCloseTo(16.03, 2)
    expect(Math.abs(limitLb / 16.3 - 1)).toBeLessThan(0.02)
    expect(found.index).toBeCloseTo(44 / 16.03, 2)
    expect(found.index.toFixed(1)).toBe('2.7')
  })
  it('has the multipliers of its definition', () => {
    const { multipliers } = handling.liftingIndex({
      massKg: 10,
      horizontalCm: 50,
      verticalCm: 30,
      travelCm: 90,
      asymmetryDeg: 60,
      liftsPerMinute: 1,
      durationHours: 2,
      coupling: 'poor',
    })
    // 10 / H, 1 − 0.0075 |V − 30|, 0.82 + 1.8 / D in inches; 25 / H, 1 − 0.003 |V − 75|, 0.82 + 4.5 / D in cm, rounded.
    expect(multipliers.horizontal).toBeCloseTo(10 / (50 / 2.54), 9)
    expect(multipliers.horizontal).toBeCloseTo(25 / 50, 1)
    expect(multipliers.vertical).toBeCloseTo(1 - 0.0075 * (30 - 30 / 2.54), 9)
    expect(multipliers.vertical).toBeCloseTo(1 - 0.003 * 45, 2)
    expect(multipliers.distance).toBeCloseTo(0.82 + 1.8 / (90 / 2.54), 9)
    expect(multipliers.asymmetry).toBeCloseTo(1 - 0.0032 * 60, 9)
    // Table 5 of the manual (from memory): one lift a minute, up to two hours, hands below 30 in.
    expect(multipliers.frequency).toBe(0.88)
    expect(multipliers.coupling).toBe(0.9)
  })
})

describe('loads on stands', () => {
  it('are the minimum-norm solution of the balance, as ml-matrix finds it, as long as no support pulls', () => {
    let compared = 0
    for (let seed = 1; seed <= 200; seed++) {
      const chance = new Chance(seed)
      const supports = Array.from({ length: 3 + Math.floor(chance.next() * 3) }, (_, index) => ({
        id: `s${index}`,
        xMm: chance.between(0, 2600),
        yMm: chance.between(-800, 800),
      }))
      const masses = Array.from({ length: 3 }, (_, index) => ({
        id: `m${index}`,
        massKg: chance.between(20, 700),
        xMm: chance.between(600, 2000),
        yMm: chance.between(-300, 300),
      }))
      const balance = new Matrix([
        supports.map(() => 1),
        supports.map(support => support.xMm),
        supports.map(support => support.yMm),
      ])
      const moments = Matrix.columnVector([
        masses.reduce((sum, mass) => sum + mass.massKg, 0),
        masses.reduce((sum, mass) => sum + mass.massKg * mass.xMm, 0),
        masses.reduce((sum, mass) => sum + mass.massKg * mass.yMm, 0),
      ])
      const loads = pseudoInverse(balance).mmul(moments).to1DArray()
      if (loads.some(load => load < 0)) continue
      compared++
      const found = handling.supportLoads(masses, supports)
      found.loadsKg.forEach((load, index) => expect(load, `seed ${seed}`).toBeCloseTo(loads[index]!, 4))
    }
    expect(compared).toBeGreaterThan(20)
  })
  it('from loads that were there before, the change of least norm, as ml-matrix finds it', () => {
    let compared = 0
    for (let seed = 1; seed <= 200; seed++) {
      const chance = new Chance(seed + 500)
      const supports = Array.from({ length: 3 + Math.floor(chance.next() * 3) }, (_, index) => ({
        id: `s${index}`,
        xMm: chance.between(0, 2600),
        yMm: 0,
        preKg: chance.between(0, 120),
      }))
      const mass = { id: 'm', massKg: chance.between(150, 400), xMm: chance.between(800, 1800), yMm: 0 }
      const balance = new Matrix([supports.map(() => 1), supports.map(support => support.xMm)])
      const before = Matrix.columnVector(supports.map(support => support.preKg))
      const missing = Matrix.sub(Matrix.columnVector([mass.massKg, mass.massKg * mass.xMm]), balance.mmul(before))
      const loads = Matrix.add(before, pseudoInverse(balance).mmul(missing)).to1DArray()
      if (loads.some(load => load < 0)) continue
      compared++
      handling
        .supportLoads([mass], supports)
        .loadsKg.forEach((load, index) => expect(load, `seed ${seed}`).toBeCloseTo(loads[index]!, 4))
    }
    expect(compared).toBeGreaterThan(20)
  })
  it('balance in force and moment about any point, whatever lifts off', () => {
    for (let seed = 1; seed <= 100; seed++) {
      const chance = new Chance(seed + 1000)
      const supports = [
        [400, -550],
        [400, 550],
        [2600, -750],
        [2600, 750],
      ].map(([xMm, yMm], index) => ({ id: `s${index}`, xMm: xMm!, yMm: yMm! }))
      const mass = { id: 'car', massKg: 1500, xMm: chance.between(500, 2500), yMm: chance.between(-500, 500) }
      const found = handling.supportLoads([mass], supports)
      if (found.tips) continue
      const sum = (of: (index: number) => number) =>
        found.loadsKg.reduce((total, load, index) => total + load * of(index), 0)
      expect(sum(() => 1)).toBeCloseTo(1500, 4)
      expect(sum(index => supports[index]!.xMm) / 1500).toBeCloseTo(mass.xMm, 3)
      expect(sum(index => supports[index]!.yMm) / 1500).toBeCloseTo(mass.yMm, 3)
    }
  })
})

describe('driveline', () => {
  it('the speed ratio of a single joint lies between cos β and 1 / cos β (formula)', () => {
    for (const beta of [1, 5, 12, 30]) {
      const ratios = Array.from({ length: 720 }, (_, index) => driveline.speedRipple(beta, index / 2))
      expect(Math.min(...ratios)).toBeCloseTo(Math.cos((beta * Math.PI) / 180), 9)
      expect(Math.max(...ratios)).toBeCloseTo(1 / Math.cos((beta * Math.PI) / 180), 9)
      // Over a whole turn the shafts turn alike: the mean of the ratio over the angle is one.
      expect(ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.length).toBeCloseTo(1, 6)
    }
  })
  it('the angle in space is that of the direction vectors (formula)', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const chance = new Chance(seed)
      const [a, b] = [0, 1].map(() => ({ pitchDeg: chance.between(-20, 20), yawDeg: chance.between(-20, 20) })) as [
        driveline.ShaftDirection,
        driveline.ShaftDirection,
      ]
      const vector = ({ pitchDeg, yawDeg }: driveline.ShaftDirection) => {
        const [p, y] = [(pitchDeg * Math.PI) / 180, (yawDeg * Math.PI) / 180]
        return [Math.cos(p) * Math.cos(y), Math.cos(p) * Math.sin(y), Math.sin(p)]
      }
      const [u, v] = [vector(a), vector(b)]
      expect(driveline.jointAngle(a, b)).toBeCloseTo(
        (Math.acos(u[0]! * v[0]! + u[1]! * v[1]! + u[2]! * v[2]!) * 180) / Math.PI,
        6,
      )
    }
  })
  it('2° down at the box with 2° up at the axle cancels (common practice, no source)', () => {
    const line = driveline.shaftLine([
      { id: 'box', pitchDeg: 2, yawDeg: 0 },
      { id: 'shaft', pitchDeg: 4.5, yawDeg: 0 },
      { id: 'axle', pitchDeg: 2, yawDeg: 0 },
    ])
    expect(line.cancels).toBe(true)
    expect(line.residualDeg).toBeCloseTo(0, 6)
  })
  it('what is left over by the pointers is the ripple followed joint by joint', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const chance = new Chance(seed)
      const members = ['box', 'front', 'rear', 'axle'].map(id => ({
        id,
        pitchDeg: chance.between(-4, 6),
        yawDeg: chance.between(-3, 3),
        phaseDeg: 0,
      }))
      const line = driveline.shaftLine(members)
      // A single joint at β swings its speed by ± β² / 2 for small angles.
      const half = (line.ripplePercent[1] - line.ripplePercent[0]) / 200
      expect(half).toBeCloseTo(((line.residualDeg * Math.PI) / 180) ** 2 / 2, 3)
    }
  })
})

describe('gap round the bell', () => {
  it('is the plane that ml-matrix fits, its slope over the diameter the tilt', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const chance = new Chance(seed)
      const [mean, tilt, at] = [chance.between(4, 9), chance.between(0.5, 2.5), chance.between(0, 360)]
      const radians = (angleDeg: number) => (angleDeg * Math.PI) / 180
      // No face is flat and no feeler exact: what is read lies off the plane.
      const readings = [20, 75, 110, 200, 300].map(angleDeg => ({
        angleDeg,
        gapMm: mean + tilt * Math.cos(radians(angleDeg - at)) + chance.between(-0.3, 0.3),
      }))
      const found = alignment.faceGap(readings, 360)
      const [level, east, north] = solve(
        new Matrix(readings.map(({ angleDeg }) => [1, Math.cos(radians(angleDeg)), Math.sin(radians(angleDeg))])),
        Matrix.columnVector(readings.map(({ gapMm }) => gapMm)),
      ).to1DArray() as [number, number, number]
      expect(found.meanMm).toBeCloseTo(level, 9)
      expect(found.tiltDeg).toBeCloseTo((Math.atan(Math.hypot(east, north) / 180) * 180) / Math.PI, 9)
      expect(Math.cos(radians(found.widestAtDeg) - Math.atan2(north, east))).toBeCloseTo(1, 9)
    }
    expect(
      alignment.faceGap(
        [0, 90, 180, 270].map(angleDeg => ({ angleDeg, gapMm: 0 })),
        360,
      ).closed,
    ).toBe(true)
    expect(() => alignment.faceGap([{ angleDeg: 0, gapMm: 1 }], 360)).toThrow('readings')
    expect(() =>
      alignment.faceGap(
        [0, 120, 240].map(angleDeg => ({ angleDeg, gapMm: -1 })),
        360,
      ),
    ).toThrow('gapMm')
  })
})
