import { RunningLine } from './running-line'

/** A slope that has fallen below this share of the elastic one is no scatter of friction any more. */
const FALLEN = 0.6
/** Standard errors by which it must lie below. */
const SURE = 4.3
/** Stick and slip of a thread hang together from sample to sample; the scatter counts up to so many times for it. */
const WANDER = { least: 1.1, most: 2.2 }
/** Least shortfall against the elastic line, as a share of the target. */
const SHORTFALL = 0.012
/** A shortfall is more than so many times what sound bolts of the group stray by. */
const STRAYS = 2.6
/** The elastic line is drawn over at least so many samples and this share of the target. */
const LINE = { samples: 5, share: 0.09 }
/** How far back the bend is looked for, in samples. */
const LOOKBACK = [2, 3, 4, 5, 7, 10, 14, 20, 28, 40, 56]

/**
 * Watches the rising part of a tightening curve for the bend of yield: torque falls short of the straight line
 * that the bolt itself drew so far. Looking back over short and long stretches at once finds a sharp bend at once
 * and a soft one as soon as the scatter allows.
 *
 * Source: the slope method of yield-controlled tightening (common practice, no source), with a test of its own.
 */
export class YieldWatch {
  private readonly line = new RunningLine()
  private readonly angles: number[] = []
  private readonly torques: number[] = []
  /** Running sum of squared distances of each sample from the line between its neighbours. */
  private readonly jumps: number[] = [0, 0]

  constructor(
    private readonly targetNm: number,
    private readonly scatterNm: number,
    /** How far sound bolts of the group stray from a straight line, in N·m: friction that drifts. */
    private readonly straysNm = 0,
  ) {}

  /** Adds a sample of the rising part. @returns whether the bolt yields */
  add(angleDeg: number, torqueNm: number): boolean {
    this.line.add(angleDeg, torqueNm)
    this.angles.push(angleDeg)
    this.torques.push(torqueNm)
    this.addJump()
    return LOOKBACK.some(back => this.bentWithin(back))
  }

  private addJump(): void {
    const [x0, x1, x2] = this.angles.slice(-3)
    const [y0, y1, y2] = this.torques.slice(-3)
    if (x2 === undefined) return
    const share = x2 > x0! ? (x1! - x0!) / (x2 - x0!) : 0.5
    const jump = y1! - (y0! * (1 - share) + y2! * share)
    this.jumps.push(this.jumps.at(-1)! + jump ** 2 / (1 + share ** 2 + (1 - share) ** 2))
  }

  /** The scatter about the elastic line, counted for more where it wanders instead of jumping. */
  private scatterAbout(sigma: number, bend: number): number {
    const jumping = Math.sqrt(this.jumps[bend - 1]! / Math.max(1, bend - 2))
    const wander = jumping > 0 ? Math.min(WANDER.most, Math.max(WANDER.least, sigma / jumping)) : WANDER.most
    return wander * Math.max(sigma, this.scatterNm, 0.002 * this.targetNm)
  }

  private bentWithin(back: number): boolean {
    const { angles, torques, targetNm } = this
    const bend = angles.length - back
    if (bend < LINE.samples) return false
    const elastic = this.line.fit(0, bend)
    const hinge = angles[bend - 1]!
    if (elastic.slope <= 0 || elastic.slope * (hinge - angles[0]!) < LINE.share * targetNm) return false
    const sigma = this.scatterAbout(elastic.sigma, bend)
    let along = 0
    let squares = 0
    for (let index = bend; index < angles.length; index++) {
      const x = angles[index]! - hinge
      along += x * (torques[index]! - elastic.at(hinge))
      squares += x * x
    }
    if (squares === 0) return false
    const hingeError = sigma * Math.sqrt(1 / elastic.count + (hinge - elastic.meanX) ** 2 / elastic.spreadXX)
    const reach = angles.at(-1)! - hinge
    const error = Math.sqrt(sigma ** 2 / squares + ((1.5 * hingeError) / reach) ** 2)
    const short = elastic.at(angles.at(-1)!) - torques.at(-1)!
    return (
      along / squares + SURE * error < FALLEN * elastic.slope &&
      short > Math.max(SHORTFALL * targetNm, 2 * sigma, STRAYS * this.straysNm)
    )
  }
}
