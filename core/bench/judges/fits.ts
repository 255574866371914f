import { faceSpread } from '../../alignment'
import { concentricGap } from '../../clutch'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'

/** Depths round a seal, new against the noted depth of the old one, even all round. */
export const sealDepth: Judge = {
  inputs: { depths: 'points', old: 'number', limit: 'number' },
  needs: ['depths', 'limit'],
  judge(given) {
    const { spreadMm, meanMm, highest, lowest } = faceSpread(given.points('depths'))
    const limit = given.number('limit')
    const before = given.maybe('old')
    const skew = beyond(spreadMm, limit)
    const off = before !== undefined && Math.abs(meanMm - before) > 1
    const place =
      before === undefined
        ? ''
        : ` ${off ? `It stands ${mm(Math.abs(meanMm - before))} ${meanMm > before ? 'deeper' : 'shallower'} than the old one` : 'It stands at the old depth'}.`
    return {
      level: skew ? 'renew' : off ? 'watch' : 'good',
      sentence: skew
        ? `It stands ${mm(spreadMm)} askew; up to ${mm(limit)} is allowed${thumb(given, 'limit')}. Tap it square before the flywheel covers it.${place}`
        : `Its edge is even within ${mm(spreadMm)}.${place}`,
      working: [
        `deepest, place ${highest + 1}, less shallowest, place ${lowest + 1}: ${mm(spreadMm)}`,
        `mean ${mm(meanMm)}${before === undefined ? '' : `, old one ${mm(before)}`}`,
      ],
      figures: [figure('askew', spreadMm, 'mm'), figure('mean', meanMm, 'mm')],
    }
  },
}

/** Outer and inner measure of a fit, or a play by itself, against its limit. */
export const playLimit: Judge = {
  inputs: { play: 'number', outer: 'number', inner: 'number', limit: 'number' },
  needs: ['limit'],
  judge(given, { of = 'It' }) {
    const limit = given.number('limit')
    const [outer, inner, direct] = [given.maybe('outer'), given.maybe('inner'), given.maybe('play')]
    const play = direct ?? (outer !== undefined && inner !== undefined ? outer - inner : null)
    if (play === null)
      return { level: 'watch', sentence: `${of}: the play is not measured yet.`, working: [], figures: [] }
    if (play < 0)
      return {
        level: 'renew',
        sentence: `${of}: the inner measure is ${mm(-play)} larger than the outer one. It does not go on; measure again.`,
        working: [`${mm(outer!)} − ${mm(inner!)} = ${mm(play)}`],
        figures: [figure('play', play, 'mm')],
      }
    const over = beyond(play, limit)
    return {
      level: over ? 'renew' : play > limit * 0.8 ? 'watch' : 'good',
      sentence: `${of}: ${mm(play)} of play, ${over ? 'more than' : 'within'} ${mm(limit)}${thumb(given, 'limit')}.`,
      working:
        direct === undefined
          ? [`${mm(outer!)} − ${mm(inner!)} = ${mm(play)}`]
          : [`play as felt on the gauge: ${mm(play)}`],
      figures: [figure('play', play, 'mm')],
    }
  },
}

/** A measure that has to be what the sheet or the old part says. */
export const matchHeight: Judge = {
  inputs: { measured: 'number', wanted: 'number', within: 'number' },
  needs: ['measured', 'wanted', 'within'],
  judge(given, { of = 'It' }) {
    const [measured, wanted, allowed] = [given.number('measured'), given.number('wanted'), given.number('within')]
    const by = measured - wanted
    const off = beyond(Math.abs(by), allowed)
    return {
      level: off ? 'renew' : 'good',
      sentence: off
        ? `${of} is ${mm(Math.abs(by))} ${by > 0 ? 'more' : 'less'} than wanted; ${mm(allowed)} is allowed${thumb(given, 'within')}.`
        : `${of} is as wanted within ${mm(Math.abs(by))}.`,
      working: [`${mm(measured)} − ${mm(wanted)} = ${mm(by)}`],
      figures: [figure('differs', by, 'mm')],
    }
  },
}

export const concentricSetUp: Judge = {
  inputs: { bearing: 'number', fingers: 'number', least: 'number', most: 'number', shims: 'points' },
  needs: ['bearing', 'fingers', 'least', 'most'],
  judge(given) {
    const [bearingMm, fingersMm] = [given.number('bearing'), given.number('fingers')]
    const found = concentricGap({
      bearingMm,
      fingersMm,
      windowMm: [given.number('least'), given.number('most')],
      shimsMm: given.points('shims'),
    })
    return {
      level: found.verdict === 'right' ? 'good' : found.shimMm === null ? 'renew' : 'watch',
      sentence: `The gap is ${mm(found.gapMm, 1)}. ${found.because}`,
      working: [
        `gap: ${mm(bearingMm, 1)} to the bearing − ${mm(fingersMm, 1)} to the finger tips = ${mm(found.gapMm, 1)}`,
      ],
      figures: [figure('gap', found.gapMm, 'mm', 1), ...(found.shimMm ? [figure('shims', found.shimMm, 'mm', 2)] : [])],
    }
  },
}
