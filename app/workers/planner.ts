import { expose, transfer } from 'comlink'
import { optionDifferences, planChoice, planWay, previewOf, reachOf } from '../../core/job'
import type { Choosing, Difference, JobStand, PlanAsked, PlannedWay, PlanPreview, Reach } from '../../core/job'
import type { Pack, Procedure } from '../../core/packs'
import { finishTimes, planJob } from '../../core/sequence'
import type { Calendar, FinishTimes, Past, Plan, PlanSetting, TimedStep } from '../../core/sequence'

/** What the planner can be asked. Callbacks hear what is found on the way. */
const planner = {
  /** Plans the choice first, then every other choice of every option, so that each can show what it would cost. */
  options(
    choosing: Choosing,
    chosen: (preview: PlanPreview) => void,
    differs: (found: { optionId: string; choiceId: string; difference: Difference }) => void,
  ): void {
    const current = planChoice(choosing)
    chosen(previewOf(current))
    for (const found of optionDifferences(choosing, current)) differs(found)
  },
  /** Works out an order. */
  plan(
    procedure: Procedure,
    setting: Partial<PlanSetting>,
    past: Past | null,
    onProgress: (share: number, minutes: number) => void,
  ): Plan {
    return planJob(procedure, setting, { ...(past ? { past } : {}), effort: { onProgress } })
  },
  /** Works the plan of a choice out: of a job that begins, or that goes on another way. */
  planned(procedure: Procedure, { setting, request }: Pick<PlanAsked, 'setting' | 'request'>): Plan {
    return planJob(procedure, setting, request)
  },
  /** Plans each way on from a sheet, with its parts on their day. */
  ways(
    choosing: Choosing & { stand: JobStand },
    option: string,
    wanted: { choice: string; arrivals: { partId: string; atMinutes: number }[] }[],
  ): PlannedWay[] {
    return wanted.map(way => planWay(choosing, option, way))
  },
  /** What coming back for each part in reach would take. */
  reach(procedure: Procedure, pack: Pack | null, stand: Parameters<typeof reachOf>[2] = null): Record<string, Reach> {
    return reachOf(procedure, pack, stand)
  },
  /** When it will be finished, drawn many times. */
  finish(steps: TimedStep[], calendar: Calendar | null): FinishTimes {
    const times = finishTimes(steps, calendar)
    return transfer(times, [times.buffer])
  },
}
export type Planner = typeof planner

expose(planner)
