/** A queue that gives the item of least rank first; of equal ranks the one pushed last, which goes deep before it goes wide. */
export class Heap<T> {
  private readonly items: T[] = []
  private readonly ranks: number[] = []
  private readonly turns: number[] = []
  private turn = 0

  get size(): number {
    return this.items.length
  }

  leastRank(): number {
    return this.ranks[0] ?? Infinity
  }

  push(item: T, rank: number): void {
    this.items.push(item)
    this.ranks.push(rank)
    this.turns.push(this.turn++)
    let at = this.items.length - 1
    while (at > 0) {
      const parent = (at - 1) >> 1
      if (!this.sooner(at, parent)) break
      this.swap(at, parent)
      at = parent
    }
  }

  pop(): T | undefined {
    if (this.items.length === 0) return undefined
    const top = this.items[0]
    this.swap(0, this.items.length - 1)
    this.items.pop()
    this.ranks.pop()
    this.turns.pop()
    for (let at = 0; ;) {
      let least = at
      for (const child of [2 * at + 1, 2 * at + 2])
        if (child < this.items.length && this.sooner(child, least)) least = child
      if (least === at) return top
      this.swap(at, least)
      at = least
    }
  }

  private sooner(a: number, b: number): boolean {
    return this.ranks[a]! < this.ranks[b]! || (this.ranks[a] === this.ranks[b] && this.turns[a]! > this.turns[b]!)
  }

  private swap(a: number, b: number): void {
    ;[this.items[a], this.items[b]] = [this.items[b]!, this.items[a]!]
    ;[this.ranks[a], this.ranks[b]] = [this.ranks[b]!, this.ranks[a]!]
    ;[this.turns[a], this.turns[b]] = [this.turns[b]!, this.turns[a]!]
  }
}
