import { both } from './applies'
import { benchOf } from './bench-of'
import { checkDrawing } from './check-drawing'
import { refitId } from './mirror'
import type { ClosingCheck, RoadTask } from './closing-types'
import type { BleedWay } from './bleed-types'
import type { CarDrawing } from './drawing-types'
import type { BenchData } from './sheet-types'
import { knownAnswers } from './known-answers'
import type { Caution, Fact, FastenerGroup, Ladder, LedgerItem, LinkSource, OperationSource, Outline, Pack, PackModule, PackOption, Place, Positioning, Reach, RefitOverride, Tool, ToolWord, When } from './types'

/** What a module changes in the one it is made from. */
export interface Adjustments {
  /** Work at one place moves to another. */
  moves: Partial<Record<Place, Place>>
  /** By operation id; the refit of `x` is `x.refit`. */
  operations: Record<string, Partial<RefitOverride>>
  facts: Record<string, Partial<Pick<Fact, 'name' | 'because'>>>
  items: Record<string, Partial<Pick<LedgerItem, 'name' | 'goesTo'>>>
}

/** A module as written: whole, or made from another with changes and additions. */
export interface ModuleSource extends PackModule { from?: string, adjust: Adjustments }

/** A layout as written, before its modules are put in. */
export interface LayoutSource extends Omit<Pack, 'modules' | 'options' | 'positions' | 'reach' | 'items' | 'tools' | 'toolWords' | 'cautions' | 'outlines' | 'ladders' | 'bench' | 'bleeding' | 'closing' | 'roadTest' | 'drawing'> {
  /** The drawing of its family, by id. */
  drawing?: string
  /** What is usual on this layout: sheet → field → the rule of thumb taken where nothing is entered. */
  guides: Record<string, Record<string, number>>
  /** Choices that this layout leaves nobody. */
  fixed: Record<string, string>
  /** Where it stands among the layouts, the lowest first. */
  rank: number
  modules: { id: string, when: When }[]
  options: (string | PackOption)[]
}

/** What all layouts share. */
export interface Shelf {
  modules: Map<string, ModuleSource>
  options: PackOption[]
  positions: Positioning[]
  reach: Reach[]
  items: LedgerItem[]
  tools: Tool[]
  toolWords: ToolWord[]
  cautions: Caution[]
  outlines: Outline[]
  ladders: Ladder[]
  bench: BenchData
  bleeding: BleedWay[]
  closing: ClosingCheck[]
  roadTest: RoadTask[]
  drawings: CarDrawing[]
}

/** A layout that names something the shelf does not hold. */
export class AssemblyError extends Error {
  override name = 'AssemblyError'
  constructor(readonly path: string, readonly reason: string) {
    super(`${path}: ${reason}`)
  }
}

/**
 * Puts a layout together with its modules into a pack that needs nothing else.
 * Work that the layout's fixed choices rule out is left out, and so are links of a module to operations
 * that only modules of other layouts hold.
 * @throws AssemblyError on an unknown module or option, and on a link to an operation that no module of the shelf holds
 */
export function assemblePack(layout: LayoutSource, shelf: Shelf): Pack {
  const anywhere = new Set([...shelf.modules.values()].flatMap(module => idsOf(resolve(module, shelf))))
  const wanted = layout.modules.map(({ id, when }, index) => {
    const source = shelf.modules.get(id)
    if (!source) throw new AssemblyError(`modules[${index}]`, `there is no module "${id}"`)
    return under(resolve(source, shelf), when)
  })
  const options = layout.options.map((option, index) => {
    if (typeof option !== 'string') return option
    const shared = shelf.options.find(entry => entry.id === option)
    if (!shared) throw new AssemblyError(`options[${index}]`, `there is no shared option "${option}"`)
    return shared
  })
  const fixed: Record<string, string> = { ...Object.assign({}, ...wanted.map(module => module.assumes)), ...layout.fixed }
  const settle = settler(options, fixed, choicesElsewhere(shelf))
  const settled = wanted.map(module => ({ ...module, operations: module.operations.flatMap(operation => settle(operation)) }))
  const here = new Set(settled.flatMap(idsOf))
  const bench = withGuides(assembleBench(shelf.bench, here, anywhere, settle), layout.guides)
  const ladders = laddersOf(shelf, here, anywhere)
  const known = {
    options, ladders: new Set(ladders.map(ladder => ladder.id)), sheets: new Set(bench.sheets.map(sheet => sheet.id)),
    parts: new Set([...settled.flatMap(module => module.parts.map(part => part.id)), ...bench.reachable.map(entry => entry.part)]),
    fixed: Object.fromEntries(Object.entries(fixed).filter(([id]) => !options.some(option => option.id === id))),
  }
  const worked = settled.map(module => ({ ...module, operations: module.operations.map(operation => knownAnswers(operation, known)) }))
  const modules = worked.filter(module => module.operations.length > 0).map((module): PackModule => {
    const links = module.links.filter((link, index) => belongs(link, here, anywhere, `modules[${module.id}].links[${index}]`)).flatMap(link => settle(link))
    const groups = module.groups.map((group, index) => withoutAbsent(group, here, anywhere, `modules[${module.id}].groups[${index}]`))
    return { ...module, assumes: {}, groups, links }
  })
  const steps = [...modules.flatMap(module => module.operations), ...shelf.positions] as Step[]
  const used = (kind: 'tools' | 'cautions') => new Set(steps.flatMap(step => [...step[kind], ...step.refit?.kind === 'mirror' ? step.refit.override[kind] ?? [] : []]))
  const [tools, cautions] = [used('tools'), used('cautions')]
  for (const ladder of ladders) {
    for (const id of ladder.cautions) cautions.add(id)
    for (const id of ladder.rungs.flatMap(rung => rung.tools)) tools.add(id)
  }
  const { fixed: _fixed, rank: _rank, drawing, guides: _guides, ...rest } = layout
  return {
    ...rest, options, modules, links: layout.links.flatMap(link => settle(link)),
    positions: shelf.positions, reach: shelf.reach, items: shelf.items,
    tools: shelf.tools.filter(tool => tools.has(tool.id)), toolWords: shelf.toolWords,
    cautions: shelf.cautions.filter(caution => cautions.has(caution.id)),
    outlines: shelf.outlines, ladders,
    bleeding: modules.some(module => module.operations.some(operation => operation.activity?.kind === 'bleed')) ? shelf.bleeding : [],
    closing: shelf.closing.map((check) => {
      const stranger = check.steps.find(step => !anywhere.has(step))
      if (stranger !== undefined) throw new AssemblyError(`closing[${check.id}].steps`, `unknown operation "${stranger}"`)
      return { ...check, steps: check.steps.filter(step => here.has(step)) }
    }).filter((check, index) => shelf.closing[index]!.steps.length === 0 || check.steps.length > 0),
    roadTest: shelf.roadTest,
    bench,
    ...(drawing === undefined ? {} : { drawing: drawingOf(drawing, shelf, modules) }),
  }
}

/** Ladders that a layout has a use for. @throws AssemblyError on a step that no module of the shelf holds */
function laddersOf(shelf: Shelf, here: Set<string>, anywhere: Set<string>): Ladder[] {
  return shelf.ladders.map((ladder) => {
    const stranger = ladder.steps.find(step => !anywhere.has(step))
    if (stranger !== undefined) throw new AssemblyError(`ladders[${ladder.id}].steps`, `unknown operation "${stranger}"`)
    return { ...ladder, steps: ladder.steps.filter(step => here.has(step)) }
  }).filter(ladder => ladder.everywhere || ladder.when.length + ladder.steps.length > 0)
}

/** Puts a layout's own rules of thumb into its sheets. @throws AssemblyError on a sheet or a field of numbers it does not have */
function withGuides(bench: BenchData, guides: Record<string, Record<string, number>>): BenchData {
  for (const [sheetId, fields] of Object.entries(guides)) {
    const sheet = bench.sheets.find(entry => entry.id === sheetId)
    if (!sheet) throw new AssemblyError(`guides.${sheetId}`, `this layout has no sheet "${sheetId}"`)
    for (const [id, guide] of Object.entries(fields)) {
      const field = sheet.fields.find(entry => entry.id === id)
      if (field?.kind !== 'number') throw new AssemblyError(`guides.${sheetId}.${id}`, `the sheet asks for no number "${id}"`)
      if (guide < field.low || guide > field.high) throw new AssemblyError(`guides.${sheetId}.${id}`, `lies between ${field.low} and ${field.high}`)
    }
  }
  return {
    ...bench,
    sheets: bench.sheets.map(sheet => ({ ...sheet, fields: sheet.fields.map(field => field.kind === 'number' && guides[sheet.id]?.[field.id] !== undefined ? { ...field, guide: guides[sheet.id]![field.id]! } : field) })),
  }
}

/** The drawing a layout names, with what of it the layout can take off or hold. @throws AssemblyError where there is none */
function drawingOf(id: string, { drawings, items, modules: everyModule }: Shelf, modules: PackModule[]): CarDrawing {
  const drawing = drawings.find(entry => entry.id === id)
  if (!drawing) throw new AssemblyError('drawing', `there is no drawing "${id}"`)
  // Looked at whole: what a layout lacks is left out below, and a slip of the pen would go with it.
  const [fault] = checkDrawing(drawing)
  if (fault) throw new AssemblyError(fault.path, fault.reason)
  const known = (kind: 'items' | 'groups', list: { [kind in 'items' | 'groups']: { id: string }[] }[]) => new Set(list.flatMap(module => module[kind].map(entry => entry.id)))
  const anywhere = { items: new Set([...known('items', [...everyModule.values()]), ...items.map(item => item.id)]), groups: known('groups', [...everyModule.values()]) }
  const here = { items: new Set([...known('items', modules), ...items.map(item => item.id)]), groups: known('groups', modules) }
  const things = drawing.things.map((thing) => {
    for (const [kind, known] of [['items', anywhere.items], ['fixings', anywhere.items], ['groups', anywhere.groups]] as const) {
      const stranger = thing[kind].find(each => !known.has(each))
      if (stranger !== undefined) throw new AssemblyError(`drawing.things[${thing.id}].${kind}`, `nobody knows "${stranger}"`)
    }
    return { ...thing, items: thing.items.filter(each => here.items.has(each)), fixings: thing.fixings.filter(each => here.items.has(each)), groups: thing.groups.filter(each => here.groups.has(each)) }
  }).filter(thing => !(thing.appears || thing.optional) || thing.items.length + thing.fixings.length > 0)
  return {
    ...drawing, things,
    carried: drawing.carried.map((body) => {
      const masses = body.masses.filter(mass => mass.off === undefined || here.items.has(mass.off))
      return { ...body, masses, supports: body.supports.filter(({ thing, under }) => things.some(entry => entry.id === thing) && (under === undefined || masses.some(mass => mass.id === under))) }
    }),
  }
}

/** The bench of a layout. @throws AssemblyError on a step that no module of the shelf holds */
function assembleBench(bench: BenchData, here: Set<string>, anywhere: Set<string>, settle: <T extends { when: When }>(thing: T) => T[]): BenchData {
  const known = (path: string, steps: string[]) => {
    const stranger = steps.find(step => !anywhere.has(step))
    if (stranger !== undefined) throw new AssemblyError(path, `unknown operation "${stranger}"`)
  }
  for (const sheet of bench.sheets) known(`sheets[${sheet.id}]`, [...sheet.steps, ...sheet.fields.flatMap(field => [...field.steps ?? [], ...field.reading ? [field.reading.step] : []])])
  for (const entry of bench.orientations) known(`orientations[${entry.id}]`, [...entry.off, ...entry.back])
  for (const entry of bench.oldParts) known(`oldParts[${entry.id}]`, [...entry.off, ...entry.until])
  for (const entry of bench.reachable) known(`reachable[${entry.id}]`, [...entry.reachedBy, ...entry.option?.steps ?? []])
  if (bench.mating) known('mating', [bench.mating.step, ...bench.mating.checks.flatMap(check => [check.done ?? [], check.reading?.step ?? []].flat()), ...bench.mating.causes.flatMap(cause => cause.signs.flatMap(sign => [sign.notDone ?? [], sign.reading?.step ?? []].flat()))])
  return benchOf(bench, step => here.has(step), settle)
}

/** A group's map without the steps that only other layouts hold. */
function withoutAbsent(group: FastenerGroup, here: Set<string>, anywhere: Set<string>, path: string): FastenerGroup {
  if (!group.board) return group
  const known = (step: string | undefined, at: string) => {
    if (step !== undefined && !anywhere.has(step)) throw new AssemblyError(`${path}.board.${at}`, `unknown operation "${step}"`)
    return step !== undefined && here.has(step)
  }
  const { clearFor, ...board } = group.board
  return {
    ...group,
    board: {
      ...board, ...(known(clearFor, 'clearFor') ? { clearFor } : {}),
      places: board.places.map(({ offWith, ...place }) => known(offWith, `places[${place.id}].offWith`) ? { ...place, offWith } : place),
    },
  }
}

type Step = Pick<OperationSource, 'tools' | 'cautions'> & Partial<Pick<OperationSource, 'refit'>>

/** Choices that other layouts offer or take for granted, as `option=choice`. */
function choicesElsewhere(shelf: Shelf): Set<string> {
  return new Set([
    ...shelf.options.flatMap(option => option.choices.map(choice => `${option.id}=${choice.id}`)),
    ...[...shelf.modules.values()].flatMap(module => Object.entries(module.assumes).map(([option, choice]) => `${option}=${choice}`)),
  ])
}

/**
 * Settles what the layout leaves nobody to choose: an entry that its fixed choices rule out is dropped, an option they decide
 * is no longer asked. Choices that only other layouts offer are left out; what nobody offers stays, to be found as a fault.
 * @returns a function that gives the thing with what is left of its `when`, or nothing when it never applies
 */
function settler(options: PackOption[], fixed: Record<string, string>, elsewhere: Set<string>) {
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
        left[id] = option ? choices.filter(choice => option.choices.some(each => each.id === choice) || !elsewhere.has(`${id}=${choice}`)) : choices
        if (left[id].length === 0) return []
      }
      return [left]
    })
    if (when.length === 0) return []
    return [{ ...thing, when: when.some(entry => Object.keys(entry).length === 0) ? [] : when }]
  }
}

function belongs(link: LinkSource, here: Set<string>, anywhere: Set<string>, path: string): boolean {
  for (const id of [link.before, link.after]) if (!anywhere.has(id)) throw new AssemblyError(path, `unknown operation "${id}"`)
  return here.has(link.before) && here.has(link.after)
}

function idsOf(module: PackModule): string[] {
  return module.operations.flatMap(({ id, refit }) => refit.kind === 'mirror' ? [id, refitId(id)] : [id])
}

/** A module with everything that it takes over from the one it is made from. */
function resolve(source: ModuleSource, shelf: Shelf, line: string[] = []): PackModule {
  const { from, adjust, ...own } = source
  if (from === undefined) return own
  if (line.includes(source.id)) throw new AssemblyError(`modules[${source.id}].from`, `a module is not made from itself: ${[...line, source.id].join(' → ')}`)
  const parent = shelf.modules.get(from)
  if (!parent) throw new AssemblyError(`modules[${source.id}].from`, `there is no module "${from}"`)
  const base = resolve(parent, shelf, [...line, source.id])
  const idsIn = (list: { id: string }[]) => list.map(({ id }) => id)
  for (const [kind, word, known] of [['operations', 'operation', idsOf(base)], ['facts', 'fact', idsIn(base.facts)], ['items', 'item', idsIn(base.items)]] as const) {
    const stranger = Object.keys(adjust[kind]).find(id => !known.includes(id))
    if (stranger !== undefined) throw new AssemblyError(`modules[${source.id}].adjust.${kind}`, `unknown ${word} "${stranger}"`)
  }
  const replaced = new Set(own.operations.map(operation => operation.id))
  return {
    id: own.id, title: own.title,
    assumes: { ...base.assumes, ...own.assumes },
    items: [...base.items.map(item => ({ ...item, ...adjust.items[item.id] })), ...own.items],
    facts: [...base.facts.map(fact => ({ ...fact, ...adjust.facts[fact.id] })), ...own.facts],
    groups: [...base.groups, ...own.groups],
    parts: [...base.parts, ...own.parts],
    operations: [...base.operations.filter(operation => !replaced.has(operation.id)).map(operation => adjusted(operation, adjust)), ...own.operations],
    links: [...base.links, ...own.links],
  }
}

function adjusted(operation: OperationSource, { moves, operations }: Adjustments): OperationSource {
  const { refit } = operation
  return {
    ...operation, place: moves[operation.place] ?? operation.place, ...operations[operation.id],
    refit: refit.kind !== 'mirror' ? refit : {
      kind: 'mirror',
      override: {
        ...refit.override,
        ...(refit.override.place ? { place: moves[refit.override.place] ?? refit.override.place } : {}),
        ...operations[refitId(operation.id)],
      },
    },
  }
}

/** A module whose work and links apply only under `when`. */
function under(module: PackModule, when: When): PackModule {
  if (when.length === 0) return module
  return {
    ...module,
    operations: module.operations.map(operation => ({ ...operation, when: both(operation.when, when) })),
    links: module.links.map(link => ({ ...link, when: both(link.when, when) })),
  }
}
