import { within } from '../base/field-error'
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

/** Steps in which what a mount allows is looked through before it is looked at closely, in degrees. */
const SCAN_DEG = 0.1
/** Of valleys that shake alike, within this, the one that wants least of a shim. */
const ALIKE_DEG = 0.05
const GOLDEN = (Math.sqrt(5) - 1) / 2

/**
 * The shim under the mount that leaves least of the ripple: the box is turned, the shaft follows its front end, the axle stays.
 * Joints cancel in two ways, with box and axle parallel and bent like a bow, so there may be two valleys: what a mount allows is looked
 * through in steps, each valley by golden section, and of those that leave as little the thinner shim is told.
 * @param members box first, axle last
 * @param geometry distances in mm: of the mount and of the tail behind what the box turns about, and of the shaft between its joints
 * @throws FieldError on the field at fault
 */
export function correctLine(
  members: LineMember[],
  geometry: { mountBehindMm: number; tailBehindMm: number; shaftLengthMm: number },
): LineCorrection {
  within('geometry.tailBehindMm', geometry.tailBehindMm, 10, 5000, 'The tail behind the mounts in mm')
  within('geometry.shaftLengthMm', geometry.shaftLengthMm, 50, 5000, 'The length of the shaft in mm')
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
  const residual = (turnDeg: number) => turned(turnDeg).residualDeg
  const steps = Math.round((2 * MOST_DEG) / SCAN_DEG)
  const scan = Array.from({ length: steps + 1 }, (_, step) => {
    const turnDeg = -MOST_DEG + step * SCAN_DEG
    return { turnDeg, residualDeg: residual(turnDeg) }
  })
  const valleys = scan
    .filter(
      ({ residualDeg }, index) =>
        residualDeg <= (scan[index - 1]?.residualDeg ?? Infinity) &&
        residualDeg <= (scan[index + 1]?.residualDeg ?? Infinity),
    )
    .map(({ turnDeg }) =>
      valley(residual, Math.max(-MOST_DEG, turnDeg - SCAN_DEG), Math.min(MOST_DEG, turnDeg + SCAN_DEG)),
    )
    .map(turnDeg => ({ turnDeg, residualDeg: residual(turnDeg) }))
  const least = Math.min(...valleys.map(found => found.residualDeg))
  const { turnDeg } = valleys
    .filter(found => found.residualDeg <= least + ALIKE_DEG)
    .reduce((best, found) => (Math.abs(found.turnDeg) < Math.abs(best.turnDeg) ? found : best))
  return { turnDeg, shimMm: mountShim(turnDeg, geometry.mountBehindMm), after: turned(turnDeg) }
}

/** Where a function with one valley between two places is least. */
function valley(of: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to]
  for (let step = 0; step < 40; step++) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)]
    if (of(a) <= of(b)) high = b
    else low = a
  }
  return (low + high) / 2
}
