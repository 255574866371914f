import type { Pack, Procedure } from '../../pack/pack'
import type { ReachablePart } from '../../pack/sheets'
import type { RenewDecision } from '../chapters/renewals'

/** What is decided of a part, and by which way it is renewed. */
export interface PartDecided {
  part: ReachablePart
  decision: RenewDecision
  /** A choice of the part's option; without one the usual way, or the way it is planned by. */
  way?: string
}

/** The choices of a part's option that renew it, the usual one first. */
export const renewingChoices = ({ option }: Pick<ReachablePart, 'option'>): string[] =>
  option ? [option.choice, ...(option.others ?? [])] : []

/** The choice by which the plan renews a part; `null` where it leaves it, or no option of it decides that. */
export function renewedBy(
  { options, operations }: Pick<Procedure, 'options' | 'operations'>,
  { option }: Pick<ReachablePart, 'option'>,
): string | null {
  const chosen = option && options[option.id]
  if (chosen === undefined || !renewingChoices({ option }).includes(chosen)) return null
  // Chosen beside another choice that leaves no room for it, it is not done.
  return operations.some(({ id }) => option!.steps.includes(id)) ? chosen : null
}

/** The options of a layout with one chosen otherwise, and whatever goes with that. */
export function withChoice(
  pack: Pick<Pack, 'options' | 'bench'>,
  options: Record<string, string>,
  optionId: string,
  choiceId: string,
): Record<string, string> {
  const renews = pack.options.find(({ id }) => id === optionId)?.renews
  const part = pack.bench.reachable.find(({ id }) => id === renews)
  const goesWith = part && renewingChoices(part).includes(choiceId) ? (part.option?.goesWith ?? {}) : {}
  const asked = Object.entries(goesWith).filter(([id]) => pack.options.some(option => option.id === id))
  return { ...options, ...Object.fromEntries(asked), [optionId]: choiceId }
}

/** Whether the plan renews a part: by an option of it, or because its work uses the part up anyway. */
export const isPlanned = (procedure: Procedure, part: ReachablePart): boolean =>
  part.option && part.option.id in procedure.options
    ? renewedBy(procedure, part) !== null
    : procedure.parts.some(entry => entry.id === part.part)

/**
 * Options that have to be chosen otherwise, so that the plan does what is decided: the work of what is renewed is in it, of what is left it
 * is not. What the plan does already is not named.
 */
export function choicesFor(procedure: Procedure, decided: readonly PartDecided[]): Record<string, string> {
  const wanted = Object.assign({}, ...decided.map(each => wantedFor(procedure, each))) as Record<string, string>
  return Object.fromEntries(
    Object.entries(wanted).filter(([id, choice]) => id in procedure.options && procedure.options[id] !== choice),
  )
}

function wantedFor(procedure: Procedure, { part, decision, way }: PartDecided): Record<string, string> {
  const { option } = part
  if (!option) return {}
  const now = renewedBy(procedure, part)
  if (decision === 'leave') return now !== null && option.left !== undefined ? { [option.id]: option.left } : {}
  return { ...option.goesWith, [option.id]: way ?? now ?? option.choice }
}
