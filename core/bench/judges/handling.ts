import { clearance, liftingIndex, standLoads, supportLoads } from '../../handling'
import { quantity } from '../../say/quantity'
import { figure, mm } from '../judgement'
import type { Judge } from '../judgement'

const kg = (value: number): string => quantity(value, 'kg', 0)

/** From here on a lift is for two, or for a jack. */
const ALONE = 1

export const handsOrJack: Judge = {
  inputs: {
    mass: 'number',
    spread: 'number',
    with: 'number',
    horizontal: 'number',
    vertical: 'number',
    travel: 'number',
    turn: 'number',
  },
  needs: ['mass', 'horizontal', 'vertical', 'travel', 'turn'],
  judge(given, { of = 'It' }) {
    const lift = {
      horizontalCm: given.number('horizontal') / 10,
      verticalCm: given.number('vertical') / 10,
      travelCm: given.number('travel') / 10,
      asymmetryDeg: given.number('turn'),
      liftsPerMinute: 0.2,
      durationHours: 1,
      coupling: 'poor' as const,
    }
    const spreadKg = given.maybe('spread') ?? 0
    const withKg = given.maybe('with') ?? 0
    const massKg = given.number('mass') + withKg + spreadKg
    const weight = spreadKg > 0 ? `${kg(massKg - 2 * spreadKg)} to ${kg(massKg)}` : kg(massKg)
    const alone = liftingIndex({ ...lift, massKg })
    const two = liftingIndex({ ...lift, massKg: massKg / 2 })
    const who = alone.index <= ALONE ? 'alone' : two.index <= ALONE ? 'two' : 'jack'
    const { multipliers } = alone
    return {
      level: who === 'alone' ? 'good' : who === 'two' ? 'watch' : 'renew',
      sentence: {
        alone: `${of}: ${weight} is within the {${alone.limitKg.toFixed(1)} kg} that one person may lift so.`,
        two: `${of}: ${weight} is up to ${alone.index.toFixed(1)} times what one person may lift so ({${alone.limitKg.toFixed(1)} kg}). Two people, or the jack.`,
        jack: `${of}: ${weight} is ${Number.isFinite(alone.index) ? `up to ${alone.index.toFixed(1)} times` : 'beyond'} what one person may lift so ({${alone.limitKg.toFixed(1)} kg}), too much for two as well. The jack carries it, hands only steer.`,
      }[who],
      working: [
        `limit: {23.1 kg} × ${multipliers.horizontal.toFixed(2)} reach × ${multipliers.vertical.toFixed(2)} height × ${multipliers.distance.toFixed(2)} way × ${multipliers.asymmetry.toFixed(2)} turn × ${multipliers.frequency.toFixed(2)} often × ${multipliers.coupling.toFixed(2)} grip = {${alone.limitKg.toFixed(1)} kg}`,
        'revised NIOSH lifting equation, 1994; made for standing and two hands, so lying under a car it flatters',
        'grip taken as poor: a box has no handles',
        ...(withKg > 0 ? [`with what hangs in it: ${kg(massKg - withKg - spreadKg)} + ${kg(withKg)}`] : []),
        ...(spreadKg > 0
          ? [
              `judged by the heaviest it may be: ${quantity(massKg - spreadKg, 'kg', 1)} + ${quantity(spreadKg, 'kg', 1)}`,
            ]
          : []),
      ],
      figures: [figure('index', alone.index, '', 1), figure('limit', alone.limitKg, 'kg', 1)],
    }
  },
}

const levelOf = { safe: 'good', near: 'watch', no: 'renew' } as const

export const onStands: Judge = {
  inputs: {
    car: 'number',
    front: 'number',
    wheelbase: 'number',
    track: 'number',
    standFromAxle: 'number',
    standApart: 'number',
    rating: 'number',
    part: 'number',
    partFromAxle: 'number',
    partAside: 'number',
  },
  needs: [
    'car',
    'front',
    'wheelbase',
    'track',
    'standFromAxle',
    'standApart',
    'rating',
    'part',
    'partFromAxle',
    'partAside',
  ],
  judge(given) {
    const stand = (id: string, side: number) => ({
      id,
      xMm: given.number('standFromAxle'),
      yMm: (side * given.number('standApart')) / 2,
      ratingKg: given.number('rating'),
    })
    const report = standLoads({
      carKg: given.number('car'),
      frontShare: given.number('front') / 100,
      wheelbaseMm: given.number('wheelbase'),
      trackMm: given.number('track'),
      wheelsDown: ['rear'],
      stands: [stand('left', -1), stand('right', 1)],
      removed: [
        { id: 'part', massKg: given.number('part'), xMm: given.number('partFromAxle'), yMm: given.number('partAside') },
      ],
    })
    return {
      level: levelOf[report.verdict],
      sentence: `${report.because} Each stand holds ${kg(Math.max(...report.stands.map(entry => entry.beforeKg)))} before and ${kg(Math.max(...report.stands.map(entry => entry.afterKg)))} after.`,
      working: [
        `axles: ${report.axles.before.map(kg).join(' front, ')} rear before; ${report.axles.after.map(kg).join(' front, ')} rear after`,
        `the balance point moves ${mm(Math.abs(report.shiftMm), 0)} to the ${report.shiftMm >= 0 ? 'rear' : 'front'} and stays ${mm(report.insideMm[1], 0)} inside its supports`,
        ...report.stands.map(
          entry =>
            `${entry.id}: ${kg(entry.beforeKg)} before, ${kg(entry.afterKg)} after, of ${kg(entry.ratingKg)} on its plate`,
        ),
        'two stands at the front, rear wheels down; the maker’s lifting points, the plates and local rules go before this',
      ],
      figures: [
        figure('at most', Math.max(...report.stands.map(entry => entry.share)) * 100, 'in 100 of its rating', 0),
      ],
    }
  },
}

/** A support is not loaded beyond this share of its plate. Common practice, no source: half is left for a knock. */
const HALF = 0.5

export const supportShare: Judge = {
  inputs: {
    engine: 'number',
    box: 'number',
    engineAside: 'number',
    boxAside: 'number',
    mountAside: 'number',
    rating: 'number',
  },
  needs: ['engine', 'box', 'engineAside', 'boxAside', 'mountAside', 'rating'],
  judge(given) {
    const at = (id: string, xMm: number) => ({ id, xMm, yMm: 0 })
    const engine = { ...at('engine', -given.number('engineAside')), massKg: given.number('engine') }
    const box = { ...at('box', given.number('boxAside')), massKg: given.number('box') }
    const supports = [at('mount', -given.number('mountAside')), at('support', 0)]
    const carried = (masses: (typeof engine)[]) => {
      const { balance, totalKg, loadsKg } = supportLoads(masses, supports)
      // Beyond the support nothing holds the far end down: all of it, and more, hangs on the support.
      return balance.xMm > 0 ? totalKg * (1 + balance.xMm / given.number('mountAside')) : loadsKg[1]!
    }
    const [both, alone] = [carried([engine, box]), carried([engine])]
    const worst = Math.max(both, alone)
    const share = worst / given.number('rating')
    return {
      level: share > 1 ? 'renew' : share > HALF ? 'watch' : 'good',
      sentence: `It carries ${kg(both)} while the box still hangs on the engine and ${kg(alone)} once it is out: ${Math.round(share * 100)} in 100 of its plate${share > 1 ? ', more than it is rated for' : share > HALF ? '; half is left for a knock' : ''}.`,
      working: [
        `moments about the mount that stays, ${mm(given.number('mountAside'), 0)} away: engine {${given.number('engine')} kg} × {${Math.round(given.number('mountAside') - given.number('engineAside'))} mm}, box {${given.number('box')} kg} × {${Math.round(given.number('mountAside') + given.number('boxAside'))} mm}`,
        'no jack under the box yet and its mount off: the most the support will ever carry',
        'the plate, the maker’s lifting points and local rules go before this',
      ],
      figures: [figure('at most', worst, 'kg', 0)],
    }
  },
}

export const roomUnder: Judge = {
  inputs: {
    box: 'number',
    saddle: 'number',
    edge: 'number',
    edgeFromAxle: 'number',
    liftFromAxle: 'number',
    rises: 'number',
    lowest: 'number',
    highest: 'number',
    point: 'number',
  },
  needs: ['box', 'saddle', 'edge', 'edgeFromAxle', 'liftFromAxle', 'rises', 'lowest', 'highest', 'point'],
  judge(given) {
    const found = clearance({
      boxHeightMm: given.number('box'),
      saddleMm: given.number('saddle'),
      edgeMm: given.number('edge'),
      edgeFromAxleMm: given.number('edgeFromAxle'),
      liftFromAxleMm: given.number('liftFromAxle'),
      groundRisesMm: given.number('rises'),
      standRangeMm: [given.number('lowest'), given.number('highest')],
      liftPointMm: given.number('point'),
    })
    return {
      level: found.verdict === 'low-stands' ? 'renew' : 'good',
      sentence: found.because,
      working: [
        `wanted under the edge: {${given.number('box')} mm} box + {${given.number('saddle')} mm} jack + {${given.number('rises')} mm} rise of the ground + {30 mm} air = ${mm(found.neededMm, 0)}`,
        `the car turns about the axle that stays down: the lifting point goes up by ${mm(found.liftMm, 0)}`,
        `stands at ${mm(found.standMm, 0)}, between {${given.number('lowest')} mm} and {${given.number('highest')} mm}`,
      ],
      figures: [figure('stands at', found.standMm, 'mm', 0)],
    }
  },
}
