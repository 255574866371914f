import type { CarPosition, Operation, Place, Procedure } from '../packs/types'
import type { PlanSetting } from './types'

/** A procedure with its ids turned into numbers, so that orders can be compared quickly. */
export interface Network {
  operations: Operation[]
  /** Minutes of each operation: the likely ones, but the high ones for work that wants two and has one. */
  minutes: number[]
  place: Place[]
  car: (CarPosition | 'either')[]
  /** Minutes to walk and to fetch tools for step `b` right after step `a`: row `a` (the last row is the start), column `b`. */
  readyMinutes: Float64Array
  walks: Float64Array
  /** Links into and out of each operation. */
  before: { from: number, waitMinutes: number }[][]
  after: number[][]
  positionMinutes: Record<CarPosition, number>
  setting: PlanSetting
}

export function buildNetwork(procedure: Procedure, setting: PlanSetting): Network {
  const index = new Map(procedure.operations.map((operation, position) => [operation.id, position]))
  const before: Network['before'] = procedure.operations.map(() => [])
  const after: number[][] = procedure.operations.map(() => [])
  for (const link of procedure.links) {
    const from = index.get(link.before)
    const to = index.get(link.after)
    if (from === undefined || to === undefined) continue
    before[to]!.push({ from, waitMinutes: link.waitMinutes })
    after[from]!.push(to)
  }
  return {
    operations: procedure.operations,
    minutes: procedure.operations.map(operation => minutesOf(operation, setting.helper)),
    place: procedure.operations.map(operation => operation.place),
    car: procedure.operations.map(operation => operation.car),
    ...readyTables(procedure.operations, setting),
    before,
    after,
    positionMinutes: { raised: procedure.positions.raised.minutes[1], ground: procedure.positions.ground.minutes[1] },
    setting,
  }
}

/** One pair of hands at work for two takes the long estimate. Common practice, no source. */
function minutesOf(operation: Operation, helper: boolean): number {
  return operation.minutes[operation.hands === 2 && !helper ? 2 : 1]
}

/** How to look a pair of steps up in the tables; `null` before the first step. */
export function pairIndex(network: Pick<Network, 'operations'>, last: number | null, step: number): number {
  const count = network.operations.length
  return (last ?? count) * count + step
}

function readyTables(operations: Operation[], setting: PlanSetting): Pick<Network, 'readyMinutes' | 'walks'> {
  const count = operations.length
  const readyMinutes = new Float64Array((count + 1) * count)
  const walks = new Float64Array((count + 1) * count)
  for (let last = 0; last <= count; last++) {
    const held = new Set(operations[last]?.tools)
    const place = operations[last]?.place ?? setting.start.place
    for (const [step, operation] of operations.entries()) {
      const index = last * count + step
      const fetched = new Set(operation.tools.filter(tool => !held.has(tool))).size
      walks[index] = operation.place === place ? 0 : setting.walkMinutes
      readyMinutes[index] = walks[index] + fetched * setting.toolMinutes
    }
  }
  return { readyMinutes, walks }
}
