import type { Procedure } from '../../../pack/pack'
import type { JobState } from '../../chapters'

/**
 * The procedure with every tool and prop put away that would be left: one that is set again while it still stands is put away
 * by whoever puts it away last.
 */
export function putAway(
  { ledger, done }: Pick<JobState, 'ledger' | 'done'>,
  procedure: Procedure,
  order: readonly string[],
): Procedure {
  const place = new Map(order.map((id, index) => [id, index]))
  const left = procedure.operations
    .filter(({ id }) => !done[id] && place.has(id))
    .sort((a, b) => place.get(a.id)! - place.get(b.id)!)
  const more = new Map<string, Record<string, number>>()
  for (const { id: item, state } of procedure.items) {
    if (state !== 'propped') continue
    const stands = left.reduce(
      (count, { takesOff, putsBack }) => Math.max(0, count + (takesOff[item] ?? 0) - (putsBack[item] ?? 0)),
      ledger[item] ?? 0,
    )
    const last = left.findLast(({ putsBack }) => (putsBack[item] ?? 0) > 0)
    if (stands > 0 && last) more.set(last.id, { ...more.get(last.id), [item]: last.putsBack[item]! + stands })
  }
  if (more.size === 0) return procedure
  return {
    ...procedure,
    operations: procedure.operations.map(operation =>
      more.has(operation.id)
        ? { ...operation, putsBack: { ...operation.putsBack, ...more.get(operation.id) } }
        : operation,
    ),
  }
}
