import { CLEAN, DIRTY, EITHER } from '../instance'
import type { Instance } from '../instance'
import { add, ancestorsOf, emptySet, has, meets, setOf, turned } from '../step-set'
import type { StepSet } from '../step-set'

/** How mechanic and car may come to a stretch. */
export interface Entry {
  /** The step of the job done last; the count of steps where there is none. */
  row: number
  /** See {@link flagsAfter}. */
  flags: number
}

/**
 * Steps of a job that are looked at by themselves, numbered from 0: what stands before them is done, what comes after is left aside, and what
 * may be done on either side is left out, which never makes an order longer.
 */
export interface Stretch {
  instance: Instance
  count: number
  /** By own number: the step of the job. */
  steps: Int32Array
  /** By own number: everything of the stretch that must be done before. */
  needs: StepSet[]
  /** Which must come before which, without those that follow from others. */
  links: [before: number, after: number][]
  /** By own number: the first and the last place in the order that it can have. */
  earliest: Int32Array
  latest: Int32Array
  /** Row by row whether one may stand directly after the other. */
  follows: Uint8Array
  entries: Entry[]
  /** Row by row minutes of walking and tools, entries after the steps. */
  ready: Float64Array
  /** Steps of the same number are done at the same place with the same tools. */
  alike: Int32Array
}

/** Whether the car is up and the hands are dirty after a step, as one number from 0 to 3. */
export function flagsAfter({ car, hands }: Instance, flags: number, step: number): number {
  const height = car[step] === EITHER ? flags >> 1 : car[step]!
  const dirty = hands[step] === 0 ? flags & 1 : hands[step] === DIRTY ? 1 : 0
  return height * 2 + dirty
}

/** Minutes of bringing the car up or down and of washing hands before a step. */
export function turnMinutes(instance: Instance, flags: number, step: number): number {
  const wanted = instance.car[step]!
  return (
    (wanted === EITHER || wanted === flags >> 1 ? 0 : instance.positionMinutes[wanted]!) +
    ((flags & 1) === 1 && instance.hands[step] === CLEAN ? instance.washMinutes : 0)
  )
}

/** The job as one stretch. */
export function wholeJob(instance: Instance): Stretch {
  const entry = { row: instance.count, flags: instance.startCar * 2 + (instance.startDirty ? 1 : 0) }
  return stretchOf(
    instance,
    Array.from({ length: instance.count }, (_, step) => step),
    [entry],
  )
}

/** Fewer steps than this are no stretch of their own. */
const SHORTEST = 12
/** A step is a gate where no more may be done on either side of it: of a whole job, and of a stretch that is too long. */
export const NARROW = 6
export const LESS_NARROW = 14

/**
 * Cuts work at its gates: steps that nearly all others come before or after. A stretch ends with its gate, and the next one goes on from there;
 * what may be done on either side of a gate is left out. One stretch where there is no gate.
 * @param steps of the job; the others are left out
 * @param entries how the first of them may be come to
 * @param narrow how many steps may be done on either side of a gate at the most
 */
export function cutWork(instance: Instance, steps: number[], entries: Entry[], narrow = NARROW): Stretch[] {
  const ancestors = ancestorsOf(instance.count, instance.before, instance.topological)
  const inside = setOf(instance.count, steps)
  const sizeInside = (set: StepSet) => sizeOf(set.map((word, at) => word & inside[at]!))
  const descendants = turned(ancestors)
  const gates = gatesOf(
    steps.map(step => {
      const before = sizeInside(ancestors[step]!)
      return { step, before, loose: steps.length - 1 - before - sizeInside(descendants[step]!) }
    }),
    steps.length,
    narrow,
    (gate, later) => has(ancestors[later]!, gate),
  )
  return [...gates, null].map((gate, index) => {
    const from = gates[index - 1] ?? null
    const between = steps.filter(
      step =>
        (from === null || has(descendants[from]!, step)) &&
        (gate === null || step === gate || has(ancestors[gate]!, step)),
    )
    return stretchOf(instance, between, from === null ? entries : entriesAfter(instance, [from]))
  })
}

interface Gate {
  step: number
  /** How many steps come before it at least, and how many may be done on either side of it. */
  before: number
  loose: number
}

/** The narrowest gates that lie apart, in their order; each comes before the next one. */
function gatesOf(
  found: Gate[],
  count: number,
  narrow: number,
  comesBefore: (gate: number, later: number) => boolean,
): number[] {
  const taken: Gate[] = []
  const narrowest = found
    .filter(gate => gate.loose <= narrow && gate.before >= SHORTEST && gate.before <= count - SHORTEST)
    .sort((a, b) => a.loose - b.loose || a.before - b.before)
  for (const gate of narrowest)
    if (
      taken.every(
        other =>
          Math.abs(other.before - gate.before) >= SHORTEST &&
          (comesBefore(other.step, gate.step) || comesBefore(gate.step, other.step)),
      )
    )
      taken.push(gate)
  return taken.sort((a, b) => a.before - b.before).map(gate => gate.step)
}

/** Every way in which mechanic and car can be left by one of these steps. */
export const entriesAfter = (instance: Instance, steps: number[]): Entry[] =>
  steps.flatMap(row =>
    [...new Set([0, 1, 2, 3].map(flags => flagsAfter(instance, flags, row)))].map(flags => ({ row, flags })),
  )

function sizeOf(set: StepSet): number {
  let size = 0
  for (let word of set) for (; word !== 0; word &= word - 1) size++
  return size
}

function stretchOf(instance: Instance, steps: number[], entries: Entry[]): Stretch {
  const count = steps.length
  const ancestors = ancestorsOf(instance.count, instance.before, instance.topological)
  const needs = steps.map(step => {
    const set = emptySet(count)
    steps.forEach((other, own) => {
      if (has(ancestors[step]!, other)) add(set, own)
    })
    return set
  })
  const opens = turned(needs)
  const between = (before: number, after: number) => meets(opens[before]!, needs[after]!)
  const own = steps.map((_, number) => number)
  const links = own.flatMap(after =>
    own
      .filter(before => has(needs[after]!, before) && !between(before, after))
      .map(before => [before, after] as [number, number]),
  )
  const follows = new Uint8Array(count * count)
  for (const a of own)
    for (const b of own)
      if (a !== b && !has(needs[a]!, b) && !between(a, b) && mayAdjoin(instance, steps, steps[a]!, steps[b]!))
        follows[a * count + b] = 1
  const rows = [...steps, ...entries.map(entry => entry.row)]
  const kinds = new Map<string, number>()
  return {
    instance,
    count,
    steps: Int32Array.from(steps),
    needs,
    links,
    earliest: Int32Array.from(needs, sizeOf),
    latest: Int32Array.from(opens, set => count - 1 - sizeOf(set)),
    follows,
    entries,
    ready: Float64Array.from(
      rows.flatMap(row => steps.map(step => instance.readyMinutes[row * instance.count + step]!)),
    ),
    alike: Int32Array.from(steps, step => {
      const kind = `${instance.place[step]} ${instance.tools[step]!.toSorted().join(' ')}`
      if (!kinds.has(kind)) kinds.set(kind, kinds.size)
      return kinds.get(kind)!
    }),
  }
}

/** Whether nothing binds either of two steps to a third one of the stretch. */
function mayAdjoin(
  { directlyAfter, directlyBefore }: Instance,
  steps: number[],
  before: number,
  after: number,
): boolean {
  const [leader, follower] = [directlyAfter[after]!, directlyBefore[before]!]
  return (leader === before || !steps.includes(leader)) && (follower === after || !steps.includes(follower))
}
