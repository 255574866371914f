import type { Hold, Load } from '../pack/loads'
import type { Procedure } from '../pack/pack'

/** What holds are judged by: how many of an item are off, open or propped, and how many bolts of a group are at their figure. */
export interface Standing {
  count(item: string): number
  atFigure(group: string): number
}
type Words = Pick<Procedure, 'items' | 'groups'>

/** Whether one way of holding is there, whole. */
export function holds(car: Standing, { prop, fitted = [], bolts }: Hold): boolean {
  if (prop !== undefined && car.count(prop) === 0) return false
  if (fitted.some(item => car.count(item) > 0)) return false
  return bolts === undefined || car.atFigure(bolts.group) >= bolts.atFigure
}

/** Whether a load is out of the car, where it lies. */
export const isOut = (car: Standing, { out }: Load) => out !== undefined && car.count(out) > 0

/** Whether nothing of a load hangs: it lies outside, or one of its holds is there. */
export const isHeld = (car: Standing, load: Load) => isOut(car, load) || load.heldBy.some(hold => holds(car, hold))

/** What holds a load now, a line for each hold that is whole. It stands after “held by”. */
export function heldBy(procedure: Words, car: Standing, load: Load): string[] {
  return load.heldBy
    .filter(hold => holds(car, hold))
    .map(({ prop, fitted = [], bolts }) =>
      [prop, ...fitted]
        .flatMap(item => (item === undefined ? [] : (nameOf(procedure, item) ?? [])))
        .concat(bolts ? boltsText(procedure, car, bolts.group) : [])
        .map(withinSentence)
        .join(', '),
    )
    .filter(line => line !== '')
}

/** Why a load hangs: what could carry it and is away, and what its own hold lacks. */
export function unheldBecause(procedure: Words, car: Standing, load: Load): string {
  const own = load.heldBy.find(({ bolts, fitted }) => bolts ?? fitted)
  const props = load.heldBy.flatMap(({ prop }) => nameOf(procedure, prop) ?? [])
  const lacks = [
    ...(props.length > 0 ? [`${props.join(', ')}: away`] : []),
    ...(own ? lacking(procedure, car, own) : []),
  ]
  return [`${load.name} hangs`, ...lacks].join('. ') + '.'
}

/** A name as it stands within a sentence; a word of capitals and a token keep theirs. */
const withinSentence = (name: string) => name.replace(/^\p{Lu}(?=\p{Ll}|\s)/u, letter => letter.toLowerCase())

function lacking(procedure: Words, car: Standing, { fitted = [], bolts }: Hold): string[] {
  const off = fitted.filter(item => car.count(item) > 0).map(item => `${nameOf(procedure, item)}: off`)
  if (!bolts || car.atFigure(bolts.group) >= bolts.atFigure) return off
  return off.concat(boltsText(procedure, car, bolts.group))
}

/** How many bolts of a group hold; nothing of one that this work leaves alone. */
function boltsText({ groups }: Words, car: Standing, id: string): string[] | string {
  const group = groups.find(entry => entry.id === id)
  return group ? `${group.name}: ${car.atFigure(id)} of ${group.count} at their figure` : []
}

/** What an item is called. */
export const nameOf = ({ items }: Pick<Procedure, 'items'>, id: string | undefined): string | undefined =>
  items.find(item => item.id === id)?.name
