/** A plan of the first steps only. */
export interface PartialPlan {
  /** Steps done, one bit each. */
  mask: number
  last: number
  car: number
  minutes: number
  /** Its place in the list of plans one step shorter. */
  parent: number
  /** No plan that goes on from here is done sooner. */
  estimate: number
  /** What the bound keeps about the steps left. */
  left: number[]
}

/**
 * Partial plans of one length. Of those with the same steps done, the same last step and the same height of the car,
 * only plans stay that no other beats both in time and in everything that still has to wait.
 */
export class PartialPlans {
  static readonly NEW = -1
  static readonly BEATEN = -2

  readonly mask: number[] = []
  readonly last: number[] = []
  readonly car: number[] = []
  readonly minutes: number[] = []
  readonly parent: number[] = []
  readonly estimate: number[] = []
  readonly left: number[][] = []
  /** Per plan and wait: the minute before which what waits may not start. */
  readonly release: number[] = []
  private readonly places = new Map<number, number | number[]>()

  constructor(private readonly waitCount: number) {}

  static start(car: number, waitCount: number, left: number[]): PartialPlans {
    const plans = new PartialPlans(waitCount)
    plans.put(
      PartialPlans.NEW,
      { mask: 0, last: -1, car, minutes: 0, parent: -1, estimate: 0, left },
      new Float64Array(waitCount),
    )
    return plans
  }

  get size(): number {
    return this.mask.length
  }

  /** The least estimate among the plans from `first` on. */
  leastEstimate(first: number): number {
    let least = Infinity
    for (let at = first; at < this.size; at++) if (this.estimate[at]! < least) least = this.estimate[at]!
    return least
  }

  /** Where a plan belongs: in the place of one that it beats, as a new one, or nowhere because it is beaten. */
  placeFor(mask: number, last: number, car: number, minutes: number, release: Float64Array): number {
    const found = this.places.get(keyOf(mask, last, car))
    if (found === undefined) return PartialPlans.NEW
    if (typeof found === 'number') return this.compare(found, minutes, release)
    let place: number = PartialPlans.NEW
    for (const rival of found) {
      const compared = this.compare(rival, minutes, release)
      if (compared === PartialPlans.BEATEN) return compared
      if (compared !== PartialPlans.NEW) place = compared
    }
    return place
  }

  private compare(rival: number, minutes: number, release: Float64Array): number {
    let better = this.minutes[rival]! > minutes + 1e-9
    let worse = this.minutes[rival]! < minutes - 1e-9
    for (let index = 0; index < this.waitCount && !(better && worse); index++) {
      const other = this.release[rival * this.waitCount + index]!
      if (other > release[index]! + 1e-9) better = true
      else if (other < release[index]! - 1e-9) worse = true
    }
    if (!better) return PartialPlans.BEATEN
    return worse ? PartialPlans.NEW : rival
  }

  put(place: number, plan: PartialPlan, release: Float64Array): void {
    const at = place < 0 ? this.size : place
    this.mask[at] = plan.mask
    this.last[at] = plan.last
    this.car[at] = plan.car
    this.minutes[at] = plan.minutes
    this.parent[at] = plan.parent
    this.estimate[at] = plan.estimate
    this.left[at] = plan.left
    for (let index = 0; index < this.waitCount; index++) this.release[at * this.waitCount + index] = release[index]!
    if (place >= 0) return
    const key = keyOf(plan.mask, plan.last, plan.car)
    const found = this.places.get(key)
    if (found === undefined) this.places.set(key, at)
    else if (typeof found === 'number') this.places.set(key, [found, at])
    else found.push(at)
  }
}

function keyOf(mask: number, last: number, car: number): number {
  return (mask * 32 + last + 1) * 2 + car
}
