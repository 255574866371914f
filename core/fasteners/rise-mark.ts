import type { TighteningSample } from './tightening-curve'

/** What a bolt runs down with is what it ran with between so many degrees ago and so many. */
const AGO_DEG = { from: 90, to: 30 }
/** So many readings below it, and it has not met anything after all. */
const FELL_BACK = 4
const FELL_BACK_SHARE = 0.03
/** Above what it has run with of late by less than this part of a rise, it only runs. */
const RUNS_ON = 0.5

/**
 * Finds where a bolt meets what it clamps: its torque leaves what it ran down with. That may be heavy and grow heavier, with a nut that
 * locks, threadlocker or a sprung cover, up to what is expected of the joint.
 */
export class RiseMark {
  /** Index of the reading at which it rose, or -1. */
  index = -1
  /** What it ran down with there, in N·m. */
  levelNm = 0
  private readonly sums: number[] = [0]
  private readonly angles: number[] = []
  private from = 0
  private to = 0
  private below = 0

  /**
   * @param shareToRise above what it runs down with by this share of the target, it has risen
   * @param expectedNm what it may run down with at most once it was turned so far
   * @param startNm what it runs down with before it has shown that; `Infinity` where it cannot have risen by then
   */
  constructor(
    private readonly targetNm: number,
    private readonly shareToRise: number,
    private readonly expectedNm: (turnedDeg: number) => number,
    private readonly startNm: number,
  ) {}

  /** Torque from which it counts as risen, in N·m. */
  get riseNm(): number {
    return this.levelNm + this.shareToRise * this.targetNm
  }

  /** @returns whether it has just fallen back */
  add({ angleDeg, torqueNm }: TighteningSample): boolean {
    const index = this.angles.length
    this.angles.push(angleDeg)
    this.sums.push(this.sums.at(-1)! + torqueNm)
    const before = this.ranWith(index)
    if (this.index >= 0) {
      this.below = torqueNm < this.riseNm - FELL_BACK_SHARE * this.targetNm ? this.below + 1 : 0
      if (this.below < FELL_BACK && !this.runsOn(index, before, torqueNm)) return false
      this.index = -1
      this.below = 0
      return true
    }
    const ran = before ?? this.startNm
    if (ran === Infinity) return false
    this.levelNm = Math.min(ran, this.expectedNm(this.turned(index)))
    if (torqueNm >= this.riseNm) this.index = index
    return false
  }

  private turned(index: number): number {
    return this.angles[index]! - this.angles[0]!
  }

  /** Whether it has run on since it rose, heavier than before but no heavier than is expected: the insert of a nut that locks was met. */
  private runsOn(index: number, before: number | null, torqueNm: number): boolean {
    return (
      before !== null &&
      before <= this.expectedNm(this.turned(this.index)) &&
      this.angles[index]! - this.angles[this.index]! >= AGO_DEG.from &&
      torqueNm < before + RUNS_ON * this.shareToRise * this.targetNm
    )
  }

  /** What it ran with a while ago; nothing where it was not turned so far. */
  private ranWith(index: number): number | null {
    const at = this.angles[index]!
    while (this.to < index && this.angles[this.to]! <= at - AGO_DEG.to) this.to++
    while (this.from < this.to && this.angles[this.from]! < at - AGO_DEG.from) this.from++
    return this.to > this.from ? (this.sums[this.to]! - this.sums[this.from]!) / (this.to - this.from) : null
  }
}
