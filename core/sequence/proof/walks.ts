import { has } from '../step-set'
import { flagsAfter, turnMinutes } from './stretch'
import type { Stretch } from './stretch'

/** What a walk that stands at a step remembers of what it does later, and where figures by it stand. */
export interface Slots {
  /** By step: the others that are remembered there. */
  memory: number[][]
  /** By step · 4 + flags its first slot, one for each set of what is remembered; −1 where the step leaves no such flags. */
  first: Int32Array
  size: number
}

/** By slot: the least that is still to come, prices taken off, and the slot it goes on with. */
interface Ahead {
  minutes: Float64Array
  next: Int32Array
}

/** More is not remembered at a step, nor over longer ways. */
const MOST_REMEMBERED = 9
const LONGEST_WAY = 14
/** Slots for each step of the stretch, all told. */
const MOST_SLOTS = 48

/**
 * Walks of as many steps as a stretch has, that may leave a step out, do another twice, or one before what has to come
 * before it, but not where they remember better. What is remembered grows by the mistakes of the cheapest walk.
 *
 * Neighbourhoods that forget (Baldacci, Mingozzi and Roberti 2012), grown as they are wanted (Roberti and Mingozzi
 * 2014); from memory.
 */
export class Walks {
  slots: Slots
  /** By place in the order: the steps that can stand there. */
  private places: number[][]
  /** By step: the flags it can leave. */
  private readonly flags: number[][]
  private readonly turn: Float64Array
  private readonly leaves: Uint8Array
  private ahead: Ahead[] = []
  /** By slot its state. */
  private stateOf = new Int32Array(0)
  /** By step and the one after it: what is remembered before, from what is remembered after; −1 where that forbids it. */
  private passes: (Int16Array | null)[] = []
  private start = -1

  constructor(private readonly stretch: Stretch) {
    const { count, earliest, latest, instance, steps } = stretch
    const own = Array.from({ length: count }, (_, step) => step)
    this.places = own.map(place => own.filter(step => earliest[step]! <= place && place <= latest[step]!))
    this.turn = Float64Array.from({ length: count * 4 }, (_, at) => turnMinutes(instance, at & 3, steps[at >> 2]!))
    this.leaves = Uint8Array.from({ length: count * 4 }, (_, at) => flagsAfter(instance, at & 3, steps[at >> 2]!))
    this.flags = own.map(step => [...new Set(this.leaves.subarray(step * 4, step * 4 + 4))])
    this.slots = this.arrange(own.map(() => []))
  }

  /** Minutes of the cheapest walk, prices taken off on the way. */
  cheapest(visit: Float64Array, slope: Float64Array): number {
    this.lookAhead(visit, slope)
    const { first } = this.slots
    const { minutes } = this.ahead[0]!
    let least = Infinity
    this.fromEntries(visit, (state, before) => {
      for (let slot = first[state]!; slot < this.slots.size && this.stateOf[slot] === state; slot++) {
        if (before + minutes[slot]! >= least) continue
        least = before + minutes[slot]!
        this.start = slot
      }
    })
    return least
  }

  /** How often the cheapest walk does each step, and the sum of the places it does it at. */
  walked(): { times: Float64Array; places: Float64Array } {
    const times = new Float64Array(this.stretch.count)
    const places = new Float64Array(this.stretch.count)
    this.steps().forEach((step, place) => {
      times[step]! += 1
      places[step]! += place
    })
    return { times, places }
  }

  /** Remembers what would have kept the cheapest walk from its mistakes; whether anything was to be remembered. */
  learn(): boolean {
    const walk = this.steps()
    const { needs } = this.stretch
    const memory = this.slots.memory.map(list => list.slice())
    let slots = this.slots.size
    const most = MOST_SLOTS * this.stretch.count
    let grown = false
    walk.forEach((step, from) => {
      const to = walk.findIndex((later, at) => at > from && (later === step || has(needs[step]!, later)))
      if (to < 0 || to - from > LONGEST_WAY) return
      const wrong = walk[to]!
      const between = [...new Set(walk.slice(from + 1, to))].filter(each => !memory[each]!.includes(wrong))
      const more = between.reduce((sum, each) => sum + (this.flags[each]!.length << memory[each]!.length), 0)
      if (between.some(each => memory[each]!.length >= MOST_REMEMBERED) || slots + more > most) return
      for (const each of between) memory[each]!.push(wrong)
      slots += more
      grown ||= between.length > 0
    })
    if (grown) this.slots = this.arrange(memory)
    return grown
  }

  /** By place and slot the least that is still to come where nothing that is missing from the slot's set is done later. */
  leastAhead(visit: Float64Array, slope: Float64Array): Float64Array[] {
    this.lookAhead(visit, slope)
    const { memory, first } = this.slots
    return this.ahead.map(({ minutes }) => {
      const least = minutes.slice()
      first.forEach((from, state) => {
        if (from < 0) return
        const bits = memory[state >> 2]!.length
        for (let bit = 1; bit < 1 << bits; bit <<= 1)
          for (let set = 0; set < 1 << bits; set++)
            if (set & bit) least[from + set] = Math.min(least[from + set]!, least[from + (set ^ bit)]!)
      })
      return least
    })
  }

  /** Takes from each place the steps that no walk of fewer than `most` minutes has there. */
  shut(visit: Float64Array, slope: Float64Array, most: number): void {
    const { turn, leaves, places, flags } = this
    const { count, ready, follows } = this.stretch
    this.lookAhead(visit, slope)
    let reached = new Float64Array(count * 4).fill(Infinity)
    this.fromEntries(visit, (state, minutes) => {
      reached[state] = Math.min(reached[state]!, minutes)
    })
    this.places = places.map((steps, place) => {
      const here = reached
      reached = new Float64Array(count * 4).fill(Infinity)
      for (const step of steps)
        for (const flag of flags[step]!) {
          const minutes = here[step * 4 + flag]!
          if (minutes === Infinity) continue
          for (const then of places[place + 1] ?? []) {
            if (follows[step * count + then] === 0) continue
            const to = then * 4 + leaves[then * 4 + flag]!
            const price = (place + 1) * slope[then]! - visit[then]!
            reached[to] = Math.min(reached[to]!, minutes + ready[step * count + then]! + turn[then * 4 + flag]! + price)
          }
        }
      return steps.filter(step =>
        flags[step]!.some(flag => here[step * 4 + flag]! + this.leastOf(place, step * 4 + flag) < most),
      )
    })
  }

  private leastOf(place: number, state: number): number {
    const { minutes } = this.ahead[place]!
    const from = this.slots.first[state]!
    let least = Infinity
    for (let set = 0; set < 1 << this.slots.memory[state >> 2]!.length; set++)
      least = Math.min(least, minutes[from + set]!)
    return least
  }

  private steps(): number[] {
    const steps: number[] = []
    for (let place = 0, slot = this.start; slot >= 0; slot = this.ahead[place++]!.next[slot]!)
      steps.push(this.stateOf[slot]! >> 2)
    return steps
  }

  /** Every way into the stretch: the state after the first step, and its minutes with its price. */
  private fromEntries(visit: Float64Array, each: (state: number, minutes: number) => void): void {
    const { count, entries, ready } = this.stretch
    for (const step of this.places[0]!)
      entries.forEach(({ flags }, entry) => {
        const minutes = ready[(count + entry) * count + step]! + this.turn[step * 4 + flags]! - visit[step]!
        each(step * 4 + this.leaves[step * 4 + flags]!, minutes)
      })
  }

  private lookAhead(visit: Float64Array, slope: Float64Array): void {
    const { turn, leaves, places, flags, passes } = this
    const { count, ready } = this.stretch
    const { first } = this.slots
    for (let place = count - 1; place >= 0; place--) {
      const { minutes, next } = this.ahead[place]!
      minutes.fill(Infinity)
      next.fill(-1)
      const following = places[place + 1]
      const after = this.ahead[place + 1]
      for (const step of places[place]!)
        for (const flag of flags[step]!) {
          const from = first[step * 4 + flag]!
          if (!after || !following) {
            minutes[from] = 0
            continue
          }
          for (let at = 0; at < following.length; at++) {
            const then = following[at]!
            const pass = passes[step * count + then]
            if (!pass) continue
            const to = first[then * 4 + leaves[then * 4 + flag]!]!
            const cost =
              ready[step * count + then]! + turn[then * 4 + flag]! + (place + 1) * slope[then]! - visit[then]!
            for (let set = 0; set < pass.length; set++) {
              const rest = after.minutes[to + set]!
              const known = pass[set]!
              if (known < 0 || rest === Infinity) continue
              if (cost + rest >= minutes[from + known]!) continue
              minutes[from + known] = cost + rest
              next[from + known] = to + set
            }
          }
          this.forgetDearer(minutes, from, this.slots.memory[step]!.length)
        }
    }
  }

  /** Of two that differ only in that one has done more, the one that is no cheaper for it is left. */
  private forgetDearer(minutes: Float64Array, from: number, bits: number): void {
    for (let set = 1; set < 1 << bits; set++)
      for (let bit = 1; bit <= set; bit <<= 1)
        if (set & bit && minutes[from + (set ^ bit)]! <= minutes[from + set]!) {
          minutes[from + set] = Infinity
          break
        }
  }

  /** Makes room for what is remembered, and works out how it is handed on from step to step. */
  private arrange(memory: number[][]): Slots {
    const { count, follows, needs } = this.stretch
    const first = new Int32Array(count * 4).fill(-1)
    let size = 0
    for (let step = 0; step < count; step++)
      for (const flag of this.flags[step]!) {
        first[step * 4 + flag] = size
        size += 1 << memory[step]!.length
      }
    this.stateOf = new Int32Array(size)
    first.forEach((from, state) => {
      if (from >= 0) this.stateOf.fill(state, from, from + (1 << memory[state >> 2]!.length))
    })
    this.passes = Array.from({ length: count * count }, (_, at) => {
      if (follows[at] === 0) return null
      const [step, then] = [Math.floor(at / count), at % count]
      const bitOf = (other: number) => {
        const bit = memory[step]!.indexOf(other)
        return bit < 0 ? 0 : 1 << bit
      }
      const later = memory[then]!
      return Int16Array.from({ length: 1 << later.length }, (_, set) => {
        let known = bitOf(then)
        for (let bit = 0; bit < later.length; bit++) {
          if (!(set & (1 << bit))) continue
          if (later[bit] === step || has(needs[step]!, later[bit]!)) return -1
          known |= bitOf(later[bit]!)
        }
        return known
      })
    })
    this.ahead = Array.from({ length: count }, () => ({ minutes: new Float64Array(size), next: new Int32Array(size) }))
    return { memory, first, size }
  }
}
