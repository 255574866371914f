import { mountShim } from './mount-shim'
import { shaftLine } from './shaft-line'
import type { LineMember, ShaftLine } from './shaft-line'

export interface LineCorrection {
  /** How much the box has to be turned, in degrees, positive lifting its tail. */
  turnDeg: number
  shimMm: number
  after: ShaftLine
}

const MOST_DEG = 6

/**
 * The shim under the mount that leaves least of the ripple: the box is turned, the shaft follows its front end, the axle stays.
 * Found by golden-section search over what a mount allows.
 * @param members box first, axle last, each with its length in mm for those that move
 */
export function correctLine(
  members: LineMember[],
  geometry: { mountBehindMm: number; tailBehindMm: number; shaftLengthMm: number },
): LineCorrection {
  const turned = (turnDeg: number) => {
    const drop = -geometry.tailBehindMm * Math.tan((turnDeg * Math.PI) / 180)
    return shaftLine(
      members.map((member, index) =>
        index === 0
          ? { ...member, pitchDeg: member.pitchDeg - turnDeg }
          : index === 1 && members.length > 2
            ? { ...member, pitchDeg: member.pitchDeg - (Math.atan2(drop, geometry.shaftLengthMm) * 180) / Math.PI }
            : member,
      ),
    )
  }
  const golden = (Math.sqrt(5) - 1) / 2
  let [low, high] = [-MOST_DEG, MOST_DEG]
  for (let step = 0; step < 60; step++) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)]
    if (turned(a).residualDeg <= turned(b).residualDeg) high = b
    else low = a
  }
  const turnDeg = (low + high) / 2
  return { turnDeg, shimMm: mountShim(turnDeg, geometry.mountBehindMm), after: turned(turnDeg) }
}
