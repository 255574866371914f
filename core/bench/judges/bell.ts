import { boreOffset, clockOf, fitRunout, offsetDowels } from '../../alignment'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'

export const boreOffCentre: Judge = {
  inputs: { dial: 'dial', limit: 'number', dowels: 'points' },
  needs: ['dial', 'limit'],
  judge(given) {
    const limit = given.number('limit')
    const { usable } = given.dial('dial')
    const bore = boreOffset(usable)
    const over = beyond(bore.offsetMm * 2, limit)
    const sizes = given.points('dowels')
    const dowels = over ? offsetDowels(bore, sizes) : null
    const advice = !dowels
      ? ''
      : sizes.length === 0
        ? ' Enter the offset dowels that can be had, and which of them correct it is worked out.'
        : dowels.dowelMm === null
          ? ' None of the dowels named makes it better.'
          : ` Offset dowels of ${mm(dowels.dowelMm)}, both turned to ${clockOf(dowels.pointTo)} (${Math.round(dowels.pointTo)}°), leave ${mm(dowels.leftTotalMm)} on the dial.`
    return {
      level: over ? 'renew' : bore.offsetMm * 2 > limit * 0.8 ? 'watch' : 'good',
      sentence: over
        ? `The bore stands ${mm(bore.offsetMm)} off the crank, ${mm(bore.offsetMm * 2)} on the dial, more than ${mm(limit)}${thumb(given, 'limit')}.${advice}`
        : `The bore stands ${mm(bore.offsetMm)} off the crank; up to ${mm(limit)} on the dial is allowed${thumb(given, 'limit')}.`,
      working: [
        `total indicator reading: ${mm(bore.totalMm, 3)}`,
        `offset is half of the dial’s first harmonic: ${mm(bore.offsetMm, 3)}; the bell has to go towards ${clockOf(bore.atDeg)} (${Math.round(bore.atDeg)}°)`,
        `out of round or uneven readings: ${mm(bore.outOfRoundMm, 3)}`,
        ...(dowels?.dowelMm
          ? [
              `left with these dowels: ${mm(bore.offsetMm, 3)} − ${mm(dowels.dowelMm, 3)} = ${mm(dowels.leftMm, 3)} of offset`,
            ]
          : []),
      ],
      figures: [figure('offset', bore.offsetMm, 'mm', 3), figure('total', bore.totalMm, 'mm')],
    }
  },
}

export const faceSquare: Judge = {
  inputs: { dial: 'dial', limit: 'number' },
  needs: ['dial', 'limit'],
  judge(given) {
    const limit = given.number('limit')
    const runout = fitRunout(given.dial('dial').usable)
    const over = beyond(runout.tiltMm * 2, limit)
    return {
      level: over ? 'renew' : runout.warpMm > limit ? 'watch' : 'good',
      sentence: over
        ? `The bell’s face leans by ${mm(runout.tiltMm * 2)} across the circle, nearest at ${clockOf(runout.tiltAtDeg)}, more than ${mm(limit)}${thumb(given, 'limit')}: look for dirt, paint or a dowel that holds it off there.`
        : runout.warpMm > limit
          ? `The face stands square but is uneven by ${mm(runout.warpMm)}: look for burrs round the bolt holes.`
          : `The face leans by ${mm(runout.tiltMm * 2)}; up to ${mm(limit)} is allowed${thumb(given, 'limit')}.`,
      working: [
        `tilt: twice ${mm(runout.tiltMm, 3)} at ${Math.round(runout.tiltAtDeg)}°`,
        `uneven without the tilt: ${mm(runout.warpMm, 3)}`,
        `total indicator reading: ${mm(runout.totalMm, 3)}`,
      ],
      figures: [figure('leans', runout.tiltMm * 2, 'mm'), figure('uneven', runout.warpMm, 'mm')],
    }
  },
}
