import { openingKinds } from '../../../decisions/steps-again'
import { sameLedger } from '../../../packs/same-ledger'
import { UNFORESEEN } from '../unforeseen/added-step'
import type { CarPosition } from '../../../pack/kinds'
import type { Procedure } from '../../../pack/pack'

/** How far a job is: the work it is planned for, the steps done, and how high the car stands. */
export interface JobStand {
  procedure: Procedure
  done: string[]
  car: CarPosition
}

/**
 * Why a job cannot be done another way any more: something done has no place there, the other way has work whose moment is over, or the car
 * stands on other supports.
 * @returns a sentence with term tokens, or `null` when it can
 */
export function switchBarrier({ procedure, done, car }: JobStand, other: Procedure): string | null {
  const kept = new Map(other.operations.map(operation => [operation.id, operation]))
  const finished = new Set(done)
  const lost = procedure.operations.find(operation => {
    const after = kept.get(operation.id)
    // What only this car has is in any other way as well.
    if (operation.module === UNFORESEEN) return false
    return finished.has(operation.id) && (!after || !sameLedger(operation, after))
  })
  if (lost) return `This is done already and the other way has no place for it: ${lost.title}`
  const late = other.links.find(
    link =>
      openingKinds.has(link.kind) &&
      finished.has(link.after) &&
      !finished.has(link.before) &&
      !procedure.operations.some(operation => operation.id === link.before),
  )
  if (late)
    return `Too late as the car stands. This would be new: ${kept.get(late.before)!.title}. And this comes after it, and is done: ${kept.get(late.after)!.title}`
  const here = { takesOff: procedure.positions[car]!.takesOff, putsBack: {} }
  if (!sameLedger(here, { takesOff: other.positions[car]!.takesOff, putsBack: {} }))
    return 'The car stands on other supports. Bring it down first.'
  return null
}
