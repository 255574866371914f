import { emptySet } from '../step-set'
import type { StepSet } from '../step-set'

const FIRST_ROOM = 256

/** What a label says: some steps are done, this one last. */
export interface Label {
  done: StepSet
  /** The last step · 4 + flags. */
  state: number
  /** What it is the same label by, beside the steps done: how things stand after it. */
  kind: number
  minutes: number
  /** What the prices say of the steps left, apart from where they will stand; and what each place further back adds. */
  left: number
  slope: number
  /** Its trace: see {@link Trace}. */
  trace: number
  step: number
}

/**
 * Labels with equally many steps done, in typed arrays. Of those with the same steps done that leave things alike, only labels stay that no
 * other beats both in time and in everything that still has to wait.
 */
export class Labels {
  size = 0
  private readonly words: number
  private room = FIRST_ROOM
  private sets: Uint32Array
  private numbers: Float64Array
  private whole: Int32Array
  private waiting: Float64Array
  /** By hash the first label, and from label to label the next one. */
  private heads = new Int32Array(FIRST_ROOM * 2).fill(-1)
  private chain = new Int32Array(FIRST_ROOM)

  constructor(
    private readonly count: number,
    private readonly waits: number,
  ) {
    this.words = emptySet(count).length
    this.sets = new Uint32Array(this.room * this.words)
    this.numbers = new Float64Array(this.room * 3)
    this.whole = new Int32Array(this.room * 4)
    this.waiting = new Float64Array(this.room * waits)
  }

  /** Keeps a label, in the place of one that it beats; nothing where another beats it. */
  put(label: Label, release: Float64Array): void {
    const bucket = this.hash(label) & (this.heads.length - 1)
    for (let at = this.heads[bucket]!; at >= 0; at = this.chain[at]!) {
      if (!this.isSame(at, label)) continue
      const [better, worse] = this.compare(at, label.minutes, release)
      if (!better) return
      if (!worse) return this.write(at, label, release)
    }
    if (this.size === this.room) this.grow()
    const at = this.size++
    const home = this.hash(label) & (this.heads.length - 1)
    this.chain[at] = this.heads[home]!
    this.heads[home] = at
    this.write(at, label, release)
  }

  /** Reads a label into `label` and `release`, in place. */
  read(at: number, label: Label, release: Float64Array): void {
    for (let word = 0; word < this.words; word++) label.done[word] = this.sets[at * this.words + word]!
    label.minutes = this.numbers[at * 3]!
    label.left = this.numbers[at * 3 + 1]!
    label.slope = this.numbers[at * 3 + 2]!
    label.state = this.whole[at * 4]!
    label.kind = this.whole[at * 4 + 1]!
    label.trace = this.whole[at * 4 + 2]!
    label.step = this.whole[at * 4 + 3]!
    for (let wait = 0; wait < this.waits; wait++) release[wait] = this.waiting[at * this.waits + wait]!
  }

  private write(at: number, label: Label, release: Float64Array): void {
    for (let word = 0; word < this.words; word++) this.sets[at * this.words + word] = label.done[word]!
    this.numbers[at * 3] = label.minutes
    this.numbers[at * 3 + 1] = label.left
    this.numbers[at * 3 + 2] = label.slope
    this.whole[at * 4] = label.state
    this.whole[at * 4 + 1] = label.kind
    this.whole[at * 4 + 2] = label.trace
    this.whole[at * 4 + 3] = label.step
    for (let wait = 0; wait < this.waits; wait++) this.waiting[at * this.waits + wait] = release[wait]!
  }

  private isSame(at: number, { done, kind }: Label): boolean {
    if (this.whole[at * 4 + 1] !== kind) return false
    for (let word = 0; word < this.words; word++) if (this.sets[at * this.words + word] !== done[word]) return false
    return true
  }

  private compare(at: number, minutes: number, release: Float64Array): [better: boolean, worse: boolean] {
    let better = this.numbers[at * 3]! > minutes + 1e-9
    let worse = this.numbers[at * 3]! < minutes - 1e-9
    for (let wait = 0; wait < this.waits; wait++) {
      const other = this.waiting[at * this.waits + wait]!
      if (other > release[wait]! + 1e-9) better = true
      else if (other < release[wait]! - 1e-9) worse = true
    }
    return [better, worse]
  }

  private hash({ done, kind }: Label): number {
    let hash = kind * 0x9e3779b1
    for (let word = 0; word < this.words; word++) {
      hash = Math.imul(hash ^ done[word]!, 0x85ebca6b)
      hash ^= hash >>> 15
    }
    return hash >>> 0
  }

  private grow(): void {
    this.room *= 2
    this.sets = wider(this.sets)
    this.numbers = wider(this.numbers)
    this.whole = wider(this.whole)
    this.waiting = wider(this.waiting)
    this.chain = new Int32Array(this.room)
    this.heads = new Int32Array(this.room * 2).fill(-1)
    const release = new Float64Array(this.waits)
    const label = blankLabel(this.count)
    for (let at = 0; at < this.size; at++) {
      this.read(at, label, release)
      const home = this.hash(label) & (this.heads.length - 1)
      this.chain[at] = this.heads[home]!
      this.heads[home] = at
    }
  }
}

export const blankLabel = (count: number): Label => ({
  done: emptySet(count),
  state: -1,
  kind: -1,
  minutes: 0,
  left: 0,
  slope: 0,
  trace: -1,
  step: -1,
})

function wider<T extends Uint32Array | Float64Array | Int32Array>(array: T): T {
  const next = new (array.constructor as new (length: number) => T)(array.length * 2)
  next.set(array)
  return next
}

/** By which steps labels were reached: each entry is one that was gone on from. */
export class Trace {
  private parents = new Int32Array(FIRST_ROOM)
  private steps = new Int16Array(FIRST_ROOM)
  private size = 0

  add(parent: number, step: number): number {
    if (this.size === this.parents.length) {
      this.parents = wider(this.parents)
      const steps = new Int16Array(this.steps.length * 2)
      steps.set(this.steps)
      this.steps = steps
    }
    this.parents[this.size] = parent
    this.steps[this.size] = step
    return this.size++
  }

  /** The steps that led to an entry, first one first. */
  back(entry: number): number[] {
    const steps: number[] = []
    for (let at = entry; at >= 0; at = this.parents[at]!) steps.unshift(this.steps[at]!)
    return steps
  }
}
