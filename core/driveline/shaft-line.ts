import { FieldError, within } from '../base/field-error'
import { jointAngle, shaftVector } from './joint-angle'
import type { ShaftDirection } from './joint-angle'
import { speedRipple } from './speed-ripple'

/** A part of the line, from the front: box, shafts, axle pinion. */
export interface LineMember extends ShaftDirection {
  id: string
  /** How far its rear yoke is turned against its front one, in degrees; 0 for a shaft whose yokes are in line. */
  phaseDeg?: number
}

export interface LineJoint {
  /** Between which members. */
  front: string
  rear: string
  angleDeg: number
}

export interface ShaftLine {
  joints: LineJoint[]
  /** The angle of one joint that would shake as much as all of them together, in degrees. */
  residualDeg: number
  /** Whether the joints cancel each other. */
  cancels: boolean
  /** Speed of the axle over that of the box through one turn, every 5 degrees. */
  ripple: { shaftAngleDeg: number; ratio: number }[]
  /** Highest and lowest of it, less one, in 100. */
  ripplePercent: [low: number, high: number]
  /** Swing of the axle's angle to either side, in degrees, twice a turn. */
  swingDeg: number
  because: string
}

/** Left over after cancelling, more than this is felt. Common practice, no source. */
const FELT_DEG = 1.5
/** A joint that never works wears flat spots; one that works beyond this runs hot. Common practice, no source. */
const LEAST_DEG = 0.5
const MOST_DEG = 5
const STEP_DEG = 5
const rad = Math.PI / 180

/**
 * Works out a shaft line from the directions of its members: the working angle of every joint, what is left of their speed
 * ripple, and how much that shakes. The ripple is followed joint by joint, each with the plane it works in and the turn of
 * its yokes, so bends in side and plan and yokes out of phase count.
 * @param members box, shaft or shafts, axle; two at least
 * @throws FieldError on a direction that is none
 */
export function shaftLine(members: LineMember[]): ShaftLine {
  if (members.length < 2) throw new FieldError('members', 'A line has two members at least.')
  const joints = members.slice(1).map((member, index): LineJoint => ({
    front: members[index]!.id,
    rear: member.id,
    angleDeg: jointAngle(members[index]!, member),
  }))
  const chain = joints.map((joint, index) => ({ angleDeg: joint.angleDeg, offsetDeg: yokeOffsetDeg(members, index) }))
  const ripple = Array.from({ length: 360 / STEP_DEG + 1 }, (_, step) => ({
    shaftAngleDeg: step * STEP_DEG,
    ratio: ratioThrough(chain, step * STEP_DEG),
  }))
  const ratios = ripple.map(point => point.ratio)
  const residual = residualDeg(chain)
  const wrong = joints.find(joint => joint.angleDeg > MOST_DEG)
  const idle = joints.find(joint => joint.angleDeg < LEAST_DEG)
  const cancels = residual < FELT_DEG
  return {
    joints,
    residualDeg: residual,
    cancels,
    ripple,
    ripplePercent: [(Math.min(...ratios) - 1) * 100, (Math.max(...ratios) - 1) * 100],
    swingDeg: Math.tan((residual * rad) / 2) ** 2 / rad,
    because: wrong
      ? `The joint between ${wrong.front} and ${wrong.rear} works at ${wrong.angleDeg.toFixed(1)}°: it runs hot and shakes whatever the others do.`
      : !cancels
        ? `The joints do not cancel: together they shake like one at ${residual.toFixed(1)}°.`
        : idle
          ? `They cancel. The joint between ${idle.front} and ${idle.rear} hardly works, at ${idle.angleDeg.toFixed(1)}°; a little angle keeps its needles turning.`
          : `They cancel to ${residual.toFixed(1)}°.`,
  }
}

/** Angular acceleration of a swing twice a turn at a road speed, in rad/s²: what is felt grows with the square of the speed. */
export function rippleAcceleration(swingDeg: number, shaftPerMinute: number): number {
  within('shaftPerMinute', shaftPerMinute, 0, 20_000, 'The speed of the shaft per minute')
  within('swingDeg', swingDeg, -90, 90, 'The swing in degrees')
  const speed = (shaftPerMinute * 2 * Math.PI) / 60
  return swingDeg * rad * (2 * speed) ** 2
}

/** Turn of a joint's front yoke against the plane the joint bends in, relative to the first joint. */
function yokeOffsetDeg(members: LineMember[], index: number): number {
  const planes = members.slice(1).map((member, at) => bendPlaneDeg(members[at]!, member))
  const twist = members.slice(1, index + 1).reduce((sum, member) => sum + (member.phaseDeg ?? 0), 0)
  return planes[index]! - planes[0]! - twist
}

/** Direction in which the line bends at a joint, seen along it, in degrees. */
function bendPlaneDeg(front: ShaftDirection, rear: ShaftDirection): number {
  const [a, b] = [shaftVector(front), shaftVector(rear)]
  return Math.atan2(b[2] - a[2], b[1] - a[1]) / rad
}

interface ChainJoint {
  angleDeg: number
  offsetDeg: number
}

/** The rear yoke of one joint and the front yoke of the next stand a quarter turn apart on a shaft whose yokes are in line. */
const QUARTER = 90

function ratioThrough(chain: ChainJoint[], angleDeg: number): number {
  let [turn, ratio] = [angleDeg, 1]
  for (const [index, joint] of chain.entries()) {
    const at = turn - joint.offsetDeg - index * QUARTER
    ratio *= speedRipple(joint.angleDeg, at)
    turn += lagDeg(joint.angleDeg, at)
  }
  return ratio
}

/** How far the driven shaft is ahead of the driving one, in degrees: tan θ2 = tan θ1 / cos β. */
function lagDeg(jointAngleDeg: number, atDeg: number): number {
  const at = atDeg * rad
  const driven = Math.atan2(Math.sin(at), Math.cos(at) * Math.cos(jointAngleDeg * rad))
  const lag = (driven - Math.atan2(Math.sin(at), Math.cos(at))) / rad
  return lag
}

/** √|Σ β² e^{2iφ}|: each joint's ripple is a pointer that turns twice, a quarter turn on being opposed. */
function residualDeg(chain: ChainJoint[]): number {
  const [re, im] = chain.reduce(
    ([sumRe, sumIm], joint, index) => {
      const phase = 2 * (joint.offsetDeg + index * QUARTER) * rad
      return [sumRe + joint.angleDeg ** 2 * Math.cos(phase), sumIm + joint.angleDeg ** 2 * Math.sin(phase)]
    },
    [0, 0] as [number, number],
  )
  return Math.sqrt(Math.hypot(re, im))
}
