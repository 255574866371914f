import { frictionRadiusMm, launchHeat, releaseDemand, torqueCapacity } from '../../clutch'
import { quantity } from '../../say/quantity'
import { figure, thumb } from '../judgement'
import type { Given, Judge } from '../judgement'

const lining = (given: Given) => ({
  frictionCoefficient: given.number('friction'),
  clampN: given.number('clamp'),
  faces: given.number('faces'),
  outerMm: given.number('outer'),
  innerMm: given.number('inner'),
})
const levelOf = { slips: 'renew', thin: 'watch', right: 'good', heavy: 'watch' } as const

export const capacity: Judge = {
  inputs: {
    clamp: 'number',
    outer: 'number',
    inner: 'number',
    faces: 'number',
    friction: 'number',
    engine: 'number',
    factor: 'number',
  },
  needs: ['clamp', 'outer', 'inner', 'faces', 'friction', 'engine', 'factor'],
  judge(given) {
    const clutch = lining(given)
    const found = torqueCapacity(clutch, { torqueNm: given.number('engine'), factor: given.number('factor') })
    return {
      level: levelOf[found.verdict],
      sentence: `Run in it carries {${found.wearNm.toFixed(1)} N·m} against {${found.askedNm.toFixed(1)} N·m}. ${found.because}`,
      working: [
        `run in, even wear: ${clutch.frictionCoefficient} × {${clutch.clampN} N} × ${clutch.faces} × {${frictionRadiusMm('uniform-wear', clutch.outerMm, clutch.innerMm).toFixed(1)} mm} = {${found.wearNm.toFixed(1)} N·m}`,
        `new, even pressure: ${clutch.frictionCoefficient} × {${clutch.clampN} N} × ${clutch.faces} × {${frictionRadiusMm('uniform-pressure', clutch.outerMm, clutch.innerMm).toFixed(1)} mm} = {${found.pressureNm.toFixed(1)} N·m}`,
        `asked: {${given.number('engine')} N·m} × ${given.number('factor')} = {${found.askedNm.toFixed(1)} N·m}; margin ${found.margin.toFixed(2)}`,
        ...(given.guessed('friction') ? [`friction ${clutch.frictionCoefficient}${thumb(given, 'friction')}`] : []),
      ],
      figures: [
        figure('carries, run in', found.wearNm, 'N·m', 1),
        figure('carries, new', found.pressureNm, 'N·m', 1),
        figure('of what is asked', found.margin, 'times'),
      ],
    }
  },
}

/** A start that warms the iron by more than this leaves its mark. Common practice, no source. */
const HOT_RISE_C = 60
/** Iron that is warmer by more than this burns the lining. Common practice, no source. */
const BURNS_C = 200

export const heatOfAStart: Judge = {
  inputs: {
    clamp: 'number',
    outer: 'number',
    inner: 'number',
    faces: 'number',
    friction: 'number',
    mass: 'number',
    ratio: 'number',
    tyre: 'number',
    speed: 'number',
    load: 'number',
    iron: 'number',
    starts: 'number',
  },
  needs: ['clamp', 'outer', 'inner', 'faces', 'friction', 'mass', 'ratio', 'tyre', 'speed', 'load', 'iron'],
  judge(given) {
    const clutch = lining(given)
    const carried = torqueCapacity(clutch, { torqueNm: 100, factor: 1 }).wearNm
    const loadNm = given.number('load')
    if (carried <= loadNm)
      return {
        level: 'renew',
        sentence: `The load of {${loadNm} N·m} at the clutch is more than it carries: it would slip and never take up.`,
        working: [],
        figures: [],
      }
    const heat = launchHeat({
      massKg: given.number('mass'),
      ratio: given.number('ratio'),
      tyreRadiusMm: given.number('tyre'),
      enginePerMinute: given.number('speed'),
      clutchNm: carried,
      loadNm,
      ironKg: given.number('iron'),
      faceMm2: (Math.PI / 4) * (clutch.outerMm ** 2 - clutch.innerMm ** 2),
      faces: clutch.faces,
    })
    const starts = given.maybe('starts') ?? 1
    const burns = heat.riseC * starts > BURNS_C
    const row = burns
      ? starts === 1
        ? 'That burns the lining.'
        : `${starts} of them in a row burn the lining.`
      : `About ${Math.max(1, Math.floor(BURNS_C / heat.riseC))} in a row bring it near ${quantity(BURNS_C, 'K', 0)} more.`
    return {
      // How many are made in a row is the owner's use: a rule of thumb condemns no clutch.
      level: burns && !given.guessed('starts') ? 'renew' : burns || heat.riseC > HOT_RISE_C ? 'watch' : 'good',
      sentence: `One start at ${given.number('speed')} rpm makes ${(heat.energyJ / 1000).toFixed(1)} kJ and warms the iron by ${quantity(heat.riseC, 'K', 0)}. ${row}`,
      working: [
        `the car seen from the clutch: {${given.number('mass')} kg} × ({${given.number('tyre')} mm} / ${given.number('ratio')})²`,
        `slip for ${heat.seconds.toFixed(2)} s at {${carried.toFixed(1)} N·m} less {${loadNm} N·m}`,
        `${heat.perAreaJMm2.toFixed(2)} J on each mm² of lining`,
      ],
      figures: [figure('heat of a start', heat.energyJ / 1000, 'kJ', 1), figure('iron warmer by', heat.riseC, 'K', 0)],
    }
  },
}

export const releaseLoad: Judge = {
  inputs: { clamp: 'number', faces: 'number', fingers: 'number', lift: 'number', peak: 'number' },
  needs: ['clamp', 'faces', 'fingers', 'lift', 'peak'],
  judge(given) {
    const found = releaseDemand({
      clampN: given.number('clamp'),
      faces: given.number('faces'),
      fingerRatio: given.number('fingers'),
      liftPerFaceMm: given.number('lift'),
      peakShare: given.number('peak'),
    })
    return {
      level: 'good',
      sentence: `It asks {${(found.bearingN / 1000).toFixed(2)} kN} and {${found.bearingMm.toFixed(1)} mm} of the bearing to let go.`,
      working: [
        `force: {${given.number('clamp')} N} / ${given.number('fingers')} × ${given.number('peak')} = {${found.bearingN.toFixed(0)} N}`,
        `way: {${given.number('lift')} mm} × ${given.number('faces')} faces × ${given.number('fingers')} = {${found.bearingMm.toFixed(1)} mm}`,
        'whether the hydraulics give that is worked out on Pedal',
      ],
      figures: [
        figure('force at the bearing', found.bearingN, 'N', 0),
        figure('way the bearing has to go', found.bearingMm, 'mm', 1),
      ],
    }
  },
}
