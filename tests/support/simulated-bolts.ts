import type { JointState, TighteningSample } from '../../core/fasteners'
import { Chance } from '../../stand-ins/chance'
import { disturbedGroup, DisturbedWrench } from '../../stand-ins/wrench/disturbances'
import type { Disturbance, GroupDisturbance } from '../../stand-ins/wrench/disturbances'
import { anyGroup, faults, SimulatedBolt } from '../../stand-ins/wrench/joint-model'
import type { Fault, GroupModel } from '../../stand-ins/wrench/joint-model'

export interface TightenedBolt {
  fault: Fault
  samples: TighteningSample[]
  targetNm: number
  siblings: TighteningSample[][]
  /** What who holds the wrench says of the joint. */
  state: JointState
  /** Where yield began, in degrees as the wrench counts them. */
  yieldedAtDeg: number | null
  rundownDeg: number
}

/** Faults that show once the bolt begins to give. */
const GIVES: readonly Fault[] = ['yielding', 'stripped', 'sheared']
const STEPS_DEG = [0.5, 1, 1, 2]
const QUIET: GroupDisturbance = {
  which: [],
  prevailingNm: 0,
  insertAtShare: 0,
  lockerNm: 0,
  drawnNm: 0,
  drawnDeg: 1,
  stepDeg: 1,
  stepNm: 1,
}

/** Turns a bolt until it is at its target, or a good way past where that should have been. */
function tightenOne(
  group: GroupModel,
  fault: Fault,
  chance: Chance,
  stepDeg: number,
  at: GroupDisturbance,
  place: number,
): { samples: TighteningSample[]; yieldedAtDeg: number | null } {
  const bolt = new SimulatedBolt(group, fault, chance)
  const wrench = at.which.length > 0 ? new DisturbedWrench(bolt, group, at, chance, place) : null
  const samples: TighteningSample[] = []
  let yieldedAtDeg: number | null = null
  const limit = group.rundownDeg * 1.1 + (6 * group.targetNm) / group.slopeNmPerDeg
  while (bolt.angleDeg < limit) {
    const byDeg = stepDeg * (0.7 + 0.6 * chance.next())
    const said = wrench ? wrench.turn(byDeg) : [bolt.turn(byDeg)]
    samples.push(...said)
    if (bolt.yieldedAtDeg !== null) yieldedAtDeg ??= samples.at(-1)?.angleDeg ?? null
    if (said.some(sample => sample.torqueNm >= group.targetNm)) break
  }
  return { samples, yieldedAtDeg }
}

export interface BoltsWanted {
  /** Fewest and most good bolts known beforehand. */
  siblings?: [number, number]
  /** What every second bolt may have. */
  wrong?: readonly Fault[]
  disturbed?: readonly Disturbance[]
}

/** Groups of bolts by chance, each with some good siblings and one bolt to be judged. */
export function* simulatedBolts(
  count: number,
  seed: number,
  { siblings = [1, 7], wrong = faults.slice(1), disturbed = [] }: BoltsWanted = {},
): Generator<TightenedBolt> {
  const chance = new Chance(seed)
  for (let index = 0; index < count; index++) {
    const group = anyGroup(chance)
    const step = chance.pick(STEPS_DEG)
    const at = disturbed.length > 0 ? disturbedGroup(group, disturbed, chance) : QUIET
    const known = siblings[0] + Math.floor(chance.next() * (siblings[1] - siblings[0] + 1))
    const curves = Array.from(
      { length: known },
      (_, place) => tightenOne(group, 'none', chance, step, at, place).samples,
    )
    const drawn: Fault = index % 2 === 0 ? 'none' : chance.pick(wrong)
    const turned = tightenOne(group, drawn, chance, step, at, known)
    // A bolt that reaches its target on a heavy thread before it begins to give is as good as any.
    const fault = GIVES.includes(drawn) && turned.yieldedAtDeg === null ? 'none' : drawn
    yield {
      fault,
      targetNm: group.targetNm,
      siblings: curves,
      state: {
        locking: disturbed.includes('prevailing') || disturbed.includes('threadlocker'),
        drawn: disturbed.includes('drawn'),
      },
      rundownDeg: group.rundownDeg,
      ...turned,
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
