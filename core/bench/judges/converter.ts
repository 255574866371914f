import { converterSeat } from '../../alignment/converter-seat'
import { flush } from '../../fluids/flush'
import { overflowLevel } from '../../fluids/overflow-level'
import { quantity } from '../../say/quantity'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'

const ml = (value: number) => quantity(value, 'ml', 0)
const meanOf = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

export const converterHome: Judge = {
  inputs: { depth: 'points', flexplate: 'points', low: 'number', high: 'number', drops: 'points' },
  needs: ['depth', 'flexplate', 'low', 'high'],
  judge(given) {
    const [depth, stand] = [meanOf(given.points('depth')), meanOf(given.points('flexplate'))]
    const drops = given.points('drops')
    const seat = converterSeat({
      bellFaceToPadsMm: depth,
      engineFaceToFlexplateMm: stand,
      windowMm: [given.number('low'), given.number('high')],
      ...(drops.length > 0 ? { dropsMm: drops } : {}),
    })
    return {
      level: seat.verdict === 'good' ? 'good' : 'renew',
      sentence: seat.because,
      working: [
        `from the face of the bell to the pads, mean of ${given.points('depth').length}: ${mm(depth, 1)}`,
        `from the face of the engine to the flexplate, mean of ${given.points('flexplate').length}: ${mm(stand, 1)}`,
        `gap when the faces meet: ${mm(depth, 1)} − ${mm(stand, 1)} = ${mm(seat.gapMm, 1)}`,
        `wanted: ${mm(given.number('low'), 1)} to ${mm(given.number('high'), 1)}${thumb(given, 'low')}`,
        ...(drops.length > 0
          ? [`drops felt: ${drops.length} of 3, together ${mm(meanOf(drops) * drops.length, 1)}`]
          : ['turbine, stator, drive of the pump: three drops are felt on the way in']),
      ],
      figures: [figure('gap', seat.gapMm, 'mm', 1), figure('missing', seat.missingMm, 'mm', 1)],
    }
  },
}

export const converterFilled: Judge = {
  inputs: { total: 'number', converter: 'number', stays: 'number' },
  needs: ['total', 'converter'],
  judge(given) {
    const [total, converter, stays] = [given.number('total'), given.number('converter'), given.maybe('stays') ?? 0]
    const first = total - converter - stays
    const working = [
      `first filling: ${ml(total)} − ${ml(converter)} in the converter − ${ml(stays)} left in the box = ${first < 0 ? `${ml(-first)} too much` : ml(first)}`,
    ]
    if (first < 0)
      return {
        level: 'renew',
        sentence: `More is in it already than it takes when dry: ${ml(-first)} too much. One of the figures is not of this box.`,
        working,
        figures: [],
      }
    return {
      level: converter > 0 ? 'good' : 'watch',
      sentence:
        converter > 0
          ? `The converter holds ${ml(converter)}; ${ml(first)} go in through the filler before the first start.`
          : `Nothing was poured into the converter: the pump draws air at the first start. At least half of what it holds goes in before it goes on.`,
      working,
      figures: [figure('first filling', first, 'ml', 0)],
    }
  },
}

/** How far the crank is turned from one bolt in the opening to the next. */
export const boltRing: Judge = {
  inputs: { bolts: 'number', teeth: 'number' },
  needs: ['bolts'],
  judge(given) {
    const bolts = Math.round(given.number('bolts'))
    const teeth = given.maybe('teeth')
    const degrees = 360 / bolts
    const eachWay = teeth === undefined ? '' : `, ${(teeth / bolts).toFixed(1)} teeth of the ring gear`
    return {
      level: 'good',
      sentence: `${bolts} bolts: turn the crank ${degrees.toFixed(0)}° from one to the next${eachWay}. Out and in, ${bolts} are counted.`,
      working: [
        `360° / ${bolts} = ${degrees.toFixed(1)}°`,
        ...(teeth === undefined ? [] : [`${teeth} teeth / ${bolts} = ${(teeth / bolts).toFixed(1)}`]),
      ],
      figures: [figure('turn', degrees, '°', 0)],
    }
  },
}

export const coolerFlushed: Judge = {
  inputs: { line: 'number', cooler: 'number', pumped: 'number' },
  needs: ['line', 'cooler', 'pumped'],
  judge(given) {
    const held = given.number('line') + given.number('cooler')
    const pumped = given.number('pumped')
    const { turnovers, enough } = flush({
      lineMl: given.number('line'),
      coolerMl: given.number('cooler'),
      pumpedMl: pumped,
    })
    return {
      level: enough ? 'good' : 'watch',
      sentence: enough
        ? `${ml(pumped)} went through lines and cooler, ${turnovers.toFixed(1)} times what they hold.`
        : `Only ${turnovers.toFixed(1)} times what lines and cooler hold: pump ${ml(2 * held - pumped)} more, and on until new fluid shows.`,
      working: [
        `they hold ${ml(given.number('line'))}${thumb(given, 'line')} + ${ml(given.number('cooler'))}${thumb(given, 'cooler')} = ${ml(held)}`,
        `${ml(pumped)} / ${ml(held)} = ${turnovers.toFixed(2)}; twice is wanted, common practice`,
      ],
      figures: [figure('times through', turnovers, '', 1)],
    }
  },
}

export const levelAtOverflow: Judge = {
  inputs: {
    inBox: 'number',
    temperature: 'number',
    low: 'number',
    high: 'number',
    overfill: 'number',
    expansion: 'number',
  },
  needs: ['inBox', 'temperature', 'low', 'high', 'expansion'],
  judge(given) {
    const [inBoxMl, temperatureC] = [given.number('inBox'), given.number('temperature')]
    const window: [number, number] = [given.number('low'), given.number('high')]
    const expansionPerK = given.number('expansion') / 1000
    const found = overflowLevel({
      litresInBox: inBoxMl / 1000,
      temperatureC,
      windowC: window,
      expansionPerK,
      overfillMl: given.maybe('overfill') ?? 0,
    })
    const offK = Math.max(window[0] - temperatureC, temperatureC - window[1], 0)
    return {
      level: found.verdict === 'right' ? 'good' : 'renew',
      sentence: found.because,
      working: [
        `window ${quantity(window[0], '°C', 0)} to ${quantity(window[1], '°C', 0)}${thumb(given, 'low')}; now ${quantity(temperatureC, '°C', 0)}`,
        `ΔV = V β ΔT = ${ml(inBoxMl)} × ${expansionPerK.toFixed(5)} each degree × ${quantity(offK, 'K', 0)} = ${ml(inBoxMl * expansionPerK * offK)}`,
        `expected at the overflow: ${ml(found.spillMl)}`,
      ],
      figures: [figure('spill', found.spillMl, 'ml', 0)],
    }
  },
}

export const flatFace: Judge = {
  inputs: { gaps: 'points', limit: 'number' },
  needs: ['gaps', 'limit'],
  judge(given, { of = 'The face' }) {
    const gaps = given.points('gaps')
    const limit = given.number('limit')
    const [widest, least] = [Math.max(...gaps), Math.min(...gaps)]
    const at = gaps.indexOf(widest) + 1
    const over = beyond(widest, limit)
    return {
      level: over ? 'renew' : 'good',
      sentence: over
        ? `${of} is warped: ${mm(widest)} under the straight edge at place ${at}, where ${mm(limit)} are allowed${thumb(given, 'limit')}. Nothing seals it but its evenness.`
        : `${of} is even: ${mm(widest)} at most under the straight edge, up to ${mm(limit)} are allowed${thumb(given, 'limit')}.`,
      working: [
        `widest ${mm(widest)} at place ${at}, least ${mm(least)}`,
        `uneven by ${mm(widest)} − ${mm(least)} = ${mm(widest - least)}`,
      ],
      figures: [figure('widest', widest, 'mm'), figure('uneven', widest - least, 'mm')],
    }
  },
}
