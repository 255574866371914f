import type { TighteningSample } from '../../core/fasteners'
import { Chance } from '../../stand-ins/chance'
import { anyGroup, faults, SimulatedBolt } from '../../stand-ins/wrench/joint-model'
import type { Fault, GroupModel } from '../../stand-ins/wrench/joint-model'

export interface TightenedBolt {
  fault: Fault
  samples: TighteningSample[]
  targetNm: number
  siblings: TighteningSample[][]
  /** Where yield began, in degrees from the first sample. */
  yieldedAtDeg: number | null
  rundownDeg: number
}

const STEPS_DEG = [0.5, 1, 1, 2]

/** Turns a bolt until it is at its target, or a good way past where that should have been. */
function tightenOne(
  group: GroupModel,
  fault: Fault,
  chance: Chance,
  stepDeg: number,
): { samples: TighteningSample[]; yieldedAtDeg: number | null } {
  const bolt = new SimulatedBolt(group, fault, chance)
  const samples: TighteningSample[] = []
  const limit = group.rundownDeg * 1.1 + (6 * group.targetNm) / group.slopeNmPerDeg
  while (bolt.angleDeg < limit) {
    const sample = bolt.turn(stepDeg * (0.7 + 0.6 * chance.next()))
    samples.push(sample)
    if (sample.torqueNm >= group.targetNm) break
  }
  return { samples, yieldedAtDeg: bolt.yieldedAtDeg }
}

/**
 * Groups of bolts by chance, each with some good siblings and one bolt to be judged.
 * @param siblings fewest and most good bolts known beforehand
 * @param wrong what every second bolt may have
 */
export function* simulatedBolts(
  count: number,
  seed: number,
  siblings: [number, number] = [1, 7],
  wrong: readonly Fault[] = faults.slice(1),
): Generator<TightenedBolt> {
  const chance = new Chance(seed)
  for (let index = 0; index < count; index++) {
    const group = anyGroup(chance)
    const step = chance.pick(STEPS_DEG)
    const known = siblings[0] + Math.floor(chance.next() * (siblings[1] - siblings[0] + 1))
    const curves = Array.from({ length: known }, () => tightenOne(group, 'none', chance, step).samples)
    const fault: Fault = index % 2 === 0 ? 'none' : chance.pick(wrong)
    yield {
      fault,
      targetNm: group.targetNm,
      siblings: curves,
      rundownDeg: group.rundownDeg,
      ...tightenOne(group, fault, chance, step),
    }
  }
}

/** What each fault is to be called. A thread that strips may be caught while it still yields. */
export const rightCalls: Record<Fault, readonly string[]> = {
  none: ['good'],
  'cross-threaded': ['drag'],
  dirt: ['drag'],
  bottomed: ['early'],
  'too-long': ['early'],
  soft: ['soft'],
  'trapped-plate': ['soft'],
  yielding: ['yielding'],
  stripped: ['gave-way'],
  sheared: ['gave-way'],
}
