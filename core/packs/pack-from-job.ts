import { addedModule } from './added-work'
import type { AddedStep } from './added-work'
import { knownAnswers } from './known-answers'
import type { Known } from './known-answers'
import { refitId } from './mirror'
import { namedHere } from './named-here'
import { narrow, narrowBoard, narrowBody } from './narrow'
import { stepIds } from './resolve-module'
import { settler } from './settle-choices'
import type { BenchData } from '../pack/sheets'
import type { Link, LinkSource, OperationSource } from '../pack/operations'
import type { Pack, PackModule } from '../pack/pack'
import type { LedgerItem } from '../pack/things'

export interface JobOrder {
  /** Option id → choice, as the job had them. */
  options: Record<string, string>
  /** Operations in the order they were done. */
  order: string[]
  /** What the reason of every link says. */
  because: string
  /** Steps that this car needed besides. */
  added?: AddedStep[]
  /** Ids of the steps that it had no use for. */
  leftOut?: string[]
}

/**
 * A job's own order as a layout: the pack with the job's choices settled, and a habit between each step and the next that no link
 * of the pack gives already. A choice that says how many hands there are stays a choice.
 * @param links of the job's procedure, which the order respects
 */
export function packFromJob(
  pack: Pack,
  { options, order, because, added = [], leftOut = [] }: JobOrder,
  links: Link[],
  id: string,
  title: string,
): Pack {
  const kept = pack.options
    .filter(option => option.choices.some(choice => choice.hands === 2))
    .map(option => ({ ...option, default: options[option.id] ?? option.default }))
  const settled = Object.fromEntries(
    Object.entries(options).filter(([option]) => !kept.some(entry => entry.id === option)),
  )
  const settle = settler(kept, settled)
  const out = new Set(leftOut)
  // As the job itself was proved: what it went back behind came before some of the proving.
  const proving = new Set(
    pack.modules.flatMap(module =>
      module.operations.filter(({ id, phase }) => phase === 'prove' && !out.has(id)).map(({ id }) => id),
    ),
  )
  // What nobody washed on this car was clean for it.
  const unwashed = new Set(
    pack.modules.flatMap(({ operations }) => operations.flatMap(({ id, washes = [] }) => (out.has(id) ? washes : []))),
  )
  const worked = [
    ...pack.modules.map(module =>
      without(out, unwashed, {
        ...module,
        operations: module.operations.flatMap(settle),
        links: module.links.flatMap(settle),
      }),
    ),
    addedModule(added, ({ stepId }) =>
      links.filter(({ before, after }) => before === refitId(stepId) && proving.has(after)).map(({ after }) => after),
    ),
  ].filter(module => module.operations.length > 0)
  const here = new Set(worked.flatMap(stepIds))
  const has = (step: string) => here.has(step)
  const both = ({ before, after }: Pick<Link, 'before' | 'after'>) => has(before) && has(after)
  const steps = [
    ...worked.flatMap(module => module.operations),
    ...(pack.positions as Pick<OperationSource, 'tools' | 'cautions'>[]),
  ]
  const content = narrow(pack, { has, steps, keep: settle })
  const bench = withoutOptions(content.bench)
  const known: Known = {
    options: kept,
    fixed: settled,
    ladders: new Set(content.ladders.map(ladder => ladder.id)),
    sheets: new Set(bench.sheets.map(sheet => sheet.id)),
    parts: new Set([
      ...worked.flatMap(module => module.parts.map(part => part.id)),
      ...bench.reachable.map(entry => entry.part),
    ]),
  }
  const modules = worked.map(module => ({
    ...module,
    operations: namedHere(module, worked, pack.modules).map(operation => knownAnswers(operation, known)),
    items: module.items.map(item => withPart(item, known.parts)),
    links: module.links.filter(both),
    groups: module.groups.map(group => narrowBoard(group, has)),
    ...(module.bodies ? { bodies: module.bodies.map(body => narrowBody(body, has)) } : {}),
  }))
  return {
    ...pack,
    ...content,
    bench,
    id,
    title,
    version: 1,
    options: kept,
    modules,
    links: [...pack.links.flatMap(settle).filter(both), ...habits(order.filter(has), links, because)],
    positions: pack.positions.flatMap(settle),
    reach: pack.reach.flatMap(settle),
    items: pack.items.map(item => withPart(item, known.parts)),
  }
}

/** A module without the steps that this car had no use for; what they would have made true is true. */
function without(out: ReadonlySet<string>, unwashed: ReadonlySet<string>, module: PackModule): PackModule {
  const given = new Set(module.operations.filter(({ id }) => out.has(id)).flatMap(({ gives }) => gives))
  return {
    ...module,
    operations: module.operations
      .filter(({ id }) => !out.has(id))
      .map(operation =>
        operation.soils
          ? { ...operation, soils: operation.soils.filter(surface => !unwashed.has(surface)) }
          : operation,
      ),
    facts: module.facts.map(fact => (given.has(fact.id) ? { ...fact, initially: true } : fact)),
  }
}

/** A habit between each step and the next that no link gives already. */
function habits(order: string[], links: Link[], because: string): LinkSource[] {
  const given = new Set(links.map(link => `${link.before} ${link.after}`))
  return order.slice(1).flatMap((after, index): LinkSource[] => {
    const before = order[index]!
    return given.has(`${before} ${after}`) ? [] : [{ before, after, kind: 'habit', because, when: [], mirror: false }]
  })
}

/** A bench that asks for no choice any more. */
function withoutOptions(bench: BenchData): BenchData {
  return {
    ...bench,
    sheets: bench.sheets.map(({ ways: _ways, ...sheet }) => sheet),
    reachable: bench.reachable.map(({ option: _option, ...part }) => part),
  }
}

/** An item whose new part the layout has, or none. */
function withPart({ newPart, ...item }: LedgerItem, parts: Set<string>): LedgerItem {
  return newPart !== undefined && parts.has(newPart) ? { ...item, newPart } : item
}
