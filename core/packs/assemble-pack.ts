import type { OperationSource } from '../pack/operations'
import type { PackOption } from '../pack/options'
import type { Pack, PackModule, SharedContent } from '../pack/pack'
import { knownAnswers } from './known-answers'
import { KnownSteps } from './known-steps'
import { narrow, narrowBoard } from './narrow'
import { namedHere } from './named-here'
import { narrowDrawing } from './narrow-drawing'
import { renewingOf } from './renewals'
import type { Renewing } from './renewals'
import { moduleUnder, resolveModule, stepIds } from './resolve-module'
import { choicesElsewhere, settler } from './settle-choices'
import type { Settle } from './settle-choices'
import { AssemblyError, LEFT } from './shelf'
import type { LayoutSource, Shelf } from './shelf'
import { contentUsed, bayUsed, wantOwnSets } from './sets-used'
import { withGuides } from './with-guides'

/**
 * Puts a layout together with its modules into a pack that needs nothing else.
 * Work that the layout's fixed choices rule out is left out, and so are links of a module to operations
 * that only modules of other layouts hold.
 * @throws AssemblyError on an unknown module or option, and on a link to an operation that no module of the shelf holds
 */
export function assemblePack(layout: LayoutSource, shelf: Shelf): Pack {
  const known = new KnownSteps(
    new Set([
      ...[...shelf.modules.values()].flatMap(module => stepIds(resolveModule(module, shelf))),
      ...shelf.renewals.flatMap(stepIds),
    ]),
  )
  const used = contentUsed(layout.uses, shelf)
  known.wantSets(shelf.sets)
  known.wantContent(shelf)
  const ways = wantedModules(layout, shelf)
  const own = askedOptions(layout, shelf)
  const decided: Record<string, string> = {
    ...Object.assign({}, ...ways.map(module => module.assumes)),
    ...layout.fixed,
  }
  const renewing = renewingIn(ways, own, decided, shelf)
  const wanted = [...ways, ...renewing.map(({ module }) => module)]
  const options = [...own, ...renewing.map(({ option }) => option)]
  const fixed = { ...allLeft(shelf, options), ...decided }
  const settle = settler(options, fixed, choicesElsewhere(shelf))
  const settled = settledBy(wanted, settle)
  const { positions: everyWay, reach: everyReach, items: everyProp, ...bay } = bayUsed(layout.uses, shelf)
  const positions = everyWay.flatMap(way => settle(way))
  const reach = everyReach.flatMap(place => settle(place))
  const items = everyProp.filter(({ id }) => positions.some(({ takesOff }) => id in takesOff))
  const here = new Set(settled.flatMap(stepIds))
  const has = (step: string) => here.has(step)
  const steps = [
    ...settled.flatMap(module => module.operations),
    ...(positions as Pick<OperationSource, 'tools' | 'cautions'>[]),
  ]
  wantOwnSets(
    layout.uses,
    here,
    settled.flatMap(module => module.operations),
    shelf.sets,
  )
  const narrowed = narrow(withOptions(used, renewing), { has, steps, keep: settle })
  const content = { ...narrowed, bench: withGuides(narrowed.bench, layout.guides) }
  const answers = {
    options,
    ladders: new Set(content.ladders.map(ladder => ladder.id)),
    sheets: new Set(content.bench.sheets.map(sheet => sheet.id)),
    parts: new Set([
      ...settled.flatMap(module => module.parts.map(part => part.id)),
      ...content.bench.reachable.map(entry => entry.part),
    ]),
    fixed: Object.fromEntries(Object.entries(fixed).filter(([id]) => !options.some(option => option.id === id))),
  }
  const everywhere = [...shelf.modules.values(), ...shelf.renewals]
  const modules = settled
    .filter(module => module.operations.length > 0)
    .map(module => ({ ...module, operations: module.operations.map(operation => knownAnswers(operation, answers)) }))
    .map(module => belonging(module, known, has, settle))
    .map((module, _, all) => ({ ...module, operations: namedHere(module, all, everywhere) }))
  const { fixed: _fixed, defaults: _defaults, rank: _rank, drawing, guides: _guides, uses: _uses, ...rest } = layout
  return {
    ...rest,
    ...content,
    options,
    modules,
    links: layout.links.flatMap(link => settle(link)),
    bay,
    positions,
    reach,
    items,
    toolWords: shelf.toolWords,
    ...(drawing === undefined ? {} : { drawing: narrowDrawing(drawing, shelf, [...modules, { items, groups: [] }]) }),
  }
}

const settledBy = (modules: PackModule[], settle: Settle): PackModule[] =>
  modules.map(module => ({ ...module, operations: module.operations.flatMap(operation => settle(operation)) }))

/** Parts that no option asks about are left as they are. */
const allLeft = ({ renewals }: Shelf, options: PackOption[]): Record<string, string> =>
  Object.fromEntries(renewals.flatMap(({ id }) => (options.some(option => option.id === id) ? [] : [[id, LEFT]])))

/** What can be renewed by the work of a layout, whatever of it is chosen. */
function renewingIn(
  modules: PackModule[],
  options: PackOption[],
  decided: Record<string, string>,
  shelf: Shelf,
): Renewing[] {
  const settle = settler(options, { ...allLeft(shelf, options), ...decided }, choicesElsewhere(shelf))
  const settled = settledBy(modules, settle)
  return renewingOf(shelf.renewals, shelf.bench.reachable, {
    operations: settled.flatMap(({ operations }) => operations),
    steps: new Set(settled.flatMap(stepIds)),
    decided: new Set([...Object.keys(decided), ...options.map(({ id }) => id)]),
  })
}

/** What layouts share, with the option of each part that this one can renew. */
function withOptions<T extends SharedContent>(content: T, renewing: Renewing[]): T {
  const { bench } = content
  const reachable = bench.reachable.map(entry => renewing.find(({ part }) => part.id === entry.id)?.part ?? entry)
  return { ...content, bench: { ...bench, reachable } }
}

/** The modules a layout names, with what they take over, each under the choices it is wanted for. */
function wantedModules(layout: LayoutSource, shelf: Shelf): PackModule[] {
  return layout.modules.map(({ id, when }, index) => {
    const source = shelf.modules.get(id)
    if (!source) throw new AssemblyError(`modules[${index}]`, `there is no module "${id}"`)
    return moduleUnder(resolveModule(source, shelf), when)
  })
}

/** The options a layout asks, its own and shared ones. */
function askedOptions(layout: LayoutSource, shelf: Shelf): PackOption[] {
  const asked = layout.options.map((option, index) => {
    if (typeof option !== 'string') return option
    const shared = shelf.options.find(entry => entry.id === option)
    if (!shared) throw new AssemblyError(`options[${index}]`, `there is no shared option "${option}"`)
    return shared
  })
  for (const [id, choice] of Object.entries(layout.defaults ?? {}))
    if (!asked.some(option => option.id === id && option.choices.some(entry => entry.id === choice)))
      throw new AssemblyError(`defaults.${id}`, `the layout asks no option "${id}" with a choice "${choice}"`)
  return asked.map(option => ({ ...option, default: layout.defaults?.[option.id] ?? option.default }))
}

/** A module without links and places that belong to work of other layouts. */
function belonging(module: PackModule, known: KnownSteps, has: (step: string) => boolean, settle: Settle): PackModule {
  known.wantLinks(module.links, `modules[${module.id}].links`)
  const links = module.links.filter(link => has(link.before) && has(link.after)).flatMap(link => settle(link))
  const groups = module.groups.map((group, index) => {
    known.wantBoard(group, `modules[${module.id}].groups[${index}]`)
    return narrowBoard(group, has)
  })
  return { ...module, assumes: {}, groups, links }
}
