import type { Chance } from '../chance'

/** What can be wrong with a simulated bolt. */
export const faults = [
  'none',
  'cross-threaded',
  'dirt',
  'bottomed',
  'too-long',
  'soft',
  'trapped-plate',
  'yielding',
  'stripped',
  'sheared',
] as const
export type Fault = (typeof faults)[number]

/** A bolt group as it is when nothing is wrong. Torques in N·m, angles in degrees. */
export interface GroupModel {
  targetNm: number
  /** Turned before the head meets the part. */
  rundownDeg: number
  /** Torque of running down. */
  prevailingNm: number
  /** From meeting the part to straight clamping. */
  kneeDeg: number
  /** Torque gained per degree once it clamps, at usual friction. */
  slopeNmPerDeg: number
  /** Torque at which the bolt yields, at usual friction. */
  yieldNm: number
  /** Standard deviation of the wrench's own noise, as a share of the target. */
  noiseShare: number
}

/** One bolt of the group, with its scatter and its fault. */
interface BoltModel {
  frictionFactor: number
  rundownDeg: number
  prevailingNm: number
  slopeNmPerDeg: number
  kneeDeg: number
  yieldNm: number
}

/** How far bolts of one group scatter: standard deviations as shares. Friction within one batch and one condition. */
export const scatter = { friction: 0.08, stiffness: 0.05, rundown: 0.03, prevailing: 0.25, yields: 0.03 }

/**
 * A bolt that can be turned: rundown, snug, elastic slope, yield, with friction's scatter, and one fault or none.
 * Torque follows the preload: T = T_prevailing + F · arm(µ); stick and slip of the thread ride on it.
 */
export class SimulatedBolt {
  angleDeg = 0
  private readonly bolt: BoltModel
  private slip = 0
  /** Where the fault sets in, in degrees or as a torque; drawn once. */
  private readonly onset: number
  private readonly grade: number
  private goneAtDeg: number | null = null
  private peakNm = 0
  /** Where the bolt began to yield, in degrees; `null` while it has not. */
  yieldedAtDeg: number | null = null

  constructor(
    private readonly group: GroupModel,
    readonly fault: Fault,
    private readonly chance: Chance,
  ) {
    const spread = (share: number) => Math.exp(share * chance.normal())
    const frictionFactor = spread(scatter.friction)
    this.bolt = {
      frictionFactor,
      rundownDeg: group.rundownDeg * (1 + scatter.rundown * chance.normal()),
      prevailingNm: group.prevailingNm * spread(scatter.prevailing),
      slopeNmPerDeg: group.slopeNmPerDeg * frictionFactor * spread(scatter.stiffness),
      kneeDeg: group.kneeDeg * spread(0.1),
      yieldNm: Math.max(group.yieldNm * frictionFactor * spread(scatter.yields), group.targetNm * 1.03),
    }
    this.onset = chance.next()
    this.grade = chance.next()
    if (fault === 'bottomed') this.bolt.rundownDeg *= 0.35 + 0.4 * this.onset
    if (fault === 'too-long')
      this.bolt.rundownDeg -= Math.max(150, this.bolt.rundownDeg * 0.25) * (0.8 + 0.5 * this.onset)
    if (fault === 'bottomed' || fault === 'too-long') this.bolt.slopeNmPerDeg *= 1.1 + 0.9 * this.grade
    if (fault === 'soft') this.bolt.slopeNmPerDeg *= 0.2 + 0.25 * this.grade
    if (fault === 'yielding' || fault === 'sheared' || fault === 'stripped')
      this.bolt.yieldNm = group.targetNm * (0.5 + 0.38 * this.onset)
  }

  /** Clamping torque of a sound joint so far past the seat, without yield. */
  private elasticNm(pastSeatDeg: number): number {
    if (pastSeatDeg <= 0) return 0
    const { kneeDeg, slopeNmPerDeg } = this.bolt
    return slopeNmPerDeg * (pastSeatDeg + kneeDeg * (Math.exp(-pastSeatDeg / kneeDeg) - 1))
  }

  private clampNm(): number {
    const past = this.angleDeg - this.bolt.rundownDeg
    if (this.fault === 'trapped-plate') return this.plateNm(past)
    const elastic = this.elasticNm(past)
    if (elastic <= this.bolt.yieldNm) return elastic
    this.yieldedAtDeg ??= this.angleDeg
    const beyond = this.angleDeg - this.yieldedAtDeg
    if (this.fault === 'stripped' || this.fault === 'sheared') {
      const lastsDeg = 6 + 25 * this.grade
      if (beyond > lastsDeg) {
        this.goneAtDeg ??= this.angleDeg
        const gone = this.angleDeg - this.goneAtDeg
        return this.fault === 'sheared' ? 0 : this.bolt.yieldNm * (0.25 + 0.75 * Math.exp(-gone / 12))
      }
    }
    return this.bolt.yieldNm + Math.min(beyond, 60) * this.bolt.slopeNmPerDeg * 0.06
  }

  /** A plate, hose or wire under the head or between the flanges is squeezed flat first. */
  private plateNm(past: number): number {
    const squeezeDeg = 50 + 90 * this.grade
    const squeezed = Math.min(past, squeezeDeg)
    return this.elasticNm(squeezed) * 0.22 + (past > squeezeDeg ? this.elasticNm(past - squeezeDeg) * 0.6 : 0)
  }

  private dragNm(): number {
    const { targetNm } = this.group
    if (this.fault === 'dirt') {
      const from = this.bolt.rundownDeg * 0.5 * this.onset
      return this.angleDeg > from ? targetNm * (0.16 + 0.2 * this.grade) * Math.min(1, (this.angleDeg - from) / 60) : 0
    }
    if (this.fault === 'cross-threaded') {
      const from = 40 + this.bolt.rundownDeg * 0.3 * this.onset
      const past = this.angleDeg - from
      return past > 0 ? targetNm * Math.min(1.2, past * (0.0012 + 0.0015 * this.grade)) : 0
    }
    return 0
  }

  /** Turns the bolt on and reads the wrench. @param byDeg above zero */
  turn(byDeg: number): { angleDeg: number; torqueNm: number } {
    this.angleDeg += byDeg
    this.slip = this.slip * 0.8 + 0.6 * this.chance.normal()
    const drag = this.dragNm()
    const clamp = this.clampNm()
    const roughness = 0.008 * clamp + (drag > 0 ? 0.06 * drag : 0.08 * this.bolt.prevailingNm)
    const gone = this.goneAtDeg !== null && this.fault === 'sheared' ? 0.3 : 1
    const torqueNm = Math.max(
      0,
      this.bolt.prevailingNm * gone +
        drag +
        clamp +
        roughness * this.slip +
        this.group.noiseShare * this.group.targetNm * this.chance.normal(),
    )
    this.peakNm = Math.max(this.peakNm, torqueNm)
    return { angleDeg: Math.round(this.angleDeg * 100) / 100, torqueNm: Math.round(torqueNm * 100) / 100 }
  }
}

/** A group by chance, within what bolts of a clutch job are like. */
export function anyGroup(chance: Chance): GroupModel {
  const targetNm = chance.between(8, 110)
  const toTargetDeg = chance.between(35, 130)
  return {
    targetNm,
    rundownDeg: chance.between(500, 2200),
    prevailingNm: targetNm * chance.between(0.005, 0.06),
    kneeDeg: chance.between(3, 18),
    slopeNmPerDeg: targetNm / toTargetDeg,
    yieldNm: targetNm * chance.between(1.15, 1.9),
    noiseShare: chance.between(0.002, 0.01),
  }
}
