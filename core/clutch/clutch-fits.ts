import { quantity } from '../say/quantity'

/** Parts of a clutch that meet for the first time, as they lie on the bench; what was not measured is not looked at. In mm but for splines. */
export interface MeetingParts {
  shaftSplines?: number
  hubSplines?: number
  shaftMm?: number
  hubMm?: number
  faceMm?: number
  discMm?: number
  wheelCircleMm?: number
  coverCircleMm?: number
  tipMm?: number
  pilotMm?: number
  guideMm?: number
  bearingMm?: number
}

export interface PartsMeet {
  verdict: 'fits' | 'look' | 'does-not-fit'
  findings: { level: 'good' | 'watch' | 'renew'; name: string; byMm: number; sentence: string }[]
}

interface Meeting {
  name: string
  outer: keyof MeetingParts
  inner: keyof MeetingParts
  /** How much the first has to be larger than the second: no less, no more. Common practice, no source. */
  least: number
  most: number
  good: string
  tight: string
  loose: string
  /** Larger than it has to be is a matter of looking twice, not of another part. */
  looseIs: 'watch' | 'renew'
  unit: 'mm' | ''
}

const meetings: Meeting[] = [
  {
    name: 'Splines of shaft and disc',
    outer: 'hubSplines',
    inner: 'shaftSplines',
    least: 0,
    most: 0,
    good: 'Shaft and disc have as many splines.',
    tight: 'The disc has fewer splines than the shaft.',
    loose: 'The disc has more splines than the shaft.',
    looseIs: 'renew',
    unit: '',
  },
  {
    name: 'Hub of the disc on the shaft',
    outer: 'hubMm',
    inner: 'shaftMm',
    least: 0.02,
    most: 0.6,
    good: 'The hub slides on the shaft.',
    tight: 'The hub does not go over the shaft.',
    loose: 'The hub is loose on the shaft: it rattles and wears.',
    looseIs: 'renew',
    unit: 'mm',
  },
  {
    name: 'Disc on the face of the flywheel',
    outer: 'faceMm',
    inner: 'discMm',
    least: 0,
    most: 14,
    good: 'The lining lies on the face all round.',
    tight: 'The lining is larger than the face: it hangs over the edge and tears.',
    loose: 'The lining is much smaller than the face: it may be the disc of a weaker clutch.',
    looseIs: 'watch',
    unit: 'mm',
  },
  {
    name: 'Bolt circle of cover and flywheel',
    outer: 'wheelCircleMm',
    inner: 'coverCircleMm',
    least: -0.3,
    most: 0.3,
    good: 'The cover sits on its holes.',
    tight: 'The cover is larger than its holes in the flywheel.',
    loose: 'The cover is smaller than its holes in the flywheel.',
    looseIs: 'renew',
    unit: 'mm',
  },
  {
    name: 'Tip of the shaft in the pilot',
    outer: 'pilotMm',
    inner: 'tipMm',
    least: 0.01,
    most: 0.2,
    good: 'The tip runs in the pilot.',
    tight: 'The tip does not go into the pilot: found with the box in the air.',
    loose: 'The tip is loose in the pilot: another pilot, or an adapter bush by the kit sheet.',
    looseIs: 'renew',
    unit: 'mm',
  },
  {
    name: 'Bearing on the guide',
    outer: 'bearingMm',
    inner: 'guideMm',
    least: 0.03,
    most: 1,
    good: 'The bearing slides on its guide.',
    tight: 'The bearing does not go over the guide.',
    loose: 'The bearing is loose on the guide: it tilts and squeals.',
    looseIs: 'renew',
    unit: 'mm',
  },
]

const levels = ['good', 'watch', 'renew']

/** Whether parts that never met fit each other: one pair of measures after the other, the worst first. */
export function clutchFits(parts: MeetingParts): PartsMeet {
  const findings = meetings
    .flatMap(({ name, outer, inner, least, most, good, tight, loose, looseIs, unit }): PartsMeet['findings'] => {
      const [one, other] = [parts[outer], parts[inner]]
      if (one === undefined || other === undefined) return []
      const by = one - other
      const told = unit === '' ? `${one} and ${other}` : `${quantity(one, unit, 2)} and ${quantity(other, unit, 2)}`
      // What differs but for the last digit of the arithmetic is equal.
      if (by < least - 1e-9) return [{ level: 'renew', name, byMm: by, sentence: `${tight} ${told}.` }]
      if (by > most + 1e-9) return [{ level: looseIs, name, byMm: by, sentence: `${loose} ${told}.` }]
      return [{ level: 'good', name, byMm: by, sentence: good }]
    })
    .sort((a, b) => levels.indexOf(b.level) - levels.indexOf(a.level))
  const worst = findings[0]?.level ?? 'watch'
  return { verdict: worst === 'renew' ? 'does-not-fit' : worst === 'watch' ? 'look' : 'fits', findings }
}
