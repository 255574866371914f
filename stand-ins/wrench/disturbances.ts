import type { Chance } from '../chance'
import type { GroupModel, SimulatedBolt } from './joint-model'

/** What makes a real tightening unlike the book's: of the wrench and the hand, of the thread, of the joint. */
export const disturbances = [
  /** One reading in the rise that stands 15 % low. */
  'low-sample',
  /** The hand lets go and takes hold anew; the wrench winds up before the bolt turns on. */
  're-grip',
  /** Samples that never arrive. */
  'lost',
  /** A wrench that reads coarse angles and coarse torques. */
  'quantised',
  /** The thread sticks and slips. */
  'stick-slip',
  /** Friction that drifts as it turns. */
  'wander',
  /** A nut that locks: it runs heavy from where its insert is met. */
  'prevailing',
  /** Wet threadlocker: heavier with every turn that is engaged. */
  'threadlocker',
  /** A sprung cover that is drawn down by its bolts. */
  'drawn',
] as const
export type Disturbance = (typeof disturbances)[number]

/** How a group of bolts is disturbed; what is drawn once for all of its bolts. */
export interface GroupDisturbance {
  which: readonly Disturbance[]
  prevailingNm: number
  insertAtShare: number
  lockerNm: number
  drawnNm: number
  drawnDeg: number
  stepDeg: number
  stepNm: number
}

/** Draws how a group is disturbed. */
export function disturbedGroup(group: GroupModel, which: readonly Disturbance[], chance: Chance): GroupDisturbance {
  return {
    which,
    prevailingNm: group.targetNm * chance.between(0.08, 0.25),
    insertAtShare: chance.between(0.1, 0.4),
    lockerNm: group.targetNm * chance.between(0.05, 0.18),
    drawnNm: group.targetNm * chance.between(0.05, 0.2),
    drawnDeg: Math.min(group.rundownDeg * 0.6, chance.between(500, 900)),
    stepDeg: chance.pick([1, 2]),
    stepNm: group.targetNm * 0.01,
  }
}

interface Sample {
  angleDeg: number
  torqueNm: number
}

/** As finely as it is told: a hundredth of a degree and of a newton metre. */
const exact = ({ angleDeg, torqueNm }: Sample): Sample => ({
  angleDeg: Math.round(angleDeg * 100) / 100,
  torqueNm: Math.round(torqueNm * 100) / 100,
})

const LOST_SHARE = 0.15
const LOW_SHARE = 0.85

/** A wrench in a hand on a bolt: what it says of the bolt's turning, and nothing of what is wrong with it. */
export class DisturbedWrench {
  /** How far the handle went beyond the bolt, winding up. */
  private woundDeg = 0
  private swingDeg: number
  private turnedInSwingDeg = 0
  private phase = 0
  private drift = 0
  private lastNm = 0
  private readonly lowAtDeg: number
  private lowGiven = false
  private readonly prevailingNm: number
  private readonly lockerNm: number
  private readonly drawnNm: number
  private readonly slipShare: number
  private readonly slipDeg: number

  constructor(
    private readonly bolt: SimulatedBolt,
    private readonly group: GroupModel,
    private readonly at: GroupDisturbance,
    private readonly chance: Chance,
    /** Place of the bolt in its group: the first two draw the cover down, the others have less to do. */
    place: number,
  ) {
    const spread = (share: number) => Math.exp(share * chance.normal())
    this.prevailingNm = at.prevailingNm * spread(0.15)
    this.lockerNm = at.lockerNm * spread(0.2)
    this.drawnNm = at.drawnNm * (place < 2 ? spread(0.1) : chance.between(0.2, 0.6))
    this.slipShare = chance.between(0.03, 0.08)
    this.slipDeg = chance.between(3, 9)
    this.swingDeg = chance.between(25, 60)
    const toTargetDeg = group.targetNm / group.slopeNmPerDeg
    this.lowAtDeg = group.rundownDeg + toTargetDeg * chance.between(0.1, 0.95)
  }

  private has(which: Disturbance): boolean {
    return this.at.which.includes(which)
  }

  /** Turns the bolt on. @returns what the wrench says meanwhile, in order; nothing where that is lost */
  turn(byDeg: number): Sample[] {
    const before = this.has('re-grip') ? this.regrip(byDeg) : []
    const { torqueNm } = this.bolt.turn(byDeg)
    const { angleDeg } = this.bolt
    this.lastNm = this.felt(angleDeg, torqueNm, byDeg)
    return [...before, { angleDeg: angleDeg + this.woundDeg, torqueNm: this.read(angleDeg, this.lastNm) }]
      .map(exact)
      .filter(() => !this.has('lost') || this.chance.next() >= LOST_SHARE)
      .map(sample => (this.has('quantised') ? this.coarse(sample) : sample))
  }

  /** What the bolt feels like with thread and cover as they are. */
  private felt(angleDeg: number, torqueNm: number, byDeg: number): number {
    const { rundownDeg } = this.group
    let nm = torqueNm
    const gone = this.bolt.fault === 'sheared' && torqueNm < this.group.prevailingNm
    if (this.has('prevailing') && angleDeg > this.at.insertAtShare * rundownDeg && !gone)
      nm += this.prevailingNm * (1 + 0.04 * this.chance.normal())
    if (this.has('threadlocker') && !gone) nm += this.lockerNm * Math.min(1, angleDeg / rundownDeg)
    if (this.has('drawn') && !gone)
      nm += this.drawnNm * Math.min(1, Math.max(0, (angleDeg - rundownDeg + this.at.drawnDeg) / this.at.drawnDeg))
    if (this.has('wander')) {
      const keeps = Math.exp(-byDeg / 25)
      this.drift = this.drift * keeps + 0.04 * Math.sqrt(1 - keeps ** 2) * this.chance.normal()
      nm *= 1 + this.drift
    }
    if (this.has('stick-slip')) {
      this.phase = (this.phase + byDeg / this.slipDeg) % 1
      nm *= 1 + this.slipShare * (this.phase - 0.5)
    }
    return nm
  }

  private read(angleDeg: number, nm: number): number {
    if (!this.has('low-sample') || this.lowGiven || angleDeg < this.lowAtDeg) return nm
    this.lowGiven = true
    return nm * LOW_SHARE
  }

  /** At the end of a swing the hand lets go; then the wrench winds up to where the bolt stood. */
  private regrip(byDeg: number): Sample[] {
    this.turnedInSwingDeg += byDeg
    if (this.turnedInSwingDeg < this.swingDeg) return []
    this.turnedInSwingDeg = 0
    this.swingDeg = this.chance.between(25, 60)
    const from = this.bolt.angleDeg + this.woundDeg
    const falls = [0.5, 0].slice(this.chance.next() < 0.5 ? 1 : 0)
    const windDeg = this.chance.between(2, 8)
    const ramp = Math.max(2, Math.round(windDeg / byDeg))
    this.woundDeg += windDeg
    return [
      ...falls.map(share => ({ angleDeg: from, torqueNm: this.lastNm * share })),
      ...Array.from({ length: ramp }, (_, index) => ({
        angleDeg: from + (windDeg * (index + 1)) / ramp,
        torqueNm: (this.lastNm * 0.98 * (index + 1)) / ramp,
      })),
    ]
  }

  private coarse({ angleDeg, torqueNm }: Sample): Sample {
    const { stepDeg, stepNm } = this.at
    return { angleDeg: Math.floor(angleDeg / stepDeg) * stepDeg, torqueNm: Math.round(torqueNm / stepNm) * stepNm }
  }
}
