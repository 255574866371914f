import { ringTurn } from '../../driveline/ring-turn'
import { tubeStrap } from '../../handling/tube-strap'
import { quantity } from '../../say/quantity'
import { figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'
import { lowering, tightPoint } from './tilt'

/** How far the tail of a tube goes down, engine and tube turned about the engine mounts as one. */
export const tubeDrop: Judge = {
  inputs: {
    tail: 'number',
    plugBehind: 'number',
    wanted: 'number',
    topBehind: 'number',
    topAbove: 'number',
    room: 'number',
    fanAhead: 'number',
    fanAbove: 'number',
    fanRoom: 'number',
    hoseBehind: 'number',
    hoseAbove: 'number',
    hoseRoom: 'number',
  },
  needs: ['tail', 'plugBehind', 'wanted', 'topAbove', 'room'],
  judge: given =>
    lowering({
      leverMm: given.number('tail'),
      end: 'the tail of the tube',
      turns: `the tail of the tube hangs ${mm(given.number('tail'), 0)} behind the mounts; engine and tube turn about them as one`,
      wanted: 'the plug on top of the box comes down',
      tightMm: 15,
      points: [
        {
          name: 'the plug on top of the box',
          xMm: given.number('plugBehind'),
          yMm: 0,
          along: 'y',
          wantedMm: given.number('wanted'),
        },
        ...tightPoint(given, 'the engine at the bulkhead', ['room', 'topBehind', 'topAbove'], 1, 'x'),
        ...tightPoint(given, 'the fan', ['fanRoom', 'fanAhead', 'fanAbove'], -1, 'y'),
        ...tightPoint(given, 'a hose', ['hoseRoom', 'hoseBehind', 'hoseAbove'], 1, 'x'),
      ],
    }),
}

/** What the strap under the tube carries, how long it is, and how thick the timber is that stops the tube. */
export const strapAndTimber: Judge = {
  inputs: {
    mass: 'number',
    balance: 'number',
    strap: 'number',
    span: 'number',
    hang: 'number',
    drop: 'number',
    brace: 'number',
    braceGap: 'number',
    rating: 'number',
  },
  needs: ['mass', 'balance', 'strap', 'span', 'hang', 'drop', 'brace', 'braceGap'],
  judge(given) {
    const found = tubeStrap({
      massKg: given.number('mass'),
      balanceMm: given.number('balance'),
      strapMm: given.number('strap'),
      spanMm: given.number('span'),
      hangMm: given.number('hang'),
      dropMm: given.number('drop'),
      braceMm: given.number('brace'),
      braceGapMm: given.number('braceGap'),
    })
    const rating = given.maybe('rating')
    const beyondRating = rating !== undefined && found.legKg > rating
    return {
      level: beyondRating || found.timberMm <= 0 ? 'renew' : rating === undefined ? 'watch' : 'good',
      sentence: beyondRating
        ? `Each leg pulls ${quantity(found.legKg, 'kg', 0)}, and the strap is rated for ${quantity(rating, 'kg', 0)}: another strap.`
        : found.because,
      working: [
        `${quantity(given.number('mass'), 'kg', 0)} × ${mm(given.number('balance'), 0)} ÷ ${mm(given.number('strap'), 0)} = ${quantity(found.loadKg, 'kg', 0)}${thumb(given, 'mass')}`,
        `two legs over ${mm(given.number('span'), 0)}, ${mm(given.number('hang') + given.number('drop'), 0)} down: ${quantity(found.legKg, 'kg', 0)} each`,
        `${mm(given.number('braceGap'), 0)} − ${mm(given.number('drop'), 0)} × ${mm(given.number('brace'), 0)} ÷ ${mm(given.number('strap'), 0)} = ${mm(found.timberMm, 0)} for the timber`,
      ],
      figures: [
        figure('strap carries', found.loadKg, 'kg', 0),
        figure('strap is long', found.lengthMm, 'mm', 0),
        figure('timber', Math.max(0, found.timberMm), 'mm', 0),
      ],
    }
  },
}

const degrees = (value: number) => `${value.toFixed(1)}°`

/** How far and which way the equalising ring is turned against its spring. */
export const ringToTeeth: Judge = {
  inputs: { ring: 'number', tube: 'number', offset: 'number' },
  needs: ['ring', 'tube', 'offset'],
  judge(given) {
    const turn = { teethA: given.number('ring'), teethB: given.number('tube'), offsetDeg: given.number('offset') }
    const { turnDeg, direction } = ringTurn(turn)
    return {
      level: direction === 'none' ? 'good' : 'watch',
      sentence:
        direction === 'none'
          ? 'Teeth stand before gaps: it slips in as it is.'
          : `The second person at the flange turns the ring ${degrees(Math.abs(turnDeg))} ${direction}, against its spring, and holds it until the teeth slip in. The other way it is farther.`,
      working: [
        `teeth ${given.number('ring')} and ${given.number('tube')}: the ring stands ${degrees(Math.abs(given.number('offset')))} ${given.number('offset') < 0 ? 'counter-clockwise' : 'clockwise'} of a gap it would slip into`,
        `the short way to the next: ${degrees(Math.abs(turnDeg))} ${direction}`,
      ],
      figures: [figure('turn', turnDeg, '°', 1)],
    }
  },
}
