import { byId } from '../../../base/by-id'
import { openingKinds, opensTheWay } from '../../../decisions/steps-again'
import type { Operation } from '../../../pack/operations'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'

/** Why nobody takes a step on another's word; `null` where that can be. */
export function whyOurs({ procedure }: JobState, operation: Operation): string | null {
  if (operation.phase === 'prove' || operation.safety) return 'The car is proved by whoever hands it over.'
  const { items, facts, groups } = procedure!
  if (Object.keys(operation.takesOff).some(id => byId(items, id)?.state === 'propped'))
    return 'It holds weight or keeps something from falling: see to that yourself.'
  const relied = facts.find(({ id, kind }) => kind === 'safety' && operation.gives.includes(id))
  if (relied) return `Others are safe only after it: see to that yourself. ${relied.because}`
  const named = [operation.figure, ...(operation.moreFigures ?? [])]
  const driven = groups.find(({ id, safety }) => safety && named.includes(id))
  return driven && Object.keys(operation.putsBack).length > 0
    ? `Somebody drives on ${driven.name.toLowerCase()}: they are tightened, or gone over, here.`
    : null
}

/** Why these steps cannot be taken over as done by others; `null` when they can. */
export function notToBeTakenOver(state: JobState, stepIds: readonly string[]): Refusal | null {
  const { procedure, plan } = state
  if (!procedure || !plan) return refuse('type', 'The job has no plan yet.')
  const over = new Set<string>()
  for (const [index, stepId] of stepIds.entries()) {
    const path = `payload.stepIds.${index}`
    const operation = byId(procedure.operations, stepId)
    if (!operation || !plan.order.includes(stepId)) return refuse(path, `The plan of this job has no step "${stepId}".`)
    if (state.done[stepId] || over.has(stepId)) return refuse(path, 'This step is done already.')
    const ours = whyOurs(state, operation)
    if (ours !== null) return refuse(path, `${operation.title}: ${ours}`)
    const first = inTheWay(state, stepId).find(({ id }) => !over.has(id))
    if (first) return refuse(path, `First: ${first.title}. Without it this cannot have been done.`)
    over.add(stepId)
  }
  return null
}

/**
 * Steps not done that must have been done where this one was: what takes off or opens what is in its way.
 * What only keeps somebody safe is not concluded: nobody knows how they did it.
 */
function inTheWay(state: JobState, stepId: string): Operation[] {
  return state.procedure!.links.flatMap(link => {
    if (link.after !== stepId || !openingKinds.has(link.kind) || link.kind === 'safety' || link.kind === 'reaction')
      return []
    const before = byId(state.procedure!.operations, link.before)
    const isOpen = before && !state.done[before.id] && (opensTheWay(before) || before.undoes !== undefined)
    return isOpen && whyOurs(state, before) === null ? [before] : []
  })
}

/** These steps with all that must have been done before them, in the order of the plan. */
export function withWhatIsBefore(state: JobState, stepIds: readonly string[]): string[] {
  const found = new Set<string>()
  const reach = (id: string) => {
    if (found.has(id)) return
    for (const { id: before } of inTheWay(state, id)) reach(before)
    found.add(id)
  }
  for (const id of stepIds) reach(id)
  const order = new Map(state.plan!.order.map((id, index) => [id, index]))
  return [...found].sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0))
}
