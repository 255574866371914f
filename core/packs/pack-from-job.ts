import { benchOf } from './bench-of'
import { knownAnswers } from './known-answers'
import type { Known } from './known-answers'
import { refitId } from './mirror'
import type { BenchData } from './sheet-types'
import type { FastenerGroup, LedgerItem, Link, LinkSource, OperationSource, Pack, When } from './types'

export interface JobOrder {
  /** Option id → choice, as the job had them. */
  options: Record<string, string>
  /** Operations in the order they were done. */
  order: string[]
  /** What the reason of every link says. */
  because: string
}

/**
 * A job's own order as a layout: the pack with the job's choices settled, and a habit between each step and the next that no link
 * of the pack gives already. A choice that says how many hands there are stays a choice.
 * @param links of the job's procedure, which the order respects
 */
export function packFromJob(pack: Pack, { options, order, because }: JobOrder, links: Link[], id: string, title: string): Pack {
  const kept = pack.options.filter(option => option.choices.some(choice => choice.hands === 2)).map(option => ({ ...option, default: options[option.id] ?? option.default }))
  const open = new Set(kept.map(option => option.id))
  const settle = <T extends { when: When }>(things: T[]): T[] => things.flatMap((thing) => {
    if (thing.when.length === 0) return [thing]
    const left = thing.when.filter(entry => Object.entries(entry).every(([option, choices]) => open.has(option) || choices.includes(options[option]!)))
      .map(entry => Object.fromEntries(Object.entries(entry).filter(([option]) => open.has(option))))
    return left.length === 0 ? [] : [{ ...thing, when: left.some(entry => Object.keys(entry).length === 0) ? [] : left }]
  })
  const worked = pack.modules.map(module => ({ ...module, operations: settle(module.operations), links: settle(module.links) })).filter(module => module.operations.length > 0)
  const here = new Set(worked.flatMap(module => module.operations.flatMap(idsOf)))
  const ladders = pack.ladders.map(ladder => ({ ...ladder, steps: ladder.steps.filter(step => here.has(step)) })).filter(ladder => ladder.everywhere || ladder.when.length + ladder.steps.length > 0)
  const bench = withoutOptions(benchOf(pack.bench, step => here.has(step), thing => settle([thing])))
  const settled = Object.fromEntries(Object.entries(options).filter(([option]) => !open.has(option)))
  const has: Known = { options: kept, fixed: settled, parts: new Set([...worked.flatMap(module => module.parts.map(part => part.id)), ...bench.reachable.map(entry => entry.part)]), ladders: new Set(ladders.map(ladder => ladder.id)), sheets: new Set(bench.sheets.map(sheet => sheet.id)) }
  const modules = worked.map(module => ({ ...module, operations: module.operations.map(operation => knownAnswers(operation, has)), items: module.items.map(item => withPart(item, has.parts)), links: module.links.filter(link => here.has(link.before) && here.has(link.after)), groups: module.groups.map(group => withBoard(group, here)) }))
  const given = new Set(links.map(link => `${link.before} ${link.after}`))
  const known = order.filter(step => here.has(step))
  const habits = known.slice(1).flatMap((after, index): LinkSource[] => given.has(`${known[index]} ${after}`) ? [] : [{ before: known[index]!, after, kind: 'habit', because, when: [], mirror: false }])
  return {
    ...pack, id, title, version: 1, options: kept, modules, links: [...settle(pack.links).filter(link => here.has(link.before) && here.has(link.after)), ...habits], positions: settle(pack.positions), reach: settle(pack.reach),
    bench, ladders, items: pack.items.map(item => withPart(item, has.parts)),
    closing: pack.closing.map(check => ({ ...check, steps: check.steps.filter(step => here.has(step)) })).filter((check, index) => pack.closing[index]!.steps.length === 0 || check.steps.length > 0),
  }
}

/** A bench that asks for no choice any more. */
function withoutOptions(bench: BenchData): BenchData {
  return { ...bench, sheets: bench.sheets.map(({ ways: _ways, ...sheet }) => sheet), reachable: bench.reachable.map(({ option: _option, ...part }) => part) }
}

/** An item whose new part the layout has, or none. */
function withPart({ newPart, ...item }: LedgerItem, parts: Set<string>): LedgerItem {
  return newPart !== undefined && parts.has(newPart) ? { ...item, newPart } : item
}

/** A group's map without the steps that are not done. */
function withBoard(group: FastenerGroup, here: Set<string>): FastenerGroup {
  if (!group.board) return group
  const { clearFor, ...board } = group.board
  return {
    ...group, board: { ...board, ...(clearFor !== undefined && here.has(clearFor) ? { clearFor } : {}), places: board.places.map(({ offWith, ...place }) => offWith !== undefined && here.has(offWith) ? { ...place, offWith } : place) },
  }
}

const idsOf = ({ id, refit }: OperationSource): string[] => refit.kind === 'mirror' ? [id, refitId(id)] : [id]

