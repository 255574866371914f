import { expandPack } from '../../packs/expand-pack'
import { operationOrder } from '../../sequence/move-step'
import { planJob } from '../../sequence/plan-job'
import { switchBarrier } from '../chapters/plan/switch-barrier'
import type { JobStand } from '../chapters/plan/switch-barrier'
import { pastWithin } from './option-differences'
import type { Choosing } from './option-differences'

/** One choice of an option planned through. */
export interface PlannedWay {
  choice: string
  /** Minutes of the wall clock from now to the finish, and minutes of work with walking and tools. */
  finishMinutes: number
  labourMinutes: number
  /** Operations in the order found. */
  order: string[]
  barred: string | null
}

/** A way to be planned: a choice, and when its own parts are there. */
export interface WayAsked {
  choice: string
  arrivals: { partId: string; atMinutes: number }[]
}

/** A way on from the steps done, with its own parts on their way. */
export function planWay(
  { pack, options, setting, past, stand }: Choosing & { stand: JobStand },
  option: string,
  { choice, arrivals }: WayAsked,
): PlannedWay {
  const procedure = expandPack(pack, { ...options, [option]: choice })
  const barred = switchBarrier(stand, procedure)
  if (barred !== null) return { choice, finishMinutes: 0, labourMinutes: 0, order: [], barred }
  const kept = past && pastWithin(past, procedure)
  const used = new Set(procedure.operations.flatMap(operation => Object.keys(operation.parts)))
  const others = (setting.arrivals ?? []).filter(entry => !arrivals.some(own => own.partId === entry.partId))
  const all = [...others, ...arrivals].filter(entry => used.has(entry.partId))
  const plan = planJob(
    procedure,
    { ...setting, helper: procedure.hands === 2, arrivals: all },
    kept ? { past: kept } : {},
  )
  const from = kept?.steps.at(-1)?.finishMinutes ?? 0
  return {
    choice,
    finishMinutes: plan.steps.at(-1)!.finishMinutes - from,
    labourMinutes: plan.totals.workMinutes + plan.totals.setupMinutes,
    order: operationOrder(plan),
    barred: null,
  }
}
