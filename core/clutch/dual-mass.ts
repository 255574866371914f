import { within } from '../base/field-error'

export interface DualMassVerdict {
  verdict: 'good' | 'worn' | 'finished'
  /** Share of the allowed free rotation and of the allowed rock that is used. */
  rotationShare: number | null
  rockShare: number | null
  because: string
}

/** Above this share of a limit it is near its end. Common practice, no source. */
const NEAR = 0.8

/**
 * Judges a dual-mass flywheel by how far its rim turns freely against the hub and how far it rocks, each against the
 * limit of the flywheel's own sheet. It is never machined: its face belongs to a sprung half that would lose its balance.
 * @param wheel measured and allowed, in degrees and mm; a measure without its limit is left out of the verdict
 * @throws FieldError on a measure or a limit that is none; RangeError where no measure has its limit
 */
export function dualMass({
  rotationDeg,
  rotationLimitDeg,
  rockMm,
  rockLimitMm,
}: {
  rotationDeg?: number
  rotationLimitDeg?: number
  rockMm?: number
  rockLimitMm?: number
}): DualMassVerdict {
  const share = (
    path: string,
    value: number | undefined,
    limit: number | undefined,
    highest: number,
  ): number | null => {
    if (value === undefined || limit === undefined) return null
    within(path, value, 0, highest, 'The measure')
    within(`${path}Limit`, limit, 0.01, highest, 'The limit')
    return value / limit
  }
  const rotationShare = share('rotationDeg', rotationDeg, rotationLimitDeg, 180)
  const rockShare = share('rockMm', rockMm, rockLimitMm, 30)
  if (rotationShare === null && rockShare === null)
    throw new RangeError('a measure with its limit is wanted: free rotation or rock')
  const worst = Math.max(rotationShare ?? 0, rockShare ?? 0)
  const name = (rotationShare ?? 0) >= (rockShare ?? 0) ? 'free rotation' : 'rock'
  const verdict = worst > 1 ? 'finished' : worst > NEAR ? 'worn' : 'good'
  const said = {
    finished: `Its ${name} is beyond the limit of its sheet.`,
    worn: `Its ${name} uses ${Math.round(worst * 100)} of 100 parts of the limit.`,
    good: `Its ${name} uses ${Math.round(worst * 100)} of 100 parts of the limit.`,
  }
  return { verdict, rotationShare, rockShare, because: said[verdict] }
}
