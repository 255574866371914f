import { adjusterTurns } from '../../clutch/adjuster-turns'
import { twoStagePedal } from '../../clutch/two-stage-pedal'
import { splitLoads } from '../../handling/split-loads'
import { quantity } from '../../say/quantity'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Given, Judge } from '../judgement'

const kg = (value: number) => quantity(value, 'kg', 0)
const GRAVITY = 9.81

/** What axles and supports carry once it is parted, and what rolls it away. */
export const halvesParted: Judge = {
  inputs: {
    frontMass: 'number',
    frontBalance: 'number',
    frontSupport: 'number',
    rearMass: 'number',
    rearBalance: 'number',
    rearSupport: 'number',
    wheelbase: 'number',
    slope: 'number',
    rating: 'number',
    wedges: 'choice',
  },
  needs: ['frontMass', 'frontBalance', 'frontSupport', 'rearMass', 'rearBalance', 'rearSupport', 'wheelbase'],
  judge(given) {
    const rating = given.maybe('rating')
    const loads = splitLoads({
      front: {
        massKg: given.number('frontMass'),
        balanceMm: given.number('frontBalance'),
        axleMm: 0,
        supportMm: given.number('frontSupport'),
      },
      rear: {
        massKg: given.number('rearMass'),
        balanceMm: given.number('rearBalance'),
        axleMm: given.number('wheelbase'),
        supportMm: given.number('rearSupport'),
      },
      slopeDeg: given.maybe('slope') ?? 0,
      wedged: given.choice('wedges') === 'in',
    })
    const { front, rear } = loads
    const most = Math.max(front.supportKg, rear.supportKg)
    const tooMuch = rating !== undefined && most > rating
    const tips = front.tipsOver !== null || rear.tipsOver !== null
    const rolls = Math.max(Math.abs(front.rollN), Math.abs(rear.rollN)) >= 1
    return {
      level: tips || tooMuch || loads.liesOver ? 'renew' : rolls || rating === undefined ? 'watch' : 'good',
      sentence: tooMuch
        ? `${kg(most)} hang on one support, which is rated for ${kg(rating)}: a stronger one, or nearer to the balance. ${loads.because}`
        : loads.because,
      working: [
        `front: ${kg(given.number('frontMass'))}, balance ${mm(given.number('frontBalance'), 0)}, support ${mm(given.number('frontSupport'), 0)} behind its axle: ${kg(front.supportKg)} on the support, ${kg(front.axleKg)} on the axle${thumb(given, 'frontMass')}`,
        `rear: ${kg(given.number('rearMass'))}, balance ${mm(given.number('rearBalance'), 0)}, support ${mm(given.number('rearSupport'), 0)}, axle ${mm(given.number('wheelbase'), 0)}: ${kg(rear.supportKg)} on the support, ${kg(rear.axleKg)} on the axle${thumb(given, 'rearMass')}`,
      ],
      figures: [
        figure('front support', front.supportKg, 'kg', 0),
        figure('rear support', rear.supportKg, 'kg', 0),
        figure('pushed by the floor', Math.max(Math.abs(front.rollN), Math.abs(rear.rollN)), 'N', 0),
      ],
    }
  },
}

/** Outside its window: a hundredth either way is no feeler's business. */
const outside = (gap: number, low: number, high: number) => beyond(low, gap) || beyond(gap, high)

/** How far every adjuster is turned, in flats of its nut. */
export const adjustersToGo: Judge = {
  inputs: { gaps: 'points', wanted: 'number', pitch: 'number', flats: 'number' },
  needs: ['gaps', 'wanted', 'pitch'],
  judge(given) {
    const all = given.points('gaps').map((measuredMm, index) => ({
      name: given.place('gaps', index),
      measuredMm,
      ...adjusterTurns({
        measuredMm,
        wantedMm: given.number('wanted'),
        pitchMm: given.number('pitch'),
        ...(given.maybe('flats') === undefined ? {} : { flats: given.number('flats') }),
      }),
    }))
    const off = all.filter(({ direction }) => direction !== 'none')
    return {
      level: off.length > 0 ? 'watch' : 'good',
      sentence:
        off.length > 0
          ? `Turn ${off.map(({ name, flats, degrees, direction }) => `${name}: ${Math.abs(flats).toFixed(1)} flats (${Math.abs(degrees).toFixed(0)}°) to ${direction} it`).join('; ')}. Then the lock screws, and all of them measured again.`
          : `Every gap stands at ${mm(given.number('wanted'))}.`,
      working: all.map(
        ({ name, measuredMm, turns }) =>
          `${name}: (${mm(given.number('wanted'))} − ${mm(measuredMm)}) ÷ ${mm(given.number('pitch'))} a turn${thumb(given, 'pitch')} = ${turns.toFixed(2)} turns`,
      ),
      figures: all.map(({ name, flats }) => figure(`${name}, flats`, flats, '', 1)),
    }
  },
}

/** Whether every gap lies in its window and all are alike. */
export const adjustersSet: Judge = {
  inputs: { after: 'points', low: 'number', high: 'number', spread: 'number' },
  needs: ['after', 'low', 'high', 'spread'],
  judge(given) {
    const gaps = given.points('after')
    const [low, high, allowed] = [given.number('low'), given.number('high'), given.number('spread')]
    const out = gaps.flatMap((gap, index) => (outside(gap, low, high) ? [given.place('after', index)] : []))
    const spread = Math.max(...gaps) - Math.min(...gaps)
    const uneven = beyond(spread, allowed)
    const window = `${mm(low, 3)} to ${mm(high, 3)}`
    return {
      level: out.length > 0 || uneven ? 'renew' : 'good',
      sentence:
        out.length > 0
          ? `Outside ${window}: ${out.join(', ')}. Turn again, lock, measure again.`
          : uneven
            ? `Each lies within ${window}, and they differ by ${mm(spread)}: the plate lifts askew and the clutch drags. Bring them within ${mm(allowed)}.`
            : `All ${gaps.length} lie within ${window} and within ${mm(spread)} of each other.`,
      working: [
        gaps.map((gap, index) => `${given.place('after', index)}: ${mm(gap)}`).join('; '),
        `window ${window}${thumb(given, 'low')}, apart by no more than ${mm(allowed)}${thumb(given, 'spread')}`,
      ],
      figures: [figure('apart by', spread, 'mm')],
    }
  },
}

/** A pedal that opens the drive first and the power take-off after it. */
export const pedalInStages: Judge = {
  inputs: {
    free: 'number',
    drive: 'number',
    takeOff: 'number',
    end: 'number',
    brake: 'number',
    freeLow: 'number',
    freeHigh: 'number',
    over: 'number',
  },
  needs: ['free', 'drive', 'takeOff', 'end', 'freeLow', 'freeHigh', 'over'],
  judge(given) {
    const brake = given.maybe('brake')
    const found = twoStagePedal({
      freePlayMm: given.number('free'),
      driveFreesMm: given.number('drive'),
      takeOffFreesMm: given.number('takeOff'),
      endMm: given.number('end'),
      freePlayWindowMm: [given.number('freeLow'), given.number('freeHigh')],
      overTravelMm: given.number('over'),
      ...(brake === undefined ? {} : { brakeTouchesMm: brake }),
    })
    return {
      level: found.faults.length > 0 ? 'renew' : 'good',
      sentence: found.because,
      working: [
        `free play ${mm(given.number('free'), 0)}, drive ${mm(given.number('drive'), 0)}, power take-off ${mm(given.number('takeOff'), 0)}${brake === undefined ? '' : `, brake ${mm(brake, 0)}`}, stop ${mm(given.number('end'), 0)}`,
        `free play wanted ${mm(given.number('freeLow'), 0)} to ${mm(given.number('freeHigh'), 0)}${thumb(given, 'freeLow')}, beyond the last ${mm(given.number('over'), 0)}${thumb(given, 'over')}`,
      ],
      figures: [figure('between', found.betweenMm, 'mm', 0), figure('over-travel', found.overTravelMm, 'mm', 0)],
    }
  },
}

/** What a long shaft that hangs out of a small bearing does to it: weight by its lever. */
export const longShaft: Judge = {
  inputs: { mass: 'number', overhang: 'number', bearing: 'number', held: 'choice' },
  needs: ['mass', 'overhang', 'bearing'],
  judge(given: Given) {
    const weightN = given.number('mass') * GRAVITY
    const momentNm = (weightN * given.number('overhang')) / 1000
    const coupleN = (momentNm * 1000) / given.number('bearing')
    const times = coupleN / weightN
    const held = given.choice('held') === 'held'
    return {
      level: held ? 'good' : 'watch',
      sentence: held
        ? `Its weight is held: the bearing guides it and carries nothing of ${quantity(momentNm, 'N·m', 1)}.`
        : `${quantity(momentNm, 'N·m', 1)} hang on a bearing ${mm(given.number('bearing'), 0)} wide: it presses with ${quantity(coupleN, 'N', 0)}, ${times.toFixed(0)} times the weight of the shaft. Hold the weight while it goes in and stays in.`,
      working: [
        `${kg(given.number('mass'))} × 9.81 × ${mm(given.number('overhang'), 0)} = ${quantity(momentNm, 'N·m', 1)}`,
        `÷ ${mm(given.number('bearing'), 0)} of bearing${thumb(given, 'bearing')} = ${quantity(coupleN, 'N', 0)} at either edge`,
      ],
      figures: [figure('moment', momentNm, 'N·m', 1), figure('at the bearing', coupleN, 'N', 0)],
    }
  },
}

/** Which way round a new disc goes, by the heights of its hub over either face beside the old one's. */
export const discToldByHub: Judge = {
  inputs: { oldEngine: 'number', newEngine: 'number', oldBox: 'number', newBox: 'number', allowed: 'number' },
  needs: ['oldEngine', 'newEngine', 'oldBox', 'newBox', 'allowed'],
  judge(given) {
    const [oldEngine, oldBox] = [given.number('oldEngine'), given.number('oldBox')]
    const [newEngine, newBox] = [given.number('newEngine'), given.number('newBox')]
    const allowed = given.number('allowed')
    const off = Math.max(Math.abs(newEngine - oldEngine), Math.abs(newBox - oldBox))
    const turned = Math.max(Math.abs(newBox - oldEngine), Math.abs(newEngine - oldBox))
    const [lies, fitsTurned] = [!beyond(off, allowed), !beyond(turned, allowed)]
    return {
      level: lies && !fitsTurned ? 'good' : lies || fitsTurned ? 'watch' : 'renew',
      sentence:
        lies && fitsTurned
          ? `Its hub is as high on both sides: height does not tell it. Radius and taper do, or the seller names the side.`
          : lies
            ? `As it lies it is like the old one, within ${mm(off, 1)}: this side to the engine.`
            : fitsTurned
              ? `Turned over it is like the old one, within ${mm(turned, 1)}: the other side to the engine.`
              : `Neither way round is it like the old one: ${mm(Math.min(off, turned), 1)} off. It is the other of the two discs, or not of this clutch.`,
      working: [
        `as it lies: engine ${mm(newEngine, 1)} against ${mm(oldEngine, 1)}, box ${mm(newBox, 1)} against ${mm(oldBox, 1)}`,
        `turned over: engine ${mm(newBox, 1)} against ${mm(oldEngine, 1)}, box ${mm(newEngine, 1)} against ${mm(oldBox, 1)}`,
        `allowed: ${mm(allowed, 1)}${thumb(given, 'allowed')}`,
      ],
      figures: [figure('off as it lies', off, 'mm', 1), figure('off turned over', turned, 'mm', 1)],
    }
  },
}
