import type { Link, Operation } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import { addedSource, addedThings, isTakenApart } from '../../../packs/added-work'
import type { AddedStep } from '../../../packs/added-work'
import { mirrorOperation, refitId } from '../../../packs/mirror'

export { spread } from '../../../packs/added-work'
export type { AddedStep, AddedThing } from '../../../packs/added-work'

/** The module of steps that no layout holds. */
export const UNFORESEEN = 'unforeseen'

const IN_THE_WAY = 'It is in the way of that on this car.'

/** The ids of the steps that an added one brings with it. */
export const stepsOfAdded = ({ stepId, refit }: AddedStep): string[] => (refit ? [stepId, refitId(stepId)] : [stepId])

/**
 * The procedure with a step that only this car needs, what it takes off, the step that undoes it, and every link between them and the rest.
 * What it is tied to and this procedure does not hold is passed over.
 */
export function withAddedStep(procedure: Procedure, added: AddedStep): Procedure {
  const { when: _when, refit: _refit, ...source } = addedSource(added)
  const strip: Operation = { ...source, module: UNFORESEEN, asTold: true }
  const mirrored = mirrorOperation(addedSource(added), UNFORESEEN)
  const refit: Operation | null = mirrored && { ...mirrored, asTold: true }
  const operations = [...procedure.operations, strip, ...(refit ? [refit] : [])]
  const { items, groups } = addedThings(added)
  return {
    ...procedure,
    operations,
    items: [...procedure.items, ...items],
    groups: [...procedure.groups, ...groups],
    links: [...procedure.links, ...linksOf(procedure, added, refit)],
  }
}

function linksOf(
  { operations, links }: Procedure,
  { stepId, phase, after, before }: AddedStep,
  refit: Operation | null,
): Link[] {
  const there = new Set(operations.map(({ id }) => id))
  const link = (from: string, to: string, because: string, kind: Link['kind'] = 'access'): Link[] =>
    there.has(from) || there.has(to) ? [{ before: from, after: to, kind, because, waitMinutes: 0 }] : []
  const strips = [
    ...after.flatMap(id => link(id, stepId, 'It cannot be got at before.')),
    ...before.flatMap(id => link(stepId, id, IN_THE_WAY)),
  ]
  if (!refit) return strips
  const undone = (id: string) => operations.filter(({ undoes }) => undoes === id).map(entry => entry.id)
  const proving = isTakenApart(phase) ? operations.filter(entry => entry.phase === 'prove').map(({ id }) => id) : []
  // What goes back after something else is there for what that has to be there for; some of the proving may come before both.
  const behind = before.flatMap(undone)
  const later = reachedFrom(behind, links)
  const proved = behind.length === 0 ? proving : proving.filter(id => later.has(id))
  return [
    ...strips,
    {
      before: stepId,
      after: refit.id,
      kind: 'physical',
      because: 'It has to come off before it can go back.',
      waitMinutes: 0,
    },
    ...before
      .flatMap(id => [id, ...undone(id)])
      .flatMap(id => link(id, refit.id, 'What is behind it goes back first.')),
    ...after.flatMap(undone).flatMap(id => link(refit.id, id, 'It cannot be got at afterwards.')),
    ...proved.flatMap(id => link(refit.id, id, 'The car is whole before it is proved.', 'safety')),
  ]
}

/** Whatever comes after these steps, by links. */
function reachedFrom(ids: readonly string[], links: readonly Link[]): Set<string> {
  const found = new Set(ids)
  for (let size = 0; size !== found.size;) {
    size = found.size
    for (const { before, after } of links) if (found.has(before)) found.add(after)
  }
  return found
}
