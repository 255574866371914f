import { clockOf, fitRunout } from '../../alignment'
import type { CheckedDial } from '../../alignment'
import { dualMass, machiningLeft } from '../../clutch'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'

/** A share of the runout from which on one cause is the main one. */
const MAIN_SHARE = 0.6

export function runoutOf(dial: CheckedDial) {
  return fitRunout(dial.usable)
}

export const faceRunout: Judge = {
  inputs: { dial: 'dial', limit: 'number' },
  needs: ['dial', 'limit'],
  judge(given) {
    const limit = given.number('limit')
    const runout = runoutOf(given.dial('dial'))
    const tiltTotal = runout.tiltMm * 2
    const over = beyond(runout.totalMm, limit)
    const fromTilt = tiltTotal >= MAIN_SHARE * (tiltTotal + runout.warpMm)
    const fromWarp = runout.warpMm >= MAIN_SHARE * (tiltTotal + runout.warpMm)
    const cause = fromTilt
      ? `Most of it is tilt, highest at ${clockOf(runout.tiltAtDeg)}: clean the seat and the crank flange, look for dirt or a burr there, and measure again before anything is machined.`
      : fromWarp
        ? `Most of it is warp: no cleaning cures that. ${beyond(runout.warpLikelyMm, limit) ? 'The face has to be machined or the flywheel renewed.' : ''}`
        : 'Tilt and warp both have their share: clean the seat and measure again to see what is left.'
    const warped = beyond(runout.warpLikelyMm, limit)
    const unseen = runout.warpLikelyMm + runout.warpUnseenMm
    const hidden =
      !warped && beyond(unseen, limit)
        ? ` With so few places it may be warped by up to ${mm(unseen)} between them: read twelve.`
        : ''
    return {
      level: warped ? 'renew' : over || hidden ? 'watch' : 'good',
      sentence:
        (over
          ? `The face runs out by ${mm(runout.totalMm)}, more than ${mm(limit)}${thumb(given, 'limit')}. ${cause}`.trim()
          : `The face runs out by ${mm(runout.totalMm)}; up to ${mm(limit)} is allowed${thumb(given, 'limit')}.`) +
        hidden,
      working: [
        `total indicator reading: highest − lowest = ${mm(runout.totalMm, 3)}`,
        `tilt, the first harmonic: ${mm(runout.tiltMm, 3)} above the mean at ${Math.round(runout.tiltAtDeg)}°, so ${mm(tiltTotal, 3)} of the reading`,
        `warp, what is left without the tilt, highest − lowest = ${mm(runout.warpMm, 3)}; less the dial’s own scatter ${mm(runout.warpLikelyMm, 3)}`,
        `worst place ${Math.round(runout.highestAtDeg)}°, ${clockOf(runout.highestAtDeg)} from the mark`,
      ],
      figures: [
        figure('total', runout.totalMm, 'mm'),
        figure('tilt', tiltTotal, 'mm'),
        figure('warp', runout.warpMm, 'mm'),
      ],
    }
  },
}

export const dualMassWheel: Judge = {
  inputs: { rotation: 'number', rotationLimit: 'number', rock: 'number', rockLimit: 'number' },
  needs: [],
  judge(given) {
    const pairs = {
      rotationDeg: given.maybe('rotation'),
      rotationLimitDeg: given.maybe('rotationLimit'),
      rockMm: given.maybe('rock'),
      rockLimitMm: given.maybe('rockLimit'),
    }
    const hasOne =
      (pairs.rotationDeg !== undefined && pairs.rotationLimitDeg !== undefined) ||
      (pairs.rockMm !== undefined && pairs.rockLimitMm !== undefined)
    if (!hasOne)
      return {
        level: 'watch',
        sentence:
          'A dual-mass is judged by free rotation and rock against the limits of its own sheet; one measure with its limit is wanted.',
        working: [],
        figures: [],
      }
    const found = dualMass(Object.fromEntries(Object.entries(pairs).filter(([, value]) => value !== undefined)))
    return {
      level: { good: 'good', worn: 'watch', finished: 'renew' }[found.verdict] as 'good' | 'watch' | 'renew',
      sentence: `${found.because} It is not machined.`,
      working: [
        ...(found.rotationShare === null
          ? []
          : [
              `free rotation ${pairs.rotationDeg}° of ${pairs.rotationLimitDeg}° allowed = ${Math.round(found.rotationShare * 100)} in 100`,
            ]),
        ...(found.rockShare === null
          ? []
          : [
              `rock ${mm(pairs.rockMm!)} of ${mm(pairs.rockLimitMm!)} allowed = ${Math.round(found.rockShare * 100)} in 100`,
            ]),
      ],
      figures: [],
    }
  },
}

export const machining: Judge = {
  inputs: { thickness: 'number', minimum: 'number', dial: 'dial', heat: 'number' },
  needs: ['thickness', 'minimum', 'dial'],
  judge(given) {
    const runout = runoutOf(given.dial('dial'))
    const heatMm = given.maybe('heat') ?? 0
    const found = machiningLeft({
      thicknessMm: given.number('thickness'),
      minimumMm: given.number('minimum'),
      warpMm: runout.warpMm,
      heatMm,
    })
    return {
      level: found.leftMm <= 0 || !found.enough ? 'renew' : 'good',
      sentence: `If it is machined: ${found.because.charAt(0).toLowerCase()}${found.because.slice(1)}`,
      working: [
        `may come off: ${mm(given.number('thickness'))} − ${mm(given.number('minimum'))} = ${mm(found.leftMm)}`,
        `has to come off: the larger of warp ${mm(runout.warpMm)} and heat ${mm(heatMm)}, and {0.10 mm} to clean iron = ${mm(found.neededMm)}`,
      ],
      figures: [figure('may come off', found.leftMm, 'mm'), figure('has to come off', found.neededMm, 'mm')],
    }
  },
}
