import type { Operation } from '../../../pack/operations'
import type { JobState } from '../../chapters'

/** New parts that a finished step has used go in instead of the old things. */
export function noteNewParts(state: JobState, operation: Operation, at: string): void {
  for (const item of state.procedure!.items) {
    if (item.newPart === undefined || !operation.parts[item.newPart]) continue
    state.replaced[item.id] ??= {
      by: state.procedure!.parts.find(part => part.id === item.newPart)?.name ?? item.name,
      at,
    }
  }
}
