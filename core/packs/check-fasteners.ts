import { applies } from './applies'
import type { PackFault } from './check-pack'
import { optionsIn } from './combinations'
import { possibleOperations } from './possible-links'
import type { PossibleOperation } from './possible-links'
import type { FastenerGroup } from '../pack/fasteners'
import type { Operation } from '../pack/operations'
import type { Pack } from '../pack/pack'
import type { LedgerItem } from '../pack/things'
import { underEvery } from './under-every'

/** Words by which an entry of the ledger is known for a fastener. */
const FASTENERS = /\b(bolts?|nuts?|screws?|studs?|clips?)\b|\{lug/i

/**
 * Fasteners that nobody would ever set: every one that comes off or is slackened belongs to a group with a figure or is
 * tight by hand, and under every choice a later step sets every bolt of a group that was touched. Ledger, boards and groups agree in their counts.
 */
export function checkFasteners(pack: Pack): PackFault[] {
  const operations = possibleOperations(pack)
  const items = new Map([...pack.items, ...pack.modules.flatMap(module => module.items)].map(item => [item.id, item]))
  const groups = pack.modules.flatMap(module =>
    module.groups.map(group => ({ group, path: `modules[${module.id}].groups[${group.id}]` })),
  )
  return [
    ...unmarked(pack),
    ...groups.flatMap(({ group, path }) => [
      ...miscounted(group, path, operations, items),
      ...neverSet(pack, group, path, operations, items),
    ]),
  ]
}

function unmarked(pack: Pack): PackFault[] {
  return pack.modules.flatMap(module =>
    module.items
      .filter(
        item =>
          (item.state === 'off' || item.state === 'slack') &&
          FASTENERS.test(item.name) &&
          !item.group &&
          !item.hand &&
          !item.part,
      )
      .map(item => ({
        path: `modules[${module.id}].items[${item.id}]`,
        reason: 'a fastener belongs to a group with its figure, or is marked as tight by hand',
      })),
  )
}

const ofGroup = (
  items: Map<string, LedgerItem>,
  group: string,
  counts: Record<string, number>,
  ...states: LedgerItem['state'][]
): [LedgerItem, number][] =>
  Object.entries(counts).flatMap(([id, count]): [LedgerItem, number][] =>
    items.get(id)?.group === group && states.includes(items.get(id)!.state) ? [[items.get(id)!, count]] : [],
  )

const sum = (counted: [LedgerItem, number][]) => counted.reduce((total, [, count]) => total + count, 0)

/** A step takes as many off as its map has places for it. */
function miscounted(
  group: FastenerGroup,
  path: string,
  operations: PossibleOperation[],
  items: Map<string, LedgerItem>,
): PackFault[] {
  return operations.flatMap(({ operation }) => {
    const taken = sum(ofGroup(items, group.id, operation.takesOff, 'off', 'open'))
    if (taken > group.count)
      return [{ path, reason: `"${operation.id}" takes ${taken} off, the group has ${group.count}` }]
    if (!group.board) return []
    const places = group.board.places.filter(place => place.offWith === operation.id).length
    return places === taken || (places === 0 && taken === 0)
      ? []
      : [
          {
            path: `${path}.board`,
            reason: `"${operation.id}" takes ${taken} of them off by the ledger and ${places} by the map`,
          },
        ]
  })
}

/** Groups that a step sets at their figure. */
export function groupsSetBy(operation: Pick<Operation, 'figure' | 'moreFigures' | 'activity'>): string[] {
  return [
    ...(operation.activity?.kind === 'tighten' ? [operation.activity.group] : []),
    ...(operation.figure ? [operation.figure] : []),
    ...(operation.moreFigures ?? []),
  ]
}

/** Under some choice a bolt comes out, or is left started or snug, and no step sets it. */
function neverSet(
  pack: Pack,
  group: FastenerGroup,
  path: string,
  operations: PossibleOperation[],
  items: Map<string, LedgerItem>,
): PackFault[] {
  const touches = (operation: Operation) =>
    ofGroup(items, group.id, operation.takesOff, 'off', 'open', 'slack').length > 0
  const puts = (operation: Operation) => ofGroup(items, group.id, operation.putsBack, 'off', 'open')
  const relevant = operations.filter(
    ({ operation }) => touches(operation) || puts(operation).length > 0 || groupsSetBy(operation).includes(group.id),
  )
  if (!relevant.some(({ operation }) => touches(operation))) return []
  return underEvery(pack, optionsIn(relevant.map(entry => entry.when)), path, choices => {
    const here = relevant.filter(({ when }) => applies(when, choices)).map(entry => entry.operation)
    if (!here.some(touches)) return null
    // A step that puts none of them back and names the group sets all that are in; one that puts some back sets those, and what is started.
    if (
      here.some(
        operation =>
          groupsSetBy(operation).includes(group.id) &&
          (puts(operation).length === 0 || operation.activity?.kind === 'tighten'),
      )
    )
      return null
    const sets = here.some(operation => groupsSetBy(operation).includes(group.id))
    const started = (operation: Operation) =>
      operation.leaves === 'started' || ofGroup(items, group.id, operation.takesOff, 'slack').length > 0
    const loose = here.find(
      operation =>
        puts(operation).length > 0 && !groupsSetBy(operation).includes(group.id) && !(sets && started(operation)),
    )
    return loose ? { path, reason: `"${loose.id}" puts them back and no step sets them at their figure` } : null
  })
}
