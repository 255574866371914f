import { byId } from '../../../base/by-id'
import type { Link, Operation } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { spread, UNFORESEEN } from './added-step'

/** A step done in two goes: what comes first, and the rest, each with the minutes that it likely takes. */
export interface SplitStep {
  stepId: string
  /** The id of what comes first; the rest keeps that of the step, and what it does to the car. */
  firstId: string
  first: { title: string; minutes: number }
  rest: { title: string; minutes: number }
}

/** The procedure with a step in two: nothing is off, open or true before the rest is done. */
export function withSplit(procedure: Procedure, { stepId, firstId, first, rest }: SplitStep): Procedure {
  const step = byId(procedure.operations, stepId)
  if (!step) return procedure
  const { phase, place, car, hands, tools, needs, cautions, aloneWay, dirt } = step
  const begun: Operation = {
    id: firstId,
    module: UNFORESEEN,
    asTold: true,
    title: first.title,
    phase,
    place,
    car,
    minutes: spread(first.minutes),
    hands,
    tools,
    needs,
    cautions,
    gives: [],
    ends: [],
    takesOff: {},
    putsBack: {},
    readings: [],
    parts: {},
    ...(aloneWay ? { aloneWay } : {}),
    ...(dirt ? { dirt } : {}),
  }
  const { learned: _learned, ...whole } = step
  const own: Link = {
    before: firstId,
    after: stepId,
    kind: 'physical',
    because: 'It is the first part of the same work.',
    waitMinutes: 0,
  }
  return {
    ...procedure,
    operations: procedure.operations.flatMap(operation =>
      operation.id === stepId
        ? [begun, { ...whole, title: rest.title, minutes: spread(rest.minutes), asTold: true as const }]
        : [operation],
    ),
    links: [...procedure.links.flatMap(link => (link.after === stepId ? into(link, firstId) : [link])), own],
  }
}

/** What the step waits for, its first part waits for; what it follows on at once, the first part follows. */
function into(link: Link, firstId: string): Link[] {
  const { atOnce, ...loose } = link
  return [{ ...link, after: firstId }, atOnce ? loose : link]
}

/** Why a step cannot be done in two goes; `null` when it can. */
export function notToBeSplit({ procedure, plan, done }: JobState, { stepId, firstId }: SplitStep): Refusal | null {
  if (!procedure || !plan) return refuse('type', 'The job has no plan yet.')
  const operation = byId(procedure.operations, stepId)
  if (!operation) return refuse('payload.stepId', `The work of this job has no step "${stepId}".`)
  if (done[stepId]) return refuse('payload.stepId', 'This step is done already.')
  if (byId(procedure.operations, firstId)) return refuse('payload.firstId', 'The plan has such a step already.')
  return null
}
