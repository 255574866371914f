import { FieldError, within } from '../base/field-error'

/** A place on engine or box, from the axis of the mounts: x rearward, y up, in mm. */
export interface TiltPoint {
  name: string
  xMm: number
  yMm: number
  /** Which of its movements counts: rearward and up are positive. */
  along: 'x' | 'y'
  /** Room there is in that direction now, where it may be lost, in mm; `wantedMm` where room has to be gained. */
  roomMm?: number
  wantedMm?: number
}

export interface TiltReport {
  angleDeg: number
  /** How far each place moves along its direction, in mm, in the order given. */
  movesMm: number[]
  /** What is left of the room where it may be lost, in mm; `null` for a place where it is gained. */
  leftMm: (number | null)[]
}

export interface TiltWindow {
  /** Lowering of the tail that gives all the room that is wanted, in mm; `null` where no lowering does. */
  enoughMm: number | null
  /** Lowering at which the first room is used up, in mm; and where. */
  tooFarMm: number
  touches: string | null
  because: string
}

/** Further than this nobody lowers a tail, in mm. */
const MOST_MM = 400
const SCAN_STEPS = 200

/**
 * Lowering the tail turns engine and box about their mounts: the top goes rearward, the front goes up.
 * @param tail how far the tail goes down and how far behind the mounts that is, in mm
 * @throws FieldError on a tail that cannot go that far
 */
export function tilt(tail: { loweredMm: number; behindMm: number }, points: TiltPoint[]): TiltReport {
  within('behindMm', tail.behindMm, 50, 5000, 'The distance behind the mounts in mm')
  within('loweredMm', tail.loweredMm, 0, MOST_MM, 'The lowering in mm')
  checkPoints(points)
  if (tail.loweredMm >= tail.behindMm)
    throw new FieldError('loweredMm', 'The tail cannot go down further than it lies behind the mounts.')
  const angle = Math.asin(tail.loweredMm / tail.behindMm)
  const movesMm = points.map(({ xMm, yMm, along }) =>
    along === 'x'
      ? xMm * Math.cos(angle) + yMm * Math.sin(angle) - xMm
      : yMm * Math.cos(angle) - xMm * Math.sin(angle) - yMm,
  )
  return {
    angleDeg: (angle * 180) / Math.PI,
    movesMm,
    leftMm: points.map((point, index) =>
      point.roomMm === undefined ? null : point.roomMm - Math.abs(movesMm[index]!),
    ),
  }
}

function checkPoints(points: TiltPoint[]): void {
  if (points.length === 0) throw new FieldError('points', 'At least one place is wanted.')
  points.forEach(({ xMm, yMm, roomMm = 0, wantedMm = 0 }, index) => {
    within(`points[${index}].xMm`, xMm, -5000, 5000, 'The place in mm')
    within(`points[${index}].yMm`, yMm, -5000, 5000, 'The place in mm')
    within(`points[${index}].roomMm`, roomMm, -1000, 5000, 'The room in mm')
    within(`points[${index}].wantedMm`, wantedMm, -1000, 5000, 'The room wanted in mm')
  })
}

/**
 * How far the tail has to go down, and how far it may: from the room wanted at some places and the room there is at others.
 * @throws FieldError on a tail that is none
 */
export function tiltWindow(behindMm: number, points: TiltPoint[]): TiltWindow {
  within('behindMm', behindMm, 50, 5000, 'The distance behind the mounts in mm')
  const most = Math.min(MOST_MM, behindMm - 1)
  const moves = (loweredMm: number) => tilt({ loweredMm, behindMm }, points)
  /** A place may come back: the way down is looked through in steps before it is looked at closely. */
  const first = (holds: (report: TiltReport) => boolean): number | null => {
    if (holds(moves(0))) return 0
    const steps = Array.from({ length: SCAN_STEPS }, (_, step) => (most * (step + 1)) / SCAN_STEPS)
    const reached = steps.findIndex(loweredMm => holds(moves(loweredMm)))
    if (reached < 0) return null
    let [low, high] = [reached > 0 ? steps[reached - 1]! : 0, steps[reached]!]
    for (let step = 0; step < 50; step++) {
      const middle = (low + high) / 2
      if (holds(moves(middle))) high = middle
      else low = middle
    }
    return high
  }
  const enoughMm = first(report =>
    points.every((point, index) => point.wantedMm === undefined || Math.abs(report.movesMm[index]!) >= point.wantedMm),
  )
  const tooFarMm = first(report => report.leftMm.some(left => left !== null && left <= 0)) ?? most
  const atEnd = moves(tooFarMm).leftMm
  const touches = points.find((_, index) => atEnd[index] !== null && atEnd[index]! <= 0.5)?.name ?? null
  const because =
    enoughMm === null
      ? 'No lowering gives the room that is wanted.'
      : enoughMm >= tooFarMm
        ? `{${Math.round(enoughMm)} mm} would be wanted, but at {${Math.round(tooFarMm)} mm} ${touches ?? 'something'} touches. Free it first, or gain the room another way.`
        : `From {${Math.round(enoughMm)} mm} on there is room; stop before {${Math.round(tooFarMm)} mm}${touches ? `, where ${touches} touches` : ''}.`
  return { enoughMm, tooFarMm, touches, because }
}
