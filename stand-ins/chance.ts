/** A seeded source of chance (mulberry32): the same seed gives the same bolts. */
export class Chance {
  constructor(private state: number) {}

  /** Evenly between 0 and 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }

  between(low: number, high: number): number {
    return low + (high - low) * this.next()
  }

  /** Normal with mean 0 and standard deviation 1 (Box–Muller). */
  normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next())
  }

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.next() * from.length)]!
  }
}
