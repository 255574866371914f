import { expandPack, PackError } from './expand-pack'
import { refitId } from './mirror'
import { unknownTokens } from './terms'
import type { TermTable } from './terms'
import type { OperationSource, Pack, Procedure } from './types'

/** Something wrong in a pack: where it stands and why it cannot stay. */
export interface PackFault { path: string, reason: string }

/** Every combination of the choices of a pack's options. */
export function optionCombinations(pack: Pack): Record<string, string>[] {
  return pack.options.reduce<Record<string, string>[]>(
    (all, option) => all.flatMap(chosen => option.choices.map(choice => ({ ...chosen, [option.id]: choice.id }))), [{}])
}

/**
 * Everything wrong with a pack: unknown or repeated ids, tokens the term table lacks, an option that is not there,
 * cycles, facts needed but never given, and a ledger that does not come back to zero under some combination of options.
 */
export function checkPack(pack: Pack, terms: TermTable): PackFault[] {
  const faults = [...repeatedIds(pack), ...unknownIds(pack), ...badTokens(pack, terms)]
  if (faults.length > 0) return faults
  for (const options of optionCombinations(pack)) {
    const label = Object.entries(options).map(([option, choice]) => `${option}=${choice}`).join(' ')
    try {
      const found = checkProcedure(expandPack(pack, options))
      if (found.length > 0) return found.map(fault => ({ path: `${fault.path} (${label})`, reason: fault.reason }))
    }
    catch (error) {
      if (!(error instanceof PackError)) throw error
      return [{ path: `${error.path} (${label})`, reason: error.reason }]
    }
  }
  return []
}

function repeatedIds(pack: Pack): PackFault[] {
  const kinds: [string, { path: string, id: string }[]][] = [
    ['operation', pack.modules.flatMap(module => module.operations.map(({ id }) => ({ path: `modules/${module.id}.operations`, id })))],
    ['item', [...pack.items.map(({ id }) => ({ path: 'items', id })), ...pack.modules.flatMap(module => module.items.map(({ id }) => ({ path: `modules/${module.id}.items`, id })))]],
    ['fact', pack.modules.flatMap(module => module.facts.map(({ id }) => ({ path: `modules/${module.id}.facts`, id })))],
    ['group', pack.modules.flatMap(module => module.groups.map(({ id }) => ({ path: `modules/${module.id}.groups`, id })))],
    ['part', pack.modules.flatMap(module => module.parts.map(({ id }) => ({ path: `modules/${module.id}.parts`, id })))],
    ['option', pack.options.map(({ id }) => ({ path: 'options', id }))],
  ]
  return kinds.flatMap(([kind, entries]) => entries
    .filter((entry, index) => entries.findIndex(other => other.id === entry.id) < index)
    .map(({ path, id }) => ({ path, reason: `the ${kind} "${id}" stands twice` })))
}

function unknownIds(pack: Pack): PackFault[] {
  const operations = pack.modules.flatMap(module => module.operations)
  const operationIds = new Set(operations.flatMap(({ id, refit }) => refit.kind === 'mirror' ? [id, refitId(id)] : [id]))
  const items = new Set([...pack.items, ...pack.modules.flatMap(module => module.items)].map(({ id }) => id))
  const facts = new Set(pack.modules.flatMap(module => module.facts).map(({ id }) => id))
  const groups = new Set(pack.modules.flatMap(module => module.groups).map(({ id }) => id))
  const parts = new Set(pack.modules.flatMap(module => module.parts).map(({ id }) => id))
  const tools = new Set(pack.tools.map(({ id }) => id))
  const cautions = new Set(pack.cautions.map(({ id }) => id))
  const faults: PackFault[] = []
  const want = (path: string, kind: string, known: Set<string>, ids: (string | undefined)[]) => {
    for (const id of ids) if (id !== undefined && !known.has(id)) faults.push({ path, reason: `unknown ${kind} "${id}"` })
  }
  const wantWhen = (path: string, when: Record<string, string[]>) => {
    for (const [id, choices] of Object.entries(when)) {
      const option = pack.options.find(entry => entry.id === id)
      if (!option) faults.push({ path: `${path}.when`, reason: `unknown option "${id}"` })
      else want(`${path}.when.${id}`, 'choice', new Set(option.choices.map(choice => choice.id)), choices)
    }
  }
  for (const option of pack.options) want(`options.${option.id}.default`, 'choice', new Set(option.choices.map(({ id }) => id)), [option.default])
  for (const module of pack.modules) {
    for (const operation of module.operations) {
      const path = `modules/${module.id}.operations.${operation.id}`
      const override = operation.refit.kind === 'mirror' ? operation.refit.override : undefined
      want(path, 'item', items, [...Object.keys(operation.takesOff), ...Object.keys(operation.putsBack), ...Object.keys(override?.takesOff ?? {})])
      want(path, 'part', parts, [...Object.keys(operation.parts), ...Object.keys(override?.parts ?? {})])
      want(path, 'fact', facts, [...factsOf(operation), ...factsOf(override ?? {})])
      want(path, 'tool', tools, [...operation.tools, ...override?.tools ?? []])
      want(path, 'caution', cautions, [...operation.cautions, ...override?.cautions ?? []])
      want(path, 'fastener group', groups, [operation.figure, override?.figure, groupOf(operation), groupOf(override ?? {})])
      if (operation.refit.kind === 'by') want(`${path}.refit`, 'operation', operationIds, [operation.refit.operation])
      wantWhen(path, operation.when)
    }
  }
  const links = [...pack.modules.map(module => ({ path: `modules/${module.id}.links`, links: module.links })), { path: 'links', links: pack.links }]
  for (const { path, links: list } of links) {
    for (const [index, link] of list.entries()) {
      want(`${path}[${index}]`, 'operation', operationIds, [link.before, link.after])
      wantWhen(`${path}[${index}]`, link.when)
    }
  }
  for (const [index, entry] of pack.positions.entries()) {
    want(`positions[${index}]`, 'item', items, Object.keys(entry.takesOff))
    want(`positions[${index}]`, 'tool', tools, entry.tools)
    want(`positions[${index}]`, 'caution', cautions, entry.cautions)
    wantWhen(`positions[${index}]`, entry.when)
  }
  return faults
}

function factsOf(operation: Partial<Pick<OperationSource, 'needs' | 'gives' | 'ends'>>): string[] {
  return [...operation.needs ?? [], ...operation.gives ?? [], ...operation.ends ?? []]
}

function groupOf(operation: Partial<Pick<OperationSource, 'activity'>>): string | undefined {
  return operation.activity?.kind === 'tighten' ? operation.activity.group : undefined
}

function badTokens(pack: Pack, terms: TermTable): PackFault[] {
  const faults: PackFault[] = []
  const walk = (path: string, value: unknown) => {
    if (typeof value === 'string') {
      for (const token of unknownTokens(value, terms)) faults.push({ path, reason: `the term table has no "{${token}}"` })
    }
    else if (Array.isArray(value)) value.forEach((entry, index) => walk(`${path}[${entry?.id ?? index}]`, entry))
    else if (value && typeof value === 'object') {
      for (const [key, entry] of Object.entries(value)) walk(path ? `${path}.${key}` : key, entry)
    }
  }
  walk('', pack)
  return faults
}

/** Faults that show only once the options are chosen. */
export function checkProcedure(procedure: Procedure): PackFault[] {
  return [...unbalanced(procedure), ...unreachable(procedure), ...idle(procedure)]
}

function unbalanced(procedure: Procedure): PackFault[] {
  const net = new Map<string, number>()
  for (const operation of procedure.operations) {
    for (const [item, count] of Object.entries(operation.takesOff)) net.set(item, (net.get(item) ?? 0) + count)
    for (const [item, count] of Object.entries(operation.putsBack)) net.set(item, (net.get(item) ?? 0) - count)
  }
  return [...net].filter(([, count]) => count !== 0).map(([item, count]) => ({
    path: `items.${item}`,
    reason: count > 0 ? `${count} taken off and never put back` : `${-count} put back that nobody took off`,
  }))
}

function unreachable(procedure: Procedure): PackFault[] {
  return procedure.facts.flatMap((fact) => {
    const needed = procedure.operations.find(operation => operation.needs.includes(fact.id))
    const given = fact.initially || procedure.operations.some(operation => operation.gives.includes(fact.id))
    return needed && !given ? [{ path: `operations.${needed.id}.needs`, reason: `nothing brings about "${fact.id}"` }] : []
  })
}

/** A thing taken off that no later step has a reason for. */
function idle(procedure: Procedure): PackFault[] {
  return procedure.operations
    .filter(operation => operation.phase === 'strip' && Object.keys(operation.takesOff).length > 0)
    .filter(operation => !procedure.links.some(link => link.before === operation.id && link.after !== refitId(operation.id)))
    .map(operation => ({ path: `operations.${operation.id}`, reason: 'takes something off that no other step needs off: a link with its because is missing' }))
}
