import { clutchFits } from '../../clutch'
import type { MeetingParts } from '../../clutch'
import { cutCentre, shaftLength } from '../../driveline'
import { figure, mm } from '../judgement'
import type { Judge } from '../judgement'

/** Input of the sheet → what is measured. */
const meeting: Record<string, keyof MeetingParts> = {
  'shaft-splines': 'shaftSplines',
  'hub-splines': 'hubSplines',
  shaft: 'shaftMm',
  hub: 'hubMm',
  face: 'faceMm',
  disc: 'discMm',
  'wheel-circle': 'wheelCircleMm',
  'cover-circle': 'coverCircleMm',
  tip: 'tipMm',
  pilot: 'pilotMm',
  guide: 'guideMm',
  bearing: 'bearingMm',
}

export const newPartsMeet: Judge = {
  inputs: Object.fromEntries(Object.keys(meeting).map(input => [input, 'number' as const])),
  needs: [],
  judge(given) {
    const parts = Object.fromEntries(
      Object.entries(meeting).flatMap(([input, key]) => {
        const value = given.maybe(input)
        return value === undefined ? [] : [[key, value]]
      }),
    ) as MeetingParts
    const { findings } = clutchFits(parts)
    if (findings.length === 0)
      return { level: 'watch', sentence: 'No two parts that meet are measured yet.', working: [], figures: [] }
    const wrong = findings.filter(finding => finding.level !== 'good')
    return {
      level: findings[0]!.level,
      sentence: (wrong.length > 0 ? wrong : findings).map(finding => finding.sentence).join(' '),
      working: findings.map(({ name, byMm }) => `${name}: ${name.startsWith('Splines') ? byMm : mm(byMm)} apart`),
      figures: [],
    }
  },
}

/** A fall that moves the hole by less than this is not spoken of, in mm. */
const TOLD_MM = 2

export const floorCut: Judge = {
  inputs: {
    length: 'number',
    aside: 'number',
    between: 'number',
    rise: 'number',
    fall: 'number',
    mark: 'number',
    markAside: 'number',
  },
  needs: ['length', 'aside', 'between', 'rise', 'fall', 'mark', 'markAside'],
  judge(given) {
    const [length, between, rise, fall] = [
      given.number('length'),
      given.number('between'),
      given.number('rise'),
      given.number('fall'),
    ]
    const found = cutCentre({
      bellToShifterMm: length,
      asideMm: given.number('aside'),
      betweenMm: between,
      riseMm: rise,
      fallDeg: fall,
      engineToMarkMm: given.number('mark'),
      markAsideMm: given.number('markAside'),
    })
    const aside = found.rightOfMarkMm
    const leans =
      Math.abs(found.byFallMm) < TOLD_MM
        ? ''
        : ` The fall of the box alone moves it by ${mm(Math.abs(found.byFallMm), 0)} ${found.byFallMm > 0 ? 'to the rear' : 'to the front'}.`
    return {
      level: 'good',
      sentence: `The middle of the opening lies ${mm(Math.abs(found.behindMarkMm), 0)} ${found.behindMarkMm >= 0 ? 'behind' : 'ahead of'} the mark${Math.abs(aside) < 1 ? ', in line with it' : ` and ${mm(Math.abs(aside), 0)} to its ${aside > 0 ? 'right' : 'left'}`}.${leans} Mark it, hold the box against it if you can, and only then cut.`,
      working: [
        `(bell to {shifter} {${length} mm} + between {${between} mm}) × cos ${fall}° + pivot {${rise} mm} × sin ${fall}° − engine to mark {${given.number('mark')} mm} = ${mm(found.behindMarkMm, 1)}`,
        `to a side: {${given.number('aside')} mm} − {${given.number('markAside')} mm} = ${mm(aside, 1)} to the right`,
      ],
      figures: [figure('behind the mark', found.behindMarkMm, 'mm', 0), figure('right of the mark', aside, 'mm', 0)],
    }
  },
}

/** Of the spline so many diameters have to stay in. Common practice, no source. */
const DIAMETERS = 1.5

export const madeToLength: Judge = {
  inputs: { seal: 'number', home: 'number', slip: 'number', spline: 'number', shaft: 'number', stands: 'choice' },
  needs: ['seal', 'home', 'slip'],
  judge(given) {
    const [spline, shaft] = [given.maybe('spline'), given.maybe('shaft')]
    const found = shaftLength({
      sealToJointMm: given.number('seal'),
      yokeHomeMm: given.number('home'),
      slipMm: given.number('slip'),
      ...(spline === undefined ? {} : { splineMm: spline }),
      ...(shaft === undefined ? {} : { shaftMm: shaft }),
    })
    const hangs = given.choice('stands') === 'hanging'
    const short = found.engagedDiameters !== null && found.engagedDiameters < DIAMETERS
    const held =
      found.engagedMm === null
        ? ''
        : short
          ? ` Only ${mm(found.engagedMm, 0)} of spline stay in, ${found.engagedDiameters!.toFixed(1)} diameters: a longer yoke, or less slip.`
          : ` ${mm(found.engagedMm, 0)} of spline stay in.`
    return {
      level: hangs || short ? 'renew' : 'good',
      sentence: hangs
        ? 'The axle hangs: the length is another once it carries the car. Measure it again with the car on its wheels.'
        : `Have it made ${mm(found.lengthMm, 0)} from the middle of joint to the middle of joint.${held}`,
      working: [
        `seal to joint {${given.number('seal')} mm} − yoke home {${given.number('home')} mm} − slip {${given.number('slip')} mm} = ${mm(found.lengthMm, 1)}`,
      ],
      figures: [figure('joint to joint', found.lengthMm, 'mm', 0)],
    }
  },
}
