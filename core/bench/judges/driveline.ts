import { correctLine, rippleAcceleration, shaftLine, shaftSpeed } from '../../driveline'
import { blend, drained, syringeStrokes } from '../../fluids'
import type { BottleChoice } from '../../fluids'
import { figure, mm } from '../judgement'
import type { Judge } from '../judgement'

/** What is felt in the seat, in rad/s². Common practice, no source. */
const FELT_RAD_S2 = 300

export const driveAngles: Judge = {
  inputs: {
    box: 'number',
    shaft: 'number',
    rear: 'number',
    axle: 'number',
    boxAside: 'number',
    shaftAside: 'number',
    rearAside: 'number',
    axleAside: 'number',
    mount: 'number',
    tail: 'number',
    length: 'number',
    road: 'number',
    ratio: 'number',
    tyre: 'number',
  },
  needs: [
    'box',
    'shaft',
    'axle',
    'boxAside',
    'shaftAside',
    'axleAside',
    'mount',
    'tail',
    'length',
    'road',
    'ratio',
    'tyre',
  ],
  judge(given) {
    const ids =
      given.maybe('rear') === undefined
        ? (['box', 'shaft', 'axle'] as const)
        : (['box', 'shaft', 'rear', 'axle'] as const)
    const members = ids.map(id => ({ id, pitchDeg: given.number(id), yawDeg: given.maybe(`${id}Aside`) ?? 0 }))
    const line = shaftLine(members)
    const turns = shaftSpeed(given.number('road'), given.number('ratio'), given.number('tyre'))
    const felt = rippleAcceleration(line.swingDeg, turns)
    const fix = correctLine(members, {
      mountBehindMm: given.number('mount'),
      tailBehindMm: given.number('tail'),
      shaftLengthMm: given.number('length'),
    })
    const better = fix.after.residualDeg < line.residualDeg - 0.2 && Math.abs(fix.shimMm) >= 1
    const advice =
      line.cancels || !better
        ? ''
        : ` A shim of ${mm(Math.abs(fix.shimMm), 0)} ${fix.shimMm > 0 ? 'under the rear mount lifts the tail' : 'less under the rear mount lowers the tail'} and leaves ${fix.after.residualDeg.toFixed(1)}°.`
    return {
      level: line.joints.some(joint => joint.angleDeg > 5)
        ? 'renew'
        : line.cancels
          ? 'good'
          : felt > FELT_RAD_S2
            ? 'renew'
            : 'watch',
      sentence: `${line.because}${advice}`,
      working: [
        ...line.joints.map(
          joint =>
            `joint between ${joint.front} and ${joint.rear}: ${joint.angleDeg.toFixed(2)}°, from both directions in space`,
        ),
        `left over, √|Σ β² e^2iφ|: ${line.residualDeg.toFixed(2)}°; the speed swings from ${line.ripplePercent[0].toFixed(2)} to +${line.ripplePercent[1].toFixed(2)} in 100, twice a turn`,
        `at {${given.number('road')} km} an hour the shaft turns ${turns.toFixed(0)} rpm (road / circumference × ratio): ${line.swingDeg.toFixed(3)}° to either side, twice a turn, is ${felt.toFixed(0)} rad/s²; from ${FELT_RAD_S2} on it is felt, common practice`,
        `the best turn of the box is ${fix.turnDeg.toFixed(1)}°, ${mm(fix.shimMm, 1)} at the mount`,
      ],
      figures: [figure('left over', line.residualDeg, '°', 1), figure('shim', fix.shimMm, 'mm', 0)],
    }
  },
}

/** How far off its preload a center bearing may sit, in mm. Common practice, no source. */
const PRELOAD_OFF_MM = 1

export const bearingForward: Judge = {
  inputs: { free: 'number', fitted: 'number', forward: 'number' },
  needs: ['free', 'fitted', 'forward'],
  judge(given) {
    const moved = given.number('free') - given.number('fitted')
    const off = moved - given.number('forward')
    const right = Math.abs(off) <= PRELOAD_OFF_MM
    return {
      level: right ? 'good' : 'renew',
      sentence: right
        ? `The {center} bearing sits ${mm(moved, 1)} forward of its free position, as wanted.`
        : `The {center} bearing sits ${mm(Math.abs(moved), 1)} ${moved >= 0 ? 'forward' : 'behind'} of its free position: move it ${mm(Math.abs(off), 1)} ${off < 0 ? 'forward' : 'back'}.`,
      working: [
        `free {${given.number('free')} mm} − fitted {${given.number('fitted')} mm}, both from the same point ahead of it = ${mm(moved, 1)}`,
        `wanted {${given.number('forward')} mm}, give or take {${PRELOAD_OFF_MM} mm}`,
        'some makers push it forward by about {6.35 mm}, others leave it free; common practice, the vehicle book goes before it',
      ],
      figures: [figure('forward', moved, 'mm', 1)],
    }
  },
}

export const filling: Judge = {
  inputs: {
    out: 'number',
    capacity: 'number',
    bottle: 'number',
    shelf: 'number',
    stroke: 'number',
    share: 'number',
    bottleTwo: 'number',
    shelfTwo: 'number',
  },
  needs: ['capacity', 'bottle', 'shelf', 'stroke'],
  judge(given, { of = 'It' }) {
    const capacity = given.number('capacity')
    const out = given.maybe('out')
    const first = (given.maybe('share') ?? 100) / 100
    const { parts } = blend(capacity, [
      { share: first, bottleMl: given.number('bottle'), onShelfMl: given.number('shelf') },
      ...(first < 1
        ? [{ share: 1 - first, bottleMl: given.maybe('bottleTwo') ?? 1000, onShelfMl: given.maybe('shelfTwo') ?? 0 }]
        : []),
    ])
    const report = out === undefined ? null : drained({ outMl: out, capacityMl: capacity })
    const kinds = parts.map((part, index) =>
      parts.length === 1
        ? toBuy(part)
        : `${index === 0 ? 'the first' : 'the second'} kind {${Math.round(part.ml)} ml}, ${toBuy(part)}`,
    )
    return {
      level: report?.low ? 'watch' : 'good',
      sentence: `${report?.low ? `${report.because} ` : ''}${of} takes {${capacity} ml}: ${kinds.join('; ')}, ${syringeStrokes(capacity, given.number('stroke'))} strokes of the syringe.`,
      working: [
        ...parts.map(
          (part, index) =>
            `{${Math.round(part.ml)} ml} − {${Math.round(given.maybe(index === 0 ? 'shelf' : 'shelfTwo') ?? 0)} ml} on the shelf, in bottles of {${Math.round(given.maybe(index === 0 ? 'bottle' : 'bottleTwo') ?? 1000)} ml}, bought whole = {${Math.round(part.boughtMl)} ml}`,
        ),
        ...(out === undefined
          ? []
          : [`out: {${out} ml} of {${capacity} ml} = ${Math.round((out / capacity) * 100)} in 100`]),
      ],
      figures: parts.map((part, index) =>
        figure(index === 0 ? 'bottles' : 'bottles of the second kind', countOf(part), '', 0),
      ),
    }
  },
}

const countOf = (part: BottleChoice) => part.bottles[0]?.count ?? 0

/** What has to be bought of one kind. */
function toBuy(part: BottleChoice): string {
  const count = countOf(part)
  return count === 0
    ? 'the shelf holds enough'
    : `${count} ${count === 1 ? 'bottle' : 'bottles'} to buy, {${Math.round(part.leftMl)} ml} left over`
}
