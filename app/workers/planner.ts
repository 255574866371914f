import { transfer } from 'comlink'
import { optionDifferences, planChoice, planWay, previewOf, reachOf } from '../../core/job'
import type { Choosing, Difference, JobStand, PlanAsked, PlannedWay, PlanPreview, Reach } from '../../core/job'
import type { Pack, Procedure } from '../../core/packs'
import { finishOdds, foretoldBefore, helperHour, planJob, provePlan } from '../../core/sequence'
import type { Foretold, HelperHour, JobWorked } from '../../core/sequence'
import type {
  Calendar,
  FinishTimes,
  OddsSetting,
  Past,
  Plan,
  PlanSetting,
  ProofRequest,
  TimedStep,
} from '../../core/sequence'
import { begin } from './begin'

/** What another choice would change. */
export interface OptionDifference {
  optionId: string
  choiceId: string
  difference: Difference
}

/** What the planner can be asked. Callbacks hear what is found on the way. */
const planner = {
  /** Plans the choice first, then every other choice of every option, so that each can show what it would cost. */
  options(
    choosing: Choosing,
    chosen: (preview: PlanPreview) => void,
    differs: (found: OptionDifference) => void,
  ): { chosen: PlanPreview; differences: OptionDifference[] } {
    const current = planChoice(choosing)
    const preview = previewOf(current)
    chosen(preview)
    const differences: OptionDifference[] = []
    for (const found of optionDifferences(choosing, current)) {
      differences.push(found)
      differs(found)
    }
    return { chosen: preview, differences }
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
  /** Looks for a shorter order than a plan has, and proves how good the best one is. Told of the share that is done, and of what is proven so far. */
  prove(
    procedure: Procedure,
    setting: Partial<PlanSetting>,
    request: Omit<ProofRequest, 'effort'>,
    onProgress: (share: number, lowerBoundMinutes: number) => void,
  ): Plan {
    return provePlan(procedure, setting, {
      ...request,
      effort: { onProgress: (share, minutes) => void onProgress(share, minutes) },
    })
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
  /** When it will be finished, drawn many times, by what is known of this car. */
  finish(
    steps: TimedStep[],
    calendar: Calendar | null,
    known: OddsSetting,
  ): { times: FinishTimes; medianLeft: number } {
    const { minutes } = finishOdds({ steps, calendar }, known)
    // What is left to do at even odds, whatever the clock and the post do.
    const here = steps.map(step => ({ ...step, notBefore: 0 }))
    const troubles = (known.troubles ?? []).map(trouble => ({ ...trouble, partTomorrow: 0 }))
    const medianLeft = finishOdds({ steps: here, calendar: null }, { ...known, troubles }).quantile(0.5)
    return transfer({ times: minutes, medianLeft }, [minutes.buffer])
  },
  /** When a second pair of hands pays the most, and what an hour of it saves. */
  helperHour(
    procedure: Procedure,
    setting: Partial<PlanSetting>,
    order: string[],
    past: Past | null,
  ): HelperHour | null {
    return helperHour(procedure, setting, order, past)
  },
  /** What would have been foretold of each finished job by those before it. */
  foretold(jobs: JobWorked[]): Foretold[] {
    return foretoldBefore(jobs)
  },
}
export type Planner = typeof planner

begin(planner)
