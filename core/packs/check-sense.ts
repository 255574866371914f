import { applies } from './applies'
import type { PackFault } from './check-pack'
import { optionsIn } from './combinations'
import { chooseOptions, PackError, workUnder } from './expand-pack'
import { knots } from './knots'
import { refitId } from './mirror'
import { possibleLinks, possibleOperations } from './possible-links'
import type { PossibleLink, PossibleOperation } from './possible-links'
import type { When } from '../pack/kinds'
import { bayOf } from '../pack/bay'
import type { Pack } from '../pack/pack'
import { underEvery } from './under-every'

/**
 * What makes no sense under some choice of options: a ledger that does not come back to zero, a fact that nothing brings
 * about, a thing taken off that nothing needs off, a height the car cannot be brought to, links that form a cycle.
 *
 * Each is looked at under every combination of just those options that bear on it, which is as good as
 * every combination of all of them, and takes milliseconds instead of minutes.
 */
export function checkSense(pack: Pack): PackFault[] {
  const operations = possibleOperations(pack)
  const links = possibleLinks(pack, operations)
  return [
    ...unbalanced(pack),
    ...unreachable(pack, operations),
    ...idle(pack, links),
    ...stranded(pack),
    ...cycles(pack, links),
  ]
}

interface Entry {
  net: number
  when: When
}

function unbalanced(pack: Pack): PackFault[] {
  const entries = new Map<string, Entry[]>()
  const note = (item: string, net: number, when: When) => {
    if (net !== 0) entries.set(item, [...(entries.get(item) ?? []), { net, when }])
  }
  for (const operation of pack.modules.flatMap(module => module.operations)) {
    const mirror = operation.refit.kind === 'mirror' ? operation.refit.override : null
    for (const [item, count] of Object.entries(operation.putsBack)) note(item, -count, operation.when)
    for (const [item, count] of Object.entries(operation.takesOff)) if (!mirror) note(item, count, operation.when)
    for (const [item, count] of Object.entries(mirror?.takesOff ?? {})) note(item, count, operation.when)
  }
  return [...entries].flatMap(([item, list]) => {
    const path = pathOfItem(pack, item)
    return underEvery(pack, optionsIn(list.map(entry => entry.when)), path, choices => {
      const count = list.reduce((sum, entry) => sum + (applies(entry.when, choices) ? entry.net : 0), 0)
      return count === 0
        ? null
        : {
            path,
            reason: count > 0 ? `${count} taken off and never put back` : `${-count} put back that nobody took off`,
          }
    })
  })
}

function pathOfItem(pack: Pack, item: string): string {
  const module = pack.modules.find(entry => entry.items.some(({ id }) => id === item))
  return module ? `modules[${module.id}].items[${item}]` : `items[${item}]`
}

function unreachable(pack: Pack, operations: PossibleOperation[]): PackFault[] {
  return pack.modules
    .flatMap(module => module.facts.map(fact => ({ fact, path: `modules[${module.id}].facts[${fact.id}]` })))
    .filter(({ fact }) => !fact.initially)
    .flatMap(({ fact, path }) => {
      const needers = operations.filter(({ operation }) => operation.needs.includes(fact.id))
      const givers = operations.filter(({ operation }) => operation.gives.includes(fact.id))
      return underEvery(pack, optionsIn([...needers, ...givers].map(entry => entry.when)), path, choices => {
        const needer = needers.find(({ when }) => applies(when, choices))
        if (!needer || givers.some(({ when }) => applies(when, choices))) return null
        return {
          path: `modules[${needer.operation.module}].operations[${needer.operation.undoes ?? needer.operation.id}].needs`,
          reason: `nothing brings about "${fact.id}"`,
        }
      })
    })
}

/** A thing taken off that no later step has a reason for. */
function idle(pack: Pack, links: PossibleLink[]): PackFault[] {
  return pack.modules.flatMap(module =>
    module.operations
      .filter(operation => operation.phase === 'strip' && Object.keys(operation.takesOff).length > 0)
      .flatMap(operation => {
        const path = `modules[${module.id}].operations[${operation.id}]`
        const reasons = links.filter(link => link.before === operation.id && link.after !== refitId(operation.id))
        // A reason that holds whenever the step is there settles it.
        if (reasons.some(link => JSON.stringify(link.when) === JSON.stringify(operation.when))) return []
        return underEvery(pack, optionsIn([operation.when, ...reasons.map(link => link.when)]), path, choices =>
          !applies(operation.when, choices) || reasons.some(link => applies(link.when, choices))
            ? null
            : { path, reason: 'takes something off that no other step needs off: a link with its because is missing' },
        )
      }),
  )
}

function stranded(pack: Pack): PackFault[] {
  return bayOf(pack).stances.flatMap(({ id: to }) =>
    underEvery(pack, optionsIn(pack.positions.map(position => position.when)), 'positions', choices =>
      pack.positions.some(position => position.to === to && applies(position.when, choices))
        ? null
        : { path: 'positions', reason: `no way to bring the car to "${to}"` },
    ),
  )
}

function cycles(pack: Pack, links: PossibleLink[]): PackFault[] {
  const tied = knots(links)
  if (tied.size === 0) return []
  const relevant = optionsIn([
    ...links
      .filter(link => tied.has(link.before) && tied.get(link.before) === tied.get(link.after))
      .map(link => link.when),
    ...pack.reach.map(reach => reach.when),
  ])
  return underEvery(pack, relevant, 'links', choices => {
    try {
      workUnder(pack, chooseOptions(pack, choices))
      return null
    } catch (error) {
      if (!(error instanceof PackError)) throw error
      return { path: error.path, reason: error.reason }
    }
  })
}
