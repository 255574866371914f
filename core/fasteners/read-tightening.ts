import { FieldError, within } from '../base/field-error'
import { siblingsOf } from './sibling-bolts'
import type { TighteningSample } from './tightening-curve'
import { TighteningReader } from './tightening-reader'
import type { JointState, TighteningReading } from './tightening-reader'

export interface TighteningJoint {
  targetNm: number
  /** Where this pass ends, in N·m, when it does not go to the target. */
  limitNm?: number
  /** Curves of bolts of the same group that were already called good. */
  siblings?: TighteningSample[][]
  /** What makes the joint run heavier than clean threads do; nothing where it is left out. */
  state?: JointState
}

/**
 * Reads a tightening while it goes on: torque against angle from the first turn of running down. Each sample is judged
 * by itself and those before it, so that a longer record never takes back what a shorter one said, but for a bolt that
 * first yields and then gives way.
 *
 * @param samples in the order they were taken, angles in degrees that do not go back, torque in N·m
 * @returns `drag`: it runs heavy before it should; `early`: it is tight too soon; `soft`: it turns too far for its torque;
 * `yielding`: it turns on without getting tighter; `gave-way`: torque falls; `good`: the target is reached and nothing was
 * wrong on the way
 * @throws FieldError on a sample or a target that is no number, or an angle that goes back
 */
export function readTightening(samples: TighteningSample[], joint: TighteningJoint): TighteningReading {
  check(samples, 'samples')
  const reader = tighteningReader(joint)
  for (const sample of samples) reader.add(sample)
  return reader.finish()
}

/**
 * The same, for a wrench that speaks sample by sample.
 * @throws FieldError on a target or a sibling that is no number
 */
export function tighteningReader({ targetNm, limitNm, siblings, state }: TighteningJoint): TighteningReader {
  within('joint.targetNm', targetNm, 0.5, 1000, 'A target in N·m')
  if (limitNm !== undefined) within('joint.limitNm', limitNm, 0.05, targetNm, 'The end of a pass in N·m')
  siblings?.forEach((curve, index) => check(curve, `joint.siblings[${index}]`))
  return new TighteningReader(targetNm, siblings?.length ? siblingsOf(siblings, targetNm) : null, limitNm, state)
}

/** Beyond this, in degrees or N·m, a wrench has sent something else. */
const MOST = 100_000

function check(samples: TighteningSample[], path: string): void {
  samples.forEach(({ angleDeg, torqueNm }, index) => {
    within(`${path}[${index}].angleDeg`, angleDeg, -MOST, MOST, 'The angle of a sample in degrees')
    within(`${path}[${index}].torqueNm`, torqueNm, -MOST, MOST, 'The torque of a sample in N·m')
    if (index > 0 && angleDeg < samples[index - 1]!.angleDeg)
      throw new FieldError(
        `${path}[${index}].angleDeg`,
        'The angle goes back. Samples are taken while the bolt turns on.',
      )
  })
}
