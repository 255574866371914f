import { benchOf } from './bench-of'
import type { Body } from '../pack/bodies'
import type { ClosingCheck } from '../pack/closing'
import type { FastenerGroup } from '../pack/fasteners'
import type { When } from '../pack/kinds'
import type { OperationSource } from '../pack/operations'
import type { SharedContent } from '../pack/pack'

/** What is looked at of a step: what it uses. */
export type UsedBy = Pick<OperationSource, 'tools' | 'cautions'> & Partial<Pick<OperationSource, 'refit' | 'activity'>>

/** What content is narrowed to: the steps there are by id, what they use, and what of a `when` is left. */
export interface NarrowTo {
  has: (stepId: string) => boolean
  steps: UsedBy[]
  /** Ladders that stay although no step of theirs is there. */
  named?: Set<string>
  /** Gives back what applies, with what is left of its `when`, or nothing. */
  keep: <T extends { when: When }>(thing: T) => T[]
}

/** As much of the shared content as a layout or a job has a use for; steps that it lacks are no longer named. */
export function narrow(content: SharedContent, { has, steps, keep, named = new Set() }: NarrowTo): SharedContent {
  const here = ({ with: steps }: { with?: string[] }) => !steps || steps.some(has)
  const ladders = content.ladders
    .filter(here)
    .map(ladder => ({ ...ladder, steps: ladder.steps.filter(has), rungs: ladder.rungs.filter(here) }))
    .filter(ladder => ladder.everywhere || named.has(ladder.id) || ladder.when.length + ladder.steps.length > 0)
  const used = (kind: 'tools' | 'cautions') =>
    new Set(
      steps.flatMap(step => [
        ...step[kind],
        ...(step.refit?.kind === 'mirror' ? (step.refit.override[kind] ?? []) : []),
      ]),
    )
  const tools = new Set([...used('tools'), ...ladders.flatMap(ladder => ladder.rungs.flatMap(rung => rung.tools))])
  const cautions = new Set([...used('cautions'), ...ladders.flatMap(ladder => ladder.cautions)])
  return {
    tools: content.tools.filter(tool => tools.has(tool.id)),
    cautions: content.cautions.filter(caution => cautions.has(caution.id)),
    outlines: content.outlines,
    ladders,
    bench: benchOf(content.bench, has, keep),
    bleeding: steps.some(step => step.activity?.kind === 'bleed') ? content.bleeding : [],
    closing: content.closing.flatMap(check => narrowCheck(check, has)),
    roadTest: content.roadTest,
    ...(content.causes ? { causes: content.causes } : {}),
    ...(content.symptoms ? { symptoms: content.symptoms } : {}),
    ...(content.control ? { control: { ...content.control, steps: content.control.steps.filter(has) } } : {}),
  }
}

/** A check that speaks of steps is there as long as one of them is. */
function narrowCheck(check: ClosingCheck, has: (stepId: string) => boolean): ClosingCheck[] {
  const steps = check.steps.filter(has)
  return check.steps.length > 0 && steps.length === 0 ? [] : [{ ...check, steps }]
}

/** A group whose board names only steps that are there. */
export function narrowBoard(group: FastenerGroup, has: (stepId: string) => boolean): FastenerGroup {
  if (!group.board) return group
  const { clearFor, places, ...board } = group.board
  return {
    ...group,
    board: {
      ...board,
      ...(clearFor !== undefined && has(clearFor) ? { clearFor } : {}),
      places: places.map(({ offWith, ...place }) =>
        offWith !== undefined && has(offWith) ? { ...place, offWith } : place,
      ),
    },
  }
}

/** A body whose board is offered only at steps that are there. */
export function narrowBody(body: Body, has: (stepId: string) => boolean): Body {
  return { ...body, steps: body.steps.filter(has) }
}
