import { byId } from '../../base/by-id'
import type { JobState } from '../chapters'

/** A rung of a ladder that falls away without a tool, and what comes in its place. */
export interface RungLost {
  ladder: string
  rung: string
  minutes: number
  /** The next rung that can be tried with what is in the house; `null` where there is none. */
  next: { title: string; minutes: number } | null
}

export interface ToolNeed {
  /** Steps of the plan that use it. */
  steps: string[]
  /** Days from its first use to its last. */
  days: number
  /** Minutes that the job takes longer without it; `null` where it is not done without. */
  withoutMinutes: number | null
  /** How it is done without, or why it is not. */
  because: string
  /** What goes wrong more easily. */
  risk: string | null
  rungs: RungLost[]
}

const DAY = 1440

/** What a tool is wanted for on this job: the steps not done yet, and the ladders that may be needed. */
export function toolNeed(state: JobState, toolId: string, missing: string[]): ToolNeed {
  const procedure = state.procedure!
  const tool = byId(procedure.tools, toolId)
  const uses = new Set(
    procedure.operations
      .filter(operation => operation.tools.includes(toolId) && !state.done[operation.id])
      .map(operation => operation.id),
  )
  const planned = (state.plan?.steps ?? []).filter(step => uses.has(step.id))
  const days =
    planned.length === 0 ? 1 : Math.max(1, Math.ceil((planned.at(-1)!.finishMinutes - planned[0]!.startMinutes) / DAY))
  const gone = new Set([...missing, toolId])
  return {
    steps: planned.map(step => step.id),
    days,
    withoutMinutes: tool?.without ? tool.without.minutes * uses.size : null,
    because: tool?.without?.because ?? tool?.needed ?? 'Nobody has told a way without it.',
    risk: tool?.without?.risk ?? null,
    rungs: procedure.ladders.flatMap(ladder =>
      ladder.rungs.flatMap((rung, index): RungLost[] => {
        if (!rung.tools.includes(toolId)) return []
        const next = ladder.rungs.slice(index + 1).find(other => !other.tools.some(id => gone.has(id)))
        return [
          {
            ladder: ladder.title,
            rung: rung.title,
            minutes: rung.minutes ?? 0,
            next: next ? { title: next.title, minutes: next.minutes ?? 0 } : null,
          },
        ]
      }),
    ),
  }
}

/** Tools of the ladders that no step of the plan uses: wanted only in case. */
export function toolsInCase(state: JobState): string[] {
  const procedure = state.procedure!
  const used = new Set(procedure.operations.flatMap(operation => operation.tools))
  const onRungs = procedure.ladders.flatMap(ladder => ladder.rungs.flatMap(rung => rung.tools))
  return [...new Set(onRungs)].filter(id => !used.has(id) && byId(procedure.tools, id))
}
