import { Grip } from './grip'
import type { TighteningReading } from './tightening-reader'
import type { TighteningSample } from './tightening-curve'

/** At the start of a pull a bolt is below where it stood; samples count from this share of that on, or after so many degrees. Common practice, no source. */
const TAKEN_UP_SHARE = 0.9
const TAKEN_UP_DEG = 12
/** Torque that falls by this share while the bolt turns on is a bolt that goes. Common practice, no source. */
const FALL_SHARE = 0.85

/** How a pass that is turned by angle stands. */
export interface AnglePass {
  /** Turned in this pass, in degrees. */
  turnedDeg: number
  reached: boolean
  /** Why it must not be turned on; `null` while it may. */
  gaveWay: TighteningReading | null
}

/**
 * Whether the slack of wrench and socket is taken up, so that a sample is of the bolt and not of the way to it.
 * @param last where the bolt stood when the pull began
 */
export function takenUp(last: TighteningSample, { angleDeg, torqueNm }: TighteningSample): boolean {
  return torqueNm >= last.torqueNm * TAKEN_UP_SHARE || angleDeg >= last.angleDeg + TAKEN_UP_DEG
}

/**
 * Reads a pass by angle. A bolt turned by angle may pass yield by design; only torque that falls, twice in a row, stops it. Nobody turns
 * ninety degrees in one swing: what the wrench reads between two swings is left out.
 * @param samples all that was read of the bolt, with what was turned in passes before; at least one
 * @param before how it stood when this pass began; nothing for a bolt that is turned for the first time
 * @param angleDeg what the pass asks for
 */
export function readAnglePass(
  samples: TighteningSample[],
  before: TighteningSample | undefined,
  angleDeg: number,
): AnglePass {
  const peakOfAll = Math.max(...samples.map(sample => sample.torqueNm))
  const grip = new Grip(peakOfAll)
  const turned: TighteningSample[] = []
  let gone = false
  for (const sample of samples) {
    const found = grip.add(sample)
    turned.push(...found.steady)
    // Dirt that it turned past gave way as well; a bolt goes from where it stood highest.
    gone ||= found.gone !== null && found.gone.fromNm >= FALL_SHARE * peakOfAll
  }
  const last = turned.at(-1) ?? samples.at(-1)!
  const peakNm = Math.max(...turned.map(sample => sample.torqueNm))
  const fell = gone || (turned.length > 1 && turned.slice(-2).every(sample => sample.torqueNm < peakNm * FALL_SHARE))
  const turnedDeg = last.angleDeg - (before ?? samples[0]!).angleDeg
  return {
    turnedDeg,
    reached: turnedDeg >= angleDeg,
    gaveWay: fell
      ? {
          verdict: 'gave-way',
          because: `Torque fell from {${peakNm.toFixed(1)} N·m} to {${samples.at(-1)!.torqueNm.toFixed(1)} N·m} while it turned on.`,
          atAngleDeg: last.angleDeg,
        }
      : null,
  }
}
