import type { When } from '../pack/kinds'
import type { PackOption } from '../pack/options'
import { LEFT } from './shelf'
import type { Shelf } from './shelf'

/** Gives a thing with what is left of its `when`, or nothing when it never applies. */
export type Settle = <T extends { when: When }>(thing: T) => T[]

/**
 * Settles what nobody can choose any more: an entry that fixed choices rule out is dropped, an option they decide
 * is no longer asked. Choices that only other layouts offer are left out; what nobody offers stays, to be found as a fault.
 * @param elsewhere choices that others offer, as `option=choice`
 */
export function settler(
  options: PackOption[],
  fixed: Record<string, string>,
  elsewhere: Set<string> = new Set(),
): Settle {
  return <T extends { when: When }>(thing: T): T[] => {
    if (thing.when.length === 0) return [thing]
    const when = thing.when.flatMap((entry): When => {
      const left: Record<string, string[]> = {}
      for (const [id, choices] of Object.entries(entry)) {
        const option = options.find(each => each.id === id)
        if (!option && id in fixed) {
          if (!choices.includes(fixed[id]!)) return []
          continue
        }
        left[id] = option
          ? choices.filter(
              choice => option.choices.some(each => each.id === choice) || !elsewhere.has(`${id}=${choice}`),
            )
          : choices
        if (left[id].length === 0) return []
      }
      return [left]
    })
    if (when.length === 0) return []
    return [{ ...thing, when: when.some(entry => Object.keys(entry).length === 0) ? [] : when }]
  }
}

/** Choices that layouts of a shelf offer or take for granted, as `option=choice`. */
export function choicesElsewhere(shelf: Pick<Shelf, 'options' | 'modules' | 'renewals'>): Set<string> {
  return new Set([
    ...shelf.options.flatMap(option => option.choices.map(choice => `${option.id}=${choice.id}`)),
    ...shelf.renewals.flatMap(({ id, ways }) => [LEFT, ...ways.map(way => way.id)].map(choice => `${id}=${choice}`)),
    ...[...shelf.modules.values()].flatMap(module =>
      Object.entries(module.assumes).map(([option, choice]) => `${option}=${choice}`),
    ),
  ])
}
