import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { hydraulics } from '../../core'
import { Chance } from '../../stand-ins/chance'

describe('release travel', () => {
  it('slave travel is master travel × (Dm / Ds)²: fluid keeps its volume (formula)', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const chance = new Chance(seed)
      const at = {
        pedalTravelMm: chance.between(60, 180),
        pedalRatio: chance.between(4, 8),
        masterBoreMm: chance.between(12, 25),
        slaveBoreMm: chance.between(15, 60),
        forkRatio: chance.between(1, 2.5),
        fingerRatio: chance.between(2.5, 4),
        faces: chance.pick([2, 4]),
      }
      const found = hydraulics.releaseTravel(at)
      const masterMm = at.pedalTravelMm / at.pedalRatio
      const volume =
        unit(masterMm, 'mm').toNumber('cm') * Math.PI * (unit(at.masterBoreMm, 'mm').toNumber('cm') / 2) ** 2
      expect(
        unit(found.slaveMm, 'mm').toNumber('cm') * Math.PI * (unit(at.slaveBoreMm, 'mm').toNumber('cm') / 2) ** 2,
      ).toBeCloseTo(volume, 9)
      expect(found.slaveMm).toBeCloseTo(masterMm * (at.masterBoreMm / at.slaveBoreMm) ** 2, 9)
      expect(found.bearingMm).toBeCloseTo(found.slaveMm / at.forkRatio, 9)
      expect(found.liftPerFaceMm * at.faces * at.fingerRatio).toBeCloseTo(found.bearingMm, 9)
    }
  })
})

describe('trapped air', () => {
  it('follows p·V = const (formula): pressed to the pressure reached it has given way by the lost travel', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const chance = new Chance(seed)
      const at = {
        lostPedalMm: chance.between(1, 120),
        pedalRatio: chance.between(4, 8),
        masterBoreMm: chance.between(12, 25),
        pressureBar: chance.between(1, 60),
      }
      const { volumeMl, quickMl } = hydraulics.trappedAir(at)
      const displacedMl = ((((at.lostPedalMm / at.pedalRatio) * Math.PI) / 4) * at.masterBoreMm ** 2) / 1000
      const [before, after] = [1.01325, 1.01325 + at.pressureBar]
      expect(before * volumeMl).toBeCloseTo(after * (volumeMl - displacedMl), 6)
      expect(before * quickMl ** 1.4).toBeCloseTo(after * (quickMl - displacedMl) ** 1.4, 5)
    }
  })
})

describe('a bubble in a line', () => {
  const fluid = { densityKgM3: 1050, viscosityMPas: 15, surfaceMNm: 34 }
  it('a fine one climbs by Stokes’ law, ρ g d² / (18 μ) (formula)', () => {
    for (const diameterMm of [0.02, 0.05]) {
      const stokesMmS =
        ((fluid.densityKgM3 * 9.80665 * (diameterMm / 1000) ** 2) / ((18 * fluid.viscosityMPas) / 1000)) * 1000
      const found = hydraulics.bubbleRise({ diameterMm, boreMm: 40, slopeDeg: 90 }, fluid)
      expect(Math.abs(found / stokesMmS - 1)).toBeLessThan(0.03)
    }
  })
  it('a slug in a wide tube of thin fluid climbs at 0.345 √(g D) (Dumitrescu 1943; published, from memory)', () => {
    const water = { densityKgM3: 1000, viscosityMPas: 1, surfaceMNm: 72 }
    expect(hydraulics.bubbleRise({ diameterMm: 50, boreMm: 50, slopeDeg: 90 }, water)).toBeCloseTo(
      0.345 * Math.sqrt(9.80665 * 0.05) * 1000,
      -1,
    )
  })
  it('a narrow bore holds it: no rise where ρ g r² / σ is below 0.842 (Bretherton 1961; published, from memory)', () => {
    const boreMm = 2000 * Math.sqrt((0.842 * fluid.surfaceMNm) / 1000 / (fluid.densityKgM3 * 9.80665))
    expect(hydraulics.bubbleRise({ diameterMm: 10, boreMm: boreMm * 0.99, slopeDeg: 90 }, fluid)).toBe(0)
    expect(hydraulics.bubbleRise({ diameterMm: 10, boreMm: boreMm * 1.05, slopeDeg: 90 }, fluid)).toBeGreaterThan(0)
  })
})

describe('bleeding', () => {
  it('25 strokes, an hour of rest, again, overnight if still soft: a usual line is better after one round and firm within the night (common practice, no source)', () => {
    const line = {
      boreMm: 4.5,
      pieces: [
        { lengthMm: 500, slopeDeg: 25 },
        { lengthMm: 400, slopeDeg: 15 },
        { lengthMm: 500, slopeDeg: 60 },
      ],
      masterBoreMm: 19,
      strokeMm: 22,
      pedalRatio: 6,
      airMl: 3,
      heldShare: 0.35,
      reservoirMl: 250,
      lowMl: 120,
      pressureBar: 20,
      lostMostMm: 10,
    }
    for (let seed = 1; seed <= 20; seed++) {
      const { rounds, minutesNeeded } = hydraulics.simulateBleed(line, 'pump-rest', seed)
      expect(rounds[0]!.strokes).toBe(25)
      expect(rounds[0]!.airMl).toBeLessThan(line.airMl * 0.7)
      expect(minutesNeeded, `seed ${seed}`).toBeLessThan(14 * 60)
    }
  })
})
