import { EITHER_POSITION } from '../../../pack/kinds'
import type { Link, Operation } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import type { JobState } from '../../chapters'
import { hangingNow, standing } from '../../views/holding'

/** One step before others, and why. */
interface First {
  step: Operation
  others: Operation[]
  because: string
}

/**
 * The procedure with what follows from how the car stands now: what hangs is held before anything else is done, what stands on
 * the floor is away before the car moves, and what gapes is shut before something flies. What a step itself waits for comes
 * before it all the same.
 */
export function withLinksOfNow(state: JobState): Procedure {
  const procedure = state.procedure!
  const left = procedure.operations.filter(({ id }) => !state.done[id])
  const isLeft = new Set(left.map(({ id }) => id))
  const bonds = procedure.links.filter(({ before, after }) => isLeft.has(before) && isLeft.has(after))
  const links: Link[] = []
  const stale = new Set<Link>()
  for (const { step, others, because } of [
    ...heldFirst(state, left),
    ...floorClear(state, left),
    ...shutFirst(state, left),
  ]) {
    const sooner = comingBefore(step.id, [...bonds, ...links])
    const later = others.filter(({ id }) => !sooner.has(id))
    if (later.length === 0) continue
    links.push(
      ...later.map(({ id }): Link => ({ before: step.id, after: id, kind: 'safety', because, waitMinutes: 0 })),
    )
    // What is done anew was to come before something that has been done meanwhile: that moment is over.
    const ever = comingBefore(step.id, [...procedure.links, ...links])
    for (const link of procedure.links)
      if (isLeft.has(link.before) && !isLeft.has(link.after) && ever.has(link.after)) stale.add(link)
  }
  if (links.length === 0) return procedure
  return { ...procedure, links: [...procedure.links.filter(link => !stale.has(link)), ...links] }
}

function heldFirst(state: JobState, left: Operation[]): First[] {
  return hangingNow(state).flatMap(({ loadId, hangs }) => {
    const props = state.procedure!.loads!.find(({ id }) => id === loadId)!.heldBy.flatMap(({ prop }) => prop ?? [])
    return left
      .filter(({ takesOff }) => props.some(prop => takesOff[prop]))
      .map(step => ({ step, others: left, because: `${hangs} It is held before anything else is done.` }))
  })
}

function floorClear({ procedure, ledger }: JobState, left: Operation[]): First[] {
  return procedure!.items
    .filter(({ id, foot }) => foot === 'floor' && (ledger[id] ?? 0) > 0)
    .flatMap(({ id, name }) => {
      const height = procedure!.operations.find(({ takesOff, car }) => takesOff[id] && car !== EITHER_POSITION)?.car
      const others = left.filter(({ car }) => car !== EITHER_POSITION && car !== height)
      return left
        .filter(({ putsBack }) => putsBack[id])
        .map(step => ({
          step,
          others,
          because: `${name} stands on the floor: the car keeps its height as long as it does.`,
        }))
    })
}

function shutFirst(state: JobState, left: Operation[]): First[] {
  const car = standing(state)
  return state
    .procedure!.items.filter(({ id }) => car.gapes(id))
    .flatMap(({ id, name }) => {
      const others = left.filter(({ wantsShut }) => wantsShut?.includes(id))
      return left
        .filter(({ putsBack }) => putsBack[id])
        .map(step => ({ step, others, because: `${name}: what flies falls in, and is not got out again.` }))
    })
}

/** A step with all that comes before it, and what follows at once on any of that. */
function comingBefore(id: string, links: Link[]): Set<string> {
  const found = new Set([id])
  const open = [id]
  for (let next = open.pop(); next !== undefined; next = open.pop())
    for (const { before, after, atOnce } of links) {
      const other = after === next ? before : atOnce && before === next ? after : undefined
      if (other === undefined || found.has(other)) continue
      found.add(other)
      open.push(other)
    }
  return found
}
