import { Grip } from './grip'
import { RiseMark } from './rise-mark'
import { LEVELS, RISE_SHARE } from './sibling-bolts'
import type { Siblings } from './sibling-bolts'
import { scatterOf, steady } from './tightening-curve'
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
const FALL = { share: 0.22, from: 0.25, fromDragging: 0.45, scatter: 6 }
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

/** Without siblings, what a joint may run down with at most, as a share of the target: by what was said of it. Common practice, no source. */
const EXPECTED = { locking: 0.35, drawn: 0.25, plain: 0 }
/** A bend counts once it has lasted so long. */
const CONFIRMED_DEG = 2

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** What is known of a joint that makes it run heavier than clean threads do. */
export interface JointState {
  /** A nut that locks, or wet threadlocker. */
  locking?: boolean
  /** A sprung part that its bolts draw down, as a cover. */
  drawn?: boolean
}

/** Reads one bolt sample by sample. `readTightening` tells what the verdicts mean. */
export class TighteningReader {
  private readonly grip: Grip
  /** What it may run down with once it was turned so far. */
  private readonly expectedNm: (turnedDeg: number) => number
  private readonly mark: RiseMark
  /** Readings as the bolt was turned, and the same without single ones that leap; the second lags by one. */
  private readonly turnings: TighteningSample[] = []
  private readonly samples: TighteningSample[] = []
  private peak = 0
  /** Whether the rise was as fast as a sound joint's, where no sibling tells. */
  private quick = false
  /** Degrees from the rise to the levels. */
  private startSinceDeg: number | null = null
  private firstSinceDeg: number | null = null
  private watch: YieldWatch | null = null
  /** Where the bend that is looked at began, while it is not sure. */
  private bentFromDeg: number | null = null
  /** Where the wrench is, as it counts. */
  private lastDeg = 0
  private found: TighteningReading | null = null
  private closed = false

  /**
   * @param limitNm where this pass ends; the target where it goes all the way
   * @param state what makes the joint run heavier than clean threads do
   */
  constructor(
    private readonly targetNm: number,
    private readonly siblings: Siblings | null,
    private readonly limitNm = targetNm,
    state: JointState = {},
  ) {
    const said = state.locking ? EXPECTED.locking : state.drawn ? EXPECTED.drawn : EXPECTED.plain
    this.expectedNm = siblings ? siblings.expectedNm : () => said * targetNm
    this.grip = new Grip(targetNm)
    this.mark = new RiseMark(targetNm, siblings ? RISE_SHARE : ALONE.riseShare, this.expectedNm, this.expectedNm(0))
  }

  /** What is known so far. */
  get reading(): TighteningReading {
    return this.found ?? { verdict: null, because: this.untold(), atAngleDeg: null }
  }

  /** Why nothing can be said yet. */
  private untold(): string {
    if (this.grip.letGo)
      return `The hand let go. It is read on once {${this.grip.held.toFixed(1)} N·m} stand against it again.`
    if (this.bentFromDeg !== null) return 'It bends a little; a degree or two more tells whether it gives.'
    if (this.siblings) return 'It goes on as it should.'
    return this.mark.index < 0
      ? 'It runs down. No other bolt of its kind is known, so little can be told before it meets its part.'
      : 'It goes on as far as can be told; no other bolt of its kind is known.'
  }

  /** The wrench says that the hand let go: what it reads is not of the bolt until as much stands against it again. */
  release(): void {
    this.grip.release()
  }

  /** Takes the next sample. @returns what is known with it */
  add(sample: TighteningSample): TighteningReading {
    if (this.closed) return this.reading
    this.lastDeg = sample.angleDeg
    const { steady: turned, gone } = this.grip.add(sample, this.found?.verdict === 'yielding')
    for (const at of turned) {
      this.take(at)
      if (this.closed) return this.reading
    }
    if (gone && this.stood(gone.fromNm)) return this.close(this.sayGone(gone.fromNm, gone.toNm))
    return this.reading
  }

  private take(at: TighteningSample): void {
    this.turnings.push(at)
    const [before, middle] = [this.turnings.at(-3), this.turnings.at(-2)]
    if (middle) this.judge(before ? steady(before, middle, at) : middle)
    if (this.closed || !this.reached()) return
    this.judge(at)
    if (!this.closed) this.close(this.found ?? this.tooSoon(this.samples.length - 1) ?? this.sayGood())
  }

  private judge(at: TighteningSample): void {
    this.samples.push(at)
    const index = this.samples.length - 1
    if (this.falls(index)) this.close(this.sayGone(this.peak, at.torqueNm))
    else {
      this.found ??= this.step(index)
      if (this.found?.verdict === 'drag' || this.found?.verdict === 'early') this.close(this.found)
    }
  }

  /**
   * What is known when no sample comes any more: a wrench reads to about a hundredth, so a record whose last pull came
   * that near to its end has reached it.
   */
  finish(): TighteningReading {
    const best = Math.max(0, ...this.turnings.slice(-3).map(sample => sample.torqueNm))
    if (this.found || this.closed || best < this.limitNm * READS_TO) return this.reading
    return this.close(this.tooSoon(this.samples.length - 1) ?? this.sayGood())
  }

  private sayGone(fromNm: number, toNm: number): TighteningReading {
    return this.say(
      'gave-way',
      `Torque fell from {${fromNm.toFixed(1)} N·m} to {${toNm.toFixed(1)} N·m} while it turned on.`,
    )
  }

  private sayGood(): TighteningReading {
    return this.say('good', `It reached {${this.limitNm.toFixed(1)} N·m} and rose as it should on the way.`)
  }

  private close(reading: TighteningReading): TighteningReading {
    this.closed = true
    this.found = reading
    return reading
  }

  private say(verdict: TighteningVerdict, because: string): TighteningReading {
    return { verdict, because, atAngleDeg: this.lastDeg }
  }

  private sayYielding(index: number): TighteningReading {
    return this.say(
      'yielding',
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

  private reached(): boolean {
    return (
      this.turnings.at(-1)!.torqueNm >= this.limitNm * 0.995 &&
      (this.turnings.at(-2)?.torqueNm ?? 0) >= this.limitNm * 0.5
    )
  }

  /** Whether so much stood that its loss is that of a bolt, and not of dirt that it turned past. */
  private stood(torqueNm: number): boolean {
    const from = (this.dragging() ? FALL.fromDragging : FALL.from) * this.targetNm
    return torqueNm > Math.max(from, this.expectedNm(this.turned(this.samples.length - 1)) + RISE_SHARE * this.targetNm)
  }

  private falls(index: number): boolean {
    const { angleDeg, torqueNm } = this.samples[index]!
    const turnedOn = index > 0 && angleDeg > this.samples[index - 1]!.angleDeg
    const fallen =
      turnedOn &&
      torqueNm < this.peak * (1 - FALL.share) &&
      this.stood(this.peak) &&
      torqueNm < this.peak - FALL.scatter * this.scatter(index - 1)
    if (!fallen) this.peak = Math.max(this.peak, torqueNm)
    return fallen
  }

  private step(index: number): TighteningReading | null {
    if (this.mark.add(this.samples[index]!)) {
      this.startSinceDeg = this.firstSinceDeg = this.bentFromDeg = null
      this.watch = null
    }
    if (this.mark.index < 0) return this.neverBites(index)
    return (this.siblings ? this.againstSiblings(index, this.siblings) : this.alone(index)) ?? this.yields(index)
  }

  private neverBites(index: number): TighteningReading | null {
    if (!this.siblings || this.turned(index) < this.siblings.riseDeg * 1.25 + NEVER_DEG) return null
    return this.say(
      'gave-way',
      `It turned ${Math.round(this.turned(index))}° without biting; the others bite after ${Math.round(this.siblings.riseDeg)}°.`,
    )
  }

  private againstSiblings(index: number, siblings: Siblings): TighteningReading | null {
    const since = this.turned(index) - this.turned(this.mark.index)
    const { levelNm } = this.mark
    const level = (this.samples[index]!.torqueNm - levelNm) / (this.targetNm - levelNm)
    if (level >= LEVELS.start) this.startSinceDeg ??= since
    if (this.premature()) {
      // As heavy as the others ran: a nut that locks, threadlocker, a cover that is drawn down.
      if (this.samples[index]!.torqueNm <= this.expectedNm(this.turned(index))) return null
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
      this.mark.index >= 0 &&
      this.turned(this.mark.index) < this.siblings.riseDeg - this.siblings.riseMarginDeg
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
      : this.say('early', `It is tight ${Math.round(riseDeg - this.turned(this.mark.index))}° before the others were.`)
  }

  private sayDrag(index: number): TighteningReading {
    return this.say(
      'drag',
      `It turns against {${this.samples[index]!.torqueNm.toFixed(1)} N·m} where the others ran down with {${this.siblings!.baseNm.toFixed(1)} N·m}.`,
    )
  }

  /** Whether the torque is still on its way up, as against a screw that turns heavily but evenly. */
  private climbs(index: number, spanDeg: number): boolean {
    const back = this.samples.findLastIndex((_, before) => this.turned(index) - this.turned(before) >= spanDeg * 0.25)
    return (
      this.samples[index]!.torqueNm - this.samples[Math.max(back, 0)]!.torqueNm >=
      CLIMB * 0.25 * LEVELS.first * (this.targetNm - this.mark.levelNm)
    )
  }

  private alone(index: number): TighteningReading | null {
    const rise = this.turned(this.mark.index)
    const since = this.turned(index) - rise
    const share = this.samples[index]!.torqueNm / this.targetNm
    if (share >= ALONE.toShare && since <= ALONE.withinDeg) this.quick = true
    if (this.quick) {
      return since <= ALONE.withinDeg && rise < ALONE.tooSoonDeg
        ? this.say('early', `It is tight after ${Math.round(this.turned(index))}°, with hardly a thread engaged.`)
        : null
    }
    if (since <= ALONE.withinDeg) return null
    const back = this.samples.findLastIndex(
      (_, before) => this.turned(index) - this.turned(before) >= ALONE.lookBackDeg,
    )
    const gained = share - this.samples[Math.max(back, this.mark.index)]!.torqueNm / this.targetNm
    return rise < ALONE.firstTurnDeg || gained < ALONE.dragRise
      ? this.say(
          'drag',
          `It has turned against {${this.samples[index]!.torqueNm.toFixed(1)} N·m} for ${Math.round(since)}° without clamping anything.`,
        )
      : this.say('soft', `${Math.round(since)}° after it met the part it stands at ${percent(share)} of the figure.`)
  }

  private yields(index: number): TighteningReading | null {
    const { levelNm } = this.mark
    const { angleDeg, torqueNm } = this.samples[index]!
    if (!this.watch && torqueNm < levelNm + ELASTIC_FROM * (this.targetNm - levelNm)) return null
    this.watch ??= new YieldWatch(this.targetNm, this.scatter(index), this.siblings?.bendsNm)
    if (!this.watch.add(angleDeg, torqueNm)) {
      this.bentFromDeg = null
      return null
    }
    this.bentFromDeg ??= angleDeg
    const sure = angleDeg - this.bentFromDeg >= CONFIRMED_DEG
    return sure && (this.siblings || this.quick) ? this.sayYielding(index) : null
  }
}
