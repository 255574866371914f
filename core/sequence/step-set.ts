/** A set of step indices, 32 to a word. */
export type StepSet = Uint32Array

export function emptySet(count: number): StepSet {
  return new Uint32Array(Math.max(1, Math.ceil(count / 32)))
}

export function setOf(count: number, steps: ArrayLike<number>): StepSet {
  const set = emptySet(count)
  for (let index = 0; index < steps.length; index++) add(set, steps[index]!)
  return set
}

export function has(set: StepSet, step: number): boolean {
  return (set[step >>> 5]! & (1 << (step & 31))) !== 0
}

export function add(set: StepSet, step: number): void {
  set[step >>> 5]! |= 1 << (step & 31)
}

export function addAll(set: StepSet, other: StepSet): void {
  for (let word = 0; word < set.length; word++) set[word]! |= other[word]!
}

/** Whether every member of `part` is in `whole`. */
export function holdsAll(whole: StepSet, part: StepSet): boolean {
  for (let word = 0; word < part.length; word++) if ((part[word]! & ~whole[word]!) !== 0) return false
  return true
}

/** Whether the two have a member in common. */
export function meets(one: StepSet, other: StepSet): boolean {
  for (let word = 0; word < one.length; word++) if ((one[word]! & other[word]!) !== 0) return true
  return false
}

/** A string that is the same for the same set. */
export function keyOf(set: StepSet): string {
  let key = ''
  for (const word of set) key += String.fromCharCode(word & 0xffff, word >>> 16)
  return key
}

/** For each step everything that must be done before it, links followed back to the start. */
export function ancestorsOf(count: number, before: ArrayLike<number>[], topological: ArrayLike<number>): StepSet[] {
  const sets: StepSet[] = Array.from({ length: count }, () => emptySet(count))
  for (let position = 0; position < count; position++) {
    const step = topological[position]!
    const links = before[step]!
    for (let index = 0; index < links.length; index++) {
      add(sets[step]!, links[index]!)
      addAll(sets[step]!, sets[links[index]!]!)
    }
  }
  return sets
}

/** Seen from the other side: for each step every one whose set it is in. */
export function turned(sets: StepSet[]): StepSet[] {
  const count = sets.length
  const other = sets.map(() => emptySet(count))
  for (let step = 0; step < count; step++)
    for (let member = 0; member < count; member++) if (has(sets[step]!, member)) add(other[member]!, step)
  return other
}
