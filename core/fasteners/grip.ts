import { middleOf } from './tightening-curve'
import type { TighteningSample } from './tightening-curve'

/** Below this share of the target nothing is held: a hand may let go unnoticed. */
const HELD_FROM = 0.15
/** A reading so far below what stood a moment ago is no turn of the bolt. */
const LET_GO_SHARE = 0.78
/** Turning has gone on once so much of what was held stands again. */
const BACK_SHARE = 0.93
/** What lies low while it is turned so far, and rises by less than this share of what was held, has given way; past yield it takes less. */
const FLAT = { deg: 5, samples: 2, rise: 0.1 }
const FLAT_PAST_YIELD = { deg: 2, samples: 2, rise: 0.1 }
/** Wrench, extension and socket wind up by no more than this, in degrees. Common practice, no source. */
const WIND_UP_DEG = 15
/** After the wrench itself said that it was let go, it may have been put on anew. */
const PUT_ON_DEG = 25

/** What a reading turned out to be. */
export interface Gripped {
  /** Readings of the bolt itself, with the winding up taken out of their angles. */
  steady: TighteningSample[]
  /** It was not let go: what was held is gone. */
  gone: { fromNm: number; toNm: number } | null
}

const NOTHING: Gripped = { steady: [], gone: null }

/**
 * Tells the bolt from the hand: single readings that are low, and swings after which the wrench winds up before the bolt turns on, are
 * left out, and the angle goes on where the bolt was left. What does not come back has given way.
 */
export class Grip {
  /** The last three readings of the bolt, in N·m. */
  private recent: [number, number, number] = [0, 0, 0]
  private last: TighteningSample | null = null
  private stepDeg = 1
  private heldNm = 0
  private pending: TighteningSample[] = []
  private woundDeg = 0
  private toldOfRelease = false

  constructor(private readonly targetNm: number) {}

  /** Whether the hand has let go, as far as is known. */
  get letGo(): boolean {
    return this.pending.length > 0 || this.toldOfRelease
  }

  /** What stood when it did, in N·m. */
  get held(): number {
    return this.heldNm
  }

  /** The wrench says that the hand let go. */
  release(): void {
    if (!this.last) return
    this.heldNm = this.pending.length > 0 ? this.heldNm : this.now()
    this.toldOfRelease = this.heldNm >= HELD_FROM * this.targetNm
  }

  /** @param pastYield whether the bolt gives already: then a fall is sooner the end of it than a letting go */
  add(sample: TighteningSample, pastYield = false): Gripped {
    const at = { angleDeg: sample.angleDeg - this.woundDeg, torqueNm: sample.torqueNm }
    if (this.letGo) return this.whileLetGo(at, pastYield)
    const now = this.now()
    if (now < HELD_FROM * this.targetNm || at.torqueNm >= LET_GO_SHARE * now) return this.take(at)
    this.heldNm = now
    this.pending = [at]
    return NOTHING
  }

  private now(): number {
    return middleOf(...this.recent)
  }

  private take(at: TighteningSample): Gripped {
    if (this.last && at.angleDeg > this.last.angleDeg) this.stepDeg = Math.min(3, at.angleDeg - this.last.angleDeg)
    this.last = at
    this.recent = [this.recent[1], this.recent[2], at.torqueNm]
    return { steady: [at], gone: null }
  }

  private whileLetGo(at: TighteningSample, pastYield: boolean): Gripped {
    if (at.torqueNm >= BACK_SHARE * this.heldNm) {
      // A single low reading took no time; anything longer was the wrench winding up.
      const wound = this.pending.length > 1 || this.toldOfRelease ? this.turned(at) - this.stepDeg : 0
      this.woundDeg += Math.max(0, wound)
      this.pending = []
      this.toldOfRelease = false
      return this.take({ ...at, angleDeg: at.angleDeg - Math.max(0, wound) })
    }
    this.pending.push(at)
    const turnedDeg = this.turned(at)
    const lowest = Math.min(...this.pending.map(entry => entry.torqueNm))
    const wanted = pastYield ? FLAT_PAST_YIELD : FLAT
    const rises = at.torqueNm > lowest + wanted.rise * this.heldNm
    const flat = turnedDeg >= wanted.deg && this.pending.length >= wanted.samples && !rises
    const patience = this.toldOfRelease ? PUT_ON_DEG : WIND_UP_DEG
    return (flat && (!this.toldOfRelease || pastYield)) || turnedDeg >= patience ? this.lost(at) : NOTHING
  }

  private turned(at: TighteningSample): number {
    return at.angleDeg - (this.last?.angleDeg ?? at.angleDeg)
  }

  private lost(at: TighteningSample): Gripped {
    const fromNm = this.heldNm
    const steady = this.pending
    this.pending = []
    this.toldOfRelease = false
    for (const entry of steady) this.take(entry)
    return { steady, gone: { fromNm, toNm: at.torqueNm } }
  }
}

/** A whole record as the bolt was turned, without what the hand made of it. */
export function gripped(samples: readonly TighteningSample[], targetNm: number): TighteningSample[] {
  const grip = new Grip(targetNm)
  const turned: TighteningSample[] = []
  for (const sample of samples) turned.push(...grip.add(sample).steady)
  return turned
}
