import { applies } from './applies'
import { authoredOrder } from './authored-order'
import { groupsSetBy } from './check-fasteners'
import { factLinks } from './fact-links'
import { findCycle } from '../base/find-cycle'
import { physicalThings, physicsLinks } from './physics-links'
import { narrow, narrowBody } from './narrow'
import type { FastenerGroup } from '../pack/fasteners'
import { EITHER_POSITION } from '../pack/kinds'
import type { CarPosition } from '../pack/kinds'
import { bayOf } from '../pack/bay'
import type { Fact, Link, Operation, Positioning } from '../pack/operations'
import { writtenWork } from './written-work'
import type { Pack, Procedure } from '../pack/pack'
import type { LedgerItem, Part } from '../pack/things'

/** A pack, or a choice of options, that cannot be expanded. `path` says where. */
export class PackError extends Error {
  override name = 'PackError'
  constructor(
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path}: ${reason}`)
  }
}

/**
 * Turns a pack and a choice of options into the whole work for one car: every operation of strip, bench,
 * refit, fill and prove, and every link between them with its because.
 *
 * @param pack a layout with its modules
 * @param options option id → choice id; options left out take their default
 * @returns operations in authored order, which respects every link
 * @throws PackError on an unknown option or choice, and on links that form a cycle (printed as a path)
 */
export function expandPack(pack: Pack, options: Record<string, string> = {}): Procedure {
  const chosen = chooseOptions(pack, options)
  const { operations, links, facts } = workUnder(pack, chosen)
  const present = new Set(operations.map(operation => operation.id))
  const [home, away] = bayOf(pack).stances.map(stance => position(pack, chosen, stance.id)) as [Stood, Stood]
  const positions = { [away.to]: away, [home.to]: home }
  return {
    ...narrow(pack, {
      has: step => present.has(step),
      steps: [...operations, away, home],
      named: laddersNamed(operations),
      keep: thing => (thing.when.length === 0 ? [thing] : applies(thing.when, chosen) ? [{ ...thing, when: [] }] : []),
    }),
    packId: pack.id,
    packVersion: pack.version,
    title: pack.title,
    options: chosen,
    hands: pack.options.some(option =>
      option.choices.some(choice => choice.id === chosen[option.id] && choice.hands === 2),
    )
      ? 2
      : 1,
    operations,
    links,
    positions,
    facts,
    items: usedItems(pack, operations, positions),
    groups: usedGroups(pack, operations),
    parts: usedParts(pack, operations),
    ...bodiesHere(pack, present),
    ...loadsHere(pack, operations),
    ...surfacesHere(pack, operations),
    ...(pack.drawing ? { drawing: pack.drawing } : {}),
    ...(pack.bay ? { bay: pack.bay } : {}),
    ...(pack.pace ? { pace: pack.pace } : {}),
  }
}

/** What is done under a choice for every option, and in what order it can be done. */
export interface ChosenWork {
  /** In authored order, which respects every link. */
  operations: Operation[]
  links: Link[]
  facts: Fact[]
}

/**
 * The steps and links that apply, without what is shared and carried along.
 * @throws PackError on links that form a cycle
 */
export function workUnder(pack: Pack, chosen: Record<string, string>): ChosenWork {
  const written = writtenWork(pack)
  const sources = written.steps.filter(step => applies(step.when, chosen))
  const operations = [...sources.map(({ step }) => step), ...sources.flatMap(({ refit }) => refit ?? [])].map(
    operation => withReach(pack, chosen, operation),
  )
  const present = new Set(operations.map(operation => operation.id))
  const chosenLinks = written.links.filter(link => applies(link.when, chosen))
  const facts = usedFacts(pack, operations)
  const links = merge(
    [
      ...chosenLinks.map(({ plain }) => plain),
      ...chosenLinks.flatMap(({ mirrored }) => mirrored ?? []),
      ...sources.flatMap(({ refitLink }) => refitLink ?? []),
      ...sources.flatMap(({ undoneLink }) => undoneLink ?? []),
      ...facts.flatMap(fact => factLinks(fact, operations, written.earlier)),
      ...physicsLinks(physicalThings(pack), operations, written.earlier),
      ...wholeLinks(operations),
    ].filter(link => present.has(link.before) && present.has(link.after) && link.before !== link.after),
  )
  const ordered = authoredOrder(operations, links)
  if (ordered.length < operations.length) {
    const cycle = findCycle([...present], links)!
    throw new PackError(`packs/${pack.id}`, `the links form a cycle: ${cycle.join(' → ')}`)
  }
  return { operations: ordered, links, facts }
}

/** The choice of every option: the one made, or its default. @throws PackError on one that is not there */
export function chooseOptions(pack: Pack, options: Record<string, string>): Record<string, string> {
  for (const id of Object.keys(options)) {
    if (!pack.options.some(option => option.id === id))
      throw new PackError(`options.${id}`, `${pack.id} has no option "${id}"`)
  }
  return Object.fromEntries(
    pack.options.map(option => {
      const choice = options[option.id] ?? option.default
      if (!option.choices.some(({ id }) => id === choice)) {
        throw new PackError(
          `options.${option.id}`,
          `"${choice}" is not one of ${option.choices.map(({ id }) => id).join(', ')}`,
        )
      }
      return [option.id, choice]
    }),
  )
}

/** Settles an operation that is done at either height where its place can be reached at one height only. */
function withReach(pack: Pack, options: Record<string, string>, operation: Operation): Operation {
  const reach = pack.reach.find(entry => entry.place === operation.place && applies(entry.when, options))
  return reach && operation.car === EITHER_POSITION ? { ...operation, car: reach.car } : operation
}

/** A car that is driven or heard is whole: nothing comes off, apart or loose before. */
function wholeLinks(operations: Operation[]): Link[] {
  const strips = operations.filter(
    operation => ['make-safe', 'strip'].includes(operation.phase) && Object.keys(operation.takesOff).length > 0,
  )
  return operations
    .filter(operation => operation.whole)
    .flatMap(test =>
      strips.map((strip): Link => ({
        before: test.id,
        after: strip.id,
        kind: 'safety',
        because: 'The car is driven and heard while it is whole; nothing comes off before.',
        waitMinutes: 0,
      })),
    )
}

/** One link per pair and kind; the longest wait wins, the first sentence stays. */
function merge(links: Link[]): Link[] {
  const byPair = new Map<string, Link>()
  for (const link of links) {
    const key = `${link.before} ${link.after} ${link.kind}`
    const known = byPair.get(key)
    if (!known) byPair.set(key, link)
    else if (link.waitMinutes > known.waitMinutes || (link.atOnce && !known.atOnce)) byPair.set(key, link)
  }
  return [...byPair.values()]
}

type Stood = Omit<Positioning, 'when'>

function position(pack: Pack, options: Record<string, string>, to: CarPosition): Stood {
  const found = pack.positions.find(entry => entry.to === to && applies(entry.when, options))
  if (!found)
    throw new PackError(`packs/${pack.id}.positions`, `no way to bring the car to "${to}" under these options`)
  const { when: _when, ...rest } = found
  return rest
}

/** Ladders that a bad answer leads to. */
function laddersNamed(operations: Operation[]): Set<string> {
  const answers = operations.flatMap(operation =>
    operation.readings.flatMap(spec => (spec.kind === 'choice' ? Object.values(spec.bad ?? {}) : [])),
  )
  return new Set(answers.flatMap(bad => bad.ladder ?? []))
}

function usedFacts(pack: Pack, operations: Operation[]): Fact[] {
  const used = new Set(operations.flatMap(({ needs, gives, ends }) => [...needs, ...gives, ...ends]))
  return pack.modules.flatMap(module => module.facts).filter(fact => used.has(fact.id))
}

const itemsOf = (pack: Pack) => [...pack.items, ...pack.modules.flatMap(module => module.items)]

function usedItems(pack: Pack, operations: Operation[], positions: Record<CarPosition, Stood>): LedgerItem[] {
  const used = new Set([...operations, ...Object.values(positions)].flatMap(step => Object.keys(step.takesOff)))
  return itemsOf(pack).filter(item => used.has(item.id))
}

/** Bodies that this work opens. */
function bodiesHere(pack: Pack, present: Set<string>): Pick<Procedure, 'bodies'> {
  const bodies = pack.modules
    .flatMap(module => module.bodies ?? [])
    .flatMap(body => (present.has(body.opens) ? [narrowBody(body, step => present.has(step))] : []))
  return bodies.length > 0 ? { bodies } : {}
}

/** Loads that this work takes a hold from, with the holds that it knows. */
function loadsHere(pack: Pack, operations: Operation[]): Pick<Procedure, 'loads'> {
  const moved = new Set(operations.flatMap(operation => Object.keys(operation.takesOff)))
  const loads = pack.modules
    .flatMap(module => module.loads ?? [])
    .map(load => ({ ...load, heldBy: load.heldBy.filter(({ prop }) => prop === undefined || moved.has(prop)) }))
    .filter(load => load.heldBy.some(({ prop }) => prop !== undefined))
  return loads.length > 0 ? { loads } : {}
}

/** Surfaces that something of this work wants clean. */
function surfacesHere(pack: Pack, operations: Operation[]): Pick<Procedure, 'surfaces'> {
  const wanted = new Set(operations.flatMap(({ wantsClean = [] }) => wantsClean))
  const surfaces = pack.modules.flatMap(module => module.surfaces ?? []).filter(({ id }) => wanted.has(id))
  return surfaces.length > 0 ? { surfaces } : {}
}

function usedParts(pack: Pack, operations: Operation[]): Part[] {
  const used = new Set(operations.flatMap(operation => Object.keys(operation.parts)))
  return pack.modules.flatMap(module => module.parts).filter(part => used.has(part.id))
}

function usedGroups(pack: Pack, operations: Operation[]): FastenerGroup[] {
  const off = new Set(operations.flatMap(operation => Object.keys(operation.takesOff)))
  const used = new Set([
    ...operations.flatMap(groupsSetBy),
    ...pack.modules.flatMap(module =>
      module.items.flatMap(item => (item.group !== undefined && off.has(item.id) ? item.group : [])),
    ),
  ])
  return pack.modules.flatMap(module => module.groups).filter(group => used.has(group.id))
}
