import { LEVELS } from './sibling-bolts'
import type { Siblings } from './sibling-bolts'
import { median, scatterOf } from './tightening-curve'
import type { TighteningSample } from './tightening-curve'
import { YieldWatch } from './yield-watch'

export const tighteningVerdicts = ['good', 'drag', 'early', 'soft', 'yielding', 'gave-way'] as const
export type TighteningVerdict = (typeof tighteningVerdicts)[number]

/** What the torque against the angle says so far. */
export interface TighteningReading {
  /** `null` while the bolt goes on as it should and has not reached its target. */
  verdict: TighteningVerdict | null
  because: string
  /** Where it was seen. */
  atAngleDeg: number | null
}

/** Where no sibling tells: what counts as meeting something, how fast a sound joint then rises, and how soon is too soon. Common practice, no source. */
const ALONE = {
  riseShare: 0.12,
  withinDeg: 75,
  toShare: 0.45,
  tooSoonDeg: 60,
  firstTurnDeg: 360,
  lookBackDeg: 25,
  dragRise: 0.06,
}
/** A joint under way is watched for yield from this share of the target on. */
const ELASTIC_FROM = 0.25
/** Torque that falls by this share, once it stood above a share of the target, is a bolt or thread that goes; a screw that only drags stands lower and falls too. */
const FALL = { share: 0.15, atOnce: 0.6, from: 0.25, fromDragging: 0.45, scatter: 6 }
/** A bolt so much later than its siblings turns without biting. */
const NEVER_DEG = 360
/** A bolt that bottoms is at most so much stiffer than its siblings, and climbs at least so fast; anything else before its time is drag. Common practice, no source. */
const STEEPEST = 0.2
const CLIMB = 0.4
/** From rise to the first level where the siblings were not turned so far. Common practice, no source. */
const UNKNOWN_SPAN = { deg: 40, factor: 1.6 }
/** A record that ends this near its target has reached it. */
const READS_TO = 0.985
/** Samples over which the scatter of the wrench is taken. */
const SCATTER_OVER = 40

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** Reads one bolt sample by sample. `readTightening` tells what the verdicts mean. */
export class TighteningReader {
  private readonly samples: TighteningSample[] = []
  /** Torque with single spikes taken out: the middle one of each sample and the two before it. */
  private readonly calm: number[] = []
  private readonly baseNm: number
  private readonly riseNm: number
  /** Index at which the torque left the running-down level, or -1. */
  private risen = -1
  private below = 0
  private peak = 0
  /** Whether the rise was as fast as a sound joint's, where no sibling tells. */
  private quick = false
  /** Degrees from the rise to the levels. */
  private startSinceDeg: number | null = null
  private firstSinceDeg: number | null = null
  private watch: YieldWatch | null = null
  private found: TighteningReading | null = null
  private closed = false

  /** @param limitNm where this pass ends; the target where it goes all the way */
  constructor(
    private readonly targetNm: number,
    private readonly siblings: Siblings | null,
    private readonly limitNm = targetNm,
  ) {
    this.baseNm = siblings?.baseNm ?? 0
    this.riseNm = siblings?.riseNm ?? ALONE.riseShare * targetNm
  }

  /** What is known so far. */
  get reading(): TighteningReading {
    return this.found ?? { verdict: null, because: 'It goes on as it should.', atAngleDeg: null }
  }

  /** Takes the next sample. @returns what is known with it */
  add(sample: TighteningSample): TighteningReading {
    if (this.closed) return this.reading
    this.samples.push(sample)
    this.calm.push(median(this.samples.slice(-3).map(entry => entry.torqueNm)))
    const index = this.samples.length - 1
    if (this.falls(index))
      return this.close(
        this.say(
          'gave-way',
          index,
          `Torque fell from {${this.peak.toFixed(1)} N·m} to {${sample.torqueNm.toFixed(1)} N·m} while it turned on.`,
        ),
      )
    this.found ??= this.step(index)
    if (this.found?.verdict === 'drag' || this.found?.verdict === 'early') return this.close(this.found)
    if (this.reached(index)) {
      return this.close(this.found ?? this.tooSoon(index) ?? this.sayGood(index))
    }
    return this.reading
  }

  /**
   * What is known when no sample comes any more: a wrench reads to about a hundredth, so a record whose last pull came
   * that near to its end has reached it.
   */
  finish(): TighteningReading {
    const index = this.samples.length - 1
    const best = Math.max(0, ...this.samples.slice(-3).map(sample => sample.torqueNm))
    if (this.found || this.closed || best < this.limitNm * READS_TO) return this.reading
    return this.close(this.tooSoon(index) ?? this.sayGood(index))
  }

  private sayGood(index: number): TighteningReading {
    return this.say('good', index, `It reached {${this.limitNm.toFixed(1)} N·m} and rose as it should on the way.`)
  }

  private close(reading: TighteningReading): TighteningReading {
    this.closed = true
    this.found = reading
    return reading
  }

  private say(verdict: TighteningVerdict, index: number, because: string): TighteningReading {
    return { verdict, because, atAngleDeg: this.samples[index]!.angleDeg }
  }

  private sayYielding(index: number): TighteningReading {
    return this.say(
      'yielding',
      index,
      `It turns on at {${this.samples[index]!.torqueNm.toFixed(1)} N·m} without getting tighter.`,
    )
  }

  /** Degrees turned since the first sample. */
  private turned(index: number): number {
    return this.samples[index]!.angleDeg - this.samples[0]!.angleDeg
  }

  private scatter(index: number): number {
    return scatterOf(this.samples.slice(Math.max(0, index - SCATTER_OVER), index).map(sample => sample.torqueNm))
  }

  private reached(index: number): boolean {
    return (
      this.samples[index]!.torqueNm >= this.limitNm * 0.995 &&
      (this.samples[index - 1]?.torqueNm ?? 0) >= this.limitNm * 0.5
    )
  }

  private falls(index: number): boolean {
    const calm = this.calm[index]!
    const stood = this.peak > (this.dragging() ? FALL.fromDragging : FALL.from) * this.targetNm
    const turnedOn = index > 0 && this.samples[index]!.angleDeg > this.samples[index - 1]!.angleDeg
    const fallen =
      stood &&
      turnedOn &&
      (this.samples[index]!.torqueNm < this.peak * (1 - FALL.atOnce) ||
        (calm < this.peak * (1 - FALL.share) && calm < this.peak - FALL.scatter * this.scatter(index - 1)))
    this.peak = Math.max(this.peak, calm)
    return fallen
  }

  private step(index: number): TighteningReading | null {
    this.markRise(index)
    if (this.risen < 0) return this.neverBites(index)
    return (this.siblings ? this.againstSiblings(index, this.siblings) : this.alone(index)) ?? this.yields(index)
  }

  private markRise(index: number): void {
    if (this.risen < 0) {
      if (this.calm[index]! >= this.riseNm) this.risen = index
      this.below = 0
      return
    }
    this.below = this.calm[index]! < this.riseNm - 0.03 * this.targetNm ? this.below + 1 : 0
    if (this.below >= 4) {
      this.risen = -1
      this.startSinceDeg = this.firstSinceDeg = null
      this.watch = null
    }
  }

  private neverBites(index: number): TighteningReading | null {
    if (!this.siblings || this.turned(index) < this.siblings.riseDeg * 1.25 + NEVER_DEG) return null
    return this.say(
      'gave-way',
      index,
      `It turned ${Math.round(this.turned(index))}° without biting; the others bite after ${Math.round(this.siblings.riseDeg)}°.`,
    )
  }

  private againstSiblings(index: number, siblings: Siblings): TighteningReading | null {
    const since = this.turned(index) - this.turned(this.risen)
    const level = (this.calm[index]! - siblings.baseNm) / (this.targetNm - siblings.baseNm)
    if (level >= LEVELS.start) this.startSinceDeg ??= since
    if (this.premature()) {
      const span = siblings.spans.first ?? UNKNOWN_SPAN
      if (level >= LEVELS.first && since >= STEEPEST * span.deg && this.climbs(index, span.deg))
        return this.tooSoon(index)
      const patience = Math.max(20, span.deg * span.factor)
      return since > patience ? this.sayDrag(index) : null
    }
    if (level >= LEVELS.first) this.firstSinceDeg ??= since
    for (const name of ['first', 'second'] as const) {
      const span = siblings.spans[name]
      if (span && level < LEVELS[name] && since > span.deg * span.factor + 4) {
        // It came up like its siblings and fell behind later: that is a bolt that gives, not a joint that is soft.
        const { first } = siblings.spans
        if (first && this.firstSinceDeg !== null && this.firstSinceDeg < first.deg * first.factor ** 0.55)
          return this.sayYielding(index)
        return this.say(
          'soft',
          index,
          `${Math.round(since)}° after it met the part it stands at ${percent(level)}; the others were at ${percent(LEVELS[name])} after ${Math.round(span.deg)}°.`,
        )
      }
    }
    return null
  }

  /** Whether the torque rose before the siblings' did, by more than they scatter. */
  private premature(): boolean {
    return (
      this.siblings !== null &&
      this.risen >= 0 &&
      this.turned(this.risen) < this.siblings.riseDeg - this.siblings.riseMarginDeg
    )
  }

  /** Whether what stands against the turning may be drag as well as clamping. */
  private dragging(): boolean {
    return this.siblings ? this.premature() : !this.quick
  }

  private tooSoon(index: number): TighteningReading | null {
    if (!this.premature()) return null
    const { riseDeg, spans } = this.siblings!
    const slow =
      spans.start &&
      this.startSinceDeg !== null &&
      this.startSinceDeg > Math.max(20, spans.start.deg * spans.start.factor)
    return slow
      ? this.sayDrag(index)
      : this.say(
          'early',
          index,
          `It is tight ${Math.round(riseDeg - this.turned(this.risen))}° before the others were.`,
        )
  }

  private sayDrag(index: number): TighteningReading {
    return this.say(
      'drag',
      index,
      `It turns against {${this.calm[index]!.toFixed(1)} N·m} where the others ran down with {${this.baseNm.toFixed(1)} N·m}.`,
    )
  }

  /** Whether the torque is still on its way up, as against a screw that turns heavily but evenly. */
  private climbs(index: number, spanDeg: number): boolean {
    const back = this.samples.findLastIndex((_, before) => this.turned(index) - this.turned(before) >= spanDeg * 0.25)
    return (
      this.calm[index]! - this.calm[Math.max(back, 0)]! >= CLIMB * 0.25 * LEVELS.first * (this.targetNm - this.baseNm)
    )
  }

  private alone(index: number): TighteningReading | null {
    const rise = this.turned(this.risen)
    const since = this.turned(index) - rise
    const share = this.calm[index]! / this.targetNm
    if (share >= ALONE.toShare && since <= ALONE.withinDeg) this.quick = true
    if (this.quick) {
      return since <= ALONE.withinDeg && rise < ALONE.tooSoonDeg
        ? this.say(
            'early',
            index,
            `It is tight after ${Math.round(this.turned(index))}°, with hardly a thread engaged.`,
          )
        : null
    }
    if (since <= ALONE.withinDeg) return null
    const back = this.samples.findLastIndex(
      (_, before) => this.turned(index) - this.turned(before) >= ALONE.lookBackDeg,
    )
    const gained = share - this.calm[Math.max(back, this.risen)]! / this.targetNm
    return rise < ALONE.firstTurnDeg || gained < ALONE.dragRise
      ? this.say(
          'drag',
          index,
          `It has turned against {${this.calm[index]!.toFixed(1)} N·m} for ${Math.round(since)}° without clamping anything.`,
        )
      : this.say(
          'soft',
          index,
          `${Math.round(since)}° after it met the part it stands at ${percent(share)} of the figure.`,
        )
  }

  private yields(index: number): TighteningReading | null {
    if (!this.watch && this.calm[index]! < this.baseNm + ELASTIC_FROM * (this.targetNm - this.baseNm)) return null
    this.watch ??= new YieldWatch(this.targetNm, this.scatter(index))
    const { angleDeg, torqueNm } = this.samples[index]!
    return this.watch.add(angleDeg, torqueNm) && (this.siblings || this.quick) ? this.sayYielding(index) : null
  }
}
