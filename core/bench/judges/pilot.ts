import { faceSpread, pilotDepth } from '../../alignment'
import { figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'

/** The new pilot stands where the old one stood, give or take this, in mm. Common practice, no source. */
const SAME_DEPTH_MM = 0.5
/** Driven square, its edge lies even round to this, in mm. Common practice, no source. */
const SQUARE_MM = 0.3

export const pilotSeat: Judge = {
  inputs: { before: 'points', after: 'points' },
  needs: ['before'],
  judge(given) {
    const before = faceSpread2(given.points('before'))
    const after = given.points('after')
    if (after.length === 0) {
      return {
        level: 'good',
        sentence: `The old one stands ${mm(before.meanMm)} deep. The new one goes to the same depth: ${mm(before.meanMm)} of driving from flush.`,
        working: [`mean of ${given.points('before').length}: ${mm(before.meanMm)}`],
        figures: [figure('to drive', before.meanMm, 'mm')],
      }
    }
    const now = faceSpread2(after)
    const left = before.meanMm - now.meanMm
    const off = Math.abs(left) > SAME_DEPTH_MM
    const skew = now.spreadMm > SQUARE_MM
    const sentence = off
      ? left > 0
        ? `${mm(left)} are left to drive: too shallow, the box would not come up.`
        : `It stands ${mm(-left)} too deep: only the tip of the shaft would be held. Draw it back.`
      : skew
        ? `The depth is right but it stands ${mm(now.spreadMm)} askew: a skewed pilot eats the tip of the shaft.`
        : `It stands where the old one stood, within ${mm(Math.abs(left))}, and square.`
    return {
      level: off || skew ? 'renew' : 'good',
      sentence,
      working: [
        `left to drive: ${mm(before.meanMm)} − ${mm(now.meanMm)} = ${mm(left)}`,
        `uneven round: ${mm(now.spreadMm)}`,
      ],
      figures: [figure('left to drive', left, 'mm'), figure('askew', now.spreadMm, 'mm')],
    }
  },
}

function faceSpread2(readings: number[]) {
  return readings.length === 1 ? { meanMm: readings[0]!, spreadMm: 0 } : faceSpread(readings)
}

const levelOf = { 'too-shallow': 'renew', right: 'good', 'too-deep': 'renew' } as const

export const pilotStack: Judge = {
  inputs: {
    standsOut: 'number',
    face: 'number',
    spacer: 'number',
    depth: 'number',
    length: 'number',
    hole: 'number',
    tip: 'number',
    tolerance: 'number',
  },
  needs: ['standsOut', 'face', 'depth', 'length', 'hole', 'tip', 'tolerance'],
  judge(given) {
    const plusMinusMm = given.number('tolerance')
    const length = (input: string) => ({ mm: given.number(input), plusMinusMm })
    const spacer = given.maybe('spacer')
    const fit = pilotDepth({
      shaftStandsOut: length('standsOut'),
      faceToBellFace: length('face'),
      pilotDepth: length('depth'),
      pilotLength: length('length'),
      holeDepth: length('hole'),
      tipLength: length('tip'),
      ...(spacer ? { spacer: { mm: spacer, plusMinusMm } } : {}),
    })
    const doubtful = fit.verdict === 'right' && (fit.roomWorstMm <= 0 || fit.worstMm[0] < 0.6 * given.number('length'))
    const reach = given.number('standsOut') + given.number('face') - (spacer ?? 0)
    return {
      level: doubtful ? 'watch' : levelOf[fit.verdict],
      sentence: `${{ 'too-shallow': 'Too shallow. ', right: doubtful ? 'Right as measured, but near. ' : 'Right. ', 'too-deep': 'Too deep. ' }[fit.verdict]}${fit.because}`,
      working: [
        `the tip lies ${mm(given.number('standsOut'), 1)} ${given.number('face') < 0 ? '−' : '+'} ${mm(Math.abs(given.number('face')), 1)}${spacer ? ` − ${mm(spacer, 1)}` : ''} = ${mm(reach, 1)} below the face`,
        `held: ${mm(reach, 1)} − ${mm(given.number('depth'), 1)}, at most the pilot’s ${mm(given.number('length'), 1)} = ${mm(fit.engagementMm, 1)}`,
        `with every length ± ${mm(plusMinusMm, 1)}${thumb(given, 'tolerance')}: at worst ${mm(fit.worstMm[0], 1)} to ${mm(fit.worstMm[1], 1)}, by chance ${mm(fit.statisticalMm[0], 1)} to ${mm(fit.statisticalMm[1], 1)}`,
        `room before it meets anything: ${mm(fit.roomMm, 1)}, at worst ${mm(fit.roomWorstMm, 1)}`,
      ],
      figures: [figure('held', fit.engagementMm, 'mm', 1), figure('room', fit.roomMm, 'mm', 1)],
    }
  },
}
