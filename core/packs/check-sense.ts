import { applies } from './applies'
import type { PackFault } from './check-pack'
import { combinationsOf, optionsIn } from './combinations'
import { expandPack, PackError } from './expand-pack'
import { knots } from './knots'
import { refitId } from './mirror'
import { possibleLinks, possibleOperations } from './possible-links'
import type { PossibleLink } from './possible-links'
import type { CarPosition, Pack } from './types'

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
  return [...unbalanced(pack), ...unreachable(pack), ...idle(pack, links), ...stranded(pack), ...cycles(pack, links)]
}

const label = (choices: Record<string, string>, ids: Iterable<string>) => {
  const named = [...ids].filter(id => id in choices).map(id => `${id}=${choices[id]}`)
  return named.length > 0 ? ` (${named.join(' ')})` : ''
}

function unbalanced(pack: Pack): PackFault[] {
  const entries = new Map<string, { net: number, when: Pack['modules'][0]['operations'][0]['when'] }[]>()
  const note = (item: string, net: number, when: Pack['modules'][0]['operations'][0]['when']) => {
    if (net !== 0) entries.set(item, [...entries.get(item) ?? [], { net, when }])
  }
  for (const operation of pack.modules.flatMap(module => module.operations)) {
    const mirror = operation.refit.kind === 'mirror' ? operation.refit.override : null
    for (const [item, count] of Object.entries(operation.putsBack)) note(item, -count, operation.when)
    for (const [item, count] of Object.entries(operation.takesOff)) if (!mirror) note(item, count, operation.when)
    for (const [item, count] of Object.entries(mirror?.takesOff ?? {})) note(item, count, operation.when)
  }
  return [...entries].flatMap(([item, list]) => {
    const relevant = optionsIn(list.map(entry => entry.when))
    for (const choices of combinationsOf(pack, relevant)) {
      const count = list.reduce((sum, entry) => sum + (applies(entry.when, choices) ? entry.net : 0), 0)
      if (count === 0) continue
      return [{ path: pathOfItem(pack, item), reason: (count > 0 ? `${count} taken off and never put back` : `${-count} put back that nobody took off`) + label(choices, relevant) }]
    }
    return []
  })
}

function pathOfItem(pack: Pack, item: string): string {
  const module = pack.modules.find(entry => entry.items.some(({ id }) => id === item))
  return module ? `modules[${module.id}].items[${item}]` : `items[${item}]`
}

function unreachable(pack: Pack): PackFault[] {
  return pack.modules.flatMap(module => module.facts).filter(fact => !fact.initially).flatMap((fact) => {
    const possible = possibleOperations(pack)
    const needers = possible.filter(({ operation }) => operation.needs.includes(fact.id))
    const givers = possible.filter(({ operation }) => operation.gives.includes(fact.id))
    const relevant = optionsIn([...needers, ...givers].map(entry => entry.when))
    for (const choices of combinationsOf(pack, relevant)) {
      const needer = needers.find(({ when }) => applies(when, choices))
      if (needer && !givers.some(({ when }) => applies(when, choices))) {
        return [{ path: `modules[${needer.operation.module}].operations[${needer.operation.undoes ?? needer.operation.id}].needs`, reason: `nothing brings about "${fact.id}"${label(choices, relevant)}` }]
      }
    }
    return []
  })
}

/** A thing taken off that no later step has a reason for. */
function idle(pack: Pack, links: PossibleLink[]): PackFault[] {
  return pack.modules.flatMap(module => module.operations
    .filter(operation => operation.phase === 'strip' && Object.keys(operation.takesOff).length > 0)
    .flatMap((operation) => {
      const reasons = links.filter(link => link.before === operation.id && link.after !== refitId(operation.id))
      const relevant = optionsIn([operation.when, ...reasons.map(link => link.when)])
      for (const choices of combinationsOf(pack, relevant)) {
          if (!applies(operation.when, choices) || reasons.some(link => applies(link.when, choices))) continue
        return [{ path: `modules[${module.id}].operations[${operation.id}]`, reason: `takes something off that no other step needs off: a link with its because is missing${label(choices, relevant)}` }]
      }
      return []
    }))
}

function stranded(pack: Pack): PackFault[] {
  const relevant = optionsIn(pack.positions.map(position => position.when))
  return (['raised', 'ground'] as CarPosition[]).flatMap((to) => {
    const without = combinationsOf(pack, relevant).find(choices => !pack.positions.some(position => position.to === to && applies(position.when, choices)))
    return without ? [{ path: 'positions', reason: `no way to bring the car to "${to}"${label(without, relevant)}` }] : []
  })
}

function cycles(pack: Pack, links: PossibleLink[]): PackFault[] {
  const tied = knots(links)
  if (tied.size === 0) return []
  const relevant = optionsIn([
    ...links.filter(link => tied.has(link.before) && tied.get(link.before) === tied.get(link.after)).map(link => link.when),
    ...pack.reach.map(reach => reach.when),
  ])
  for (const choices of combinationsOf(pack, relevant)) {
    try {
      expandPack(pack, choices)
    }
    catch (error) {
      if (!(error instanceof PackError)) throw error
      return [{ path: error.path, reason: error.reason + label(choices, relevant) }]
    }
  }
  return []
}
