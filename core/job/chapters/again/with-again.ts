import { EITHER_POSITION } from '../../../pack/kinds'
import type { Link, Operation } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import { physicsLinks } from '../../../packs/physics-links'
import { spread, UNFORESEEN } from '../unforeseen/added-step'

/** Something that goes away to be worked on: where to, and how long one way takes. */
export interface SentAway {
  to: string
  /** Minutes of the way there, and as many back; 0 where it is fetched and brought. */
  wayMinutes: number
  /** When it is back, ISO 8601; `null` where nobody knows yet. */
  until: string | null
}

/** A part that the step needs new: beside those of its plan, or, where it is repeated, all that goes in this time. */
export interface PartNeeded {
  partId: string
  name: string
  count: number
  /** When it is there, ISO 8601; `null` where it is here, or nobody knows yet. */
  until: string | null
}

/** What comes apart once more, so that a step can be done anew. */
export interface ApartAgain {
  againId: string
  stepId: string
  because: string
  /** The trouble it follows from. */
  troubleId: string | null
  /** Steps of the strip that are done once more. */
  opens: string[]
  /** Steps done that are to be done again. */
  repeats: string[]
  away: SentAway | null
  parts: PartNeeded[]
}

/** The id of a step of the strip that is done once more. */
export const anewId = (againId: string, stepId: string) => `${againId}.${stepId}`
/** The id under which a step keeps what was done of it the first time. */
export const firstId = (againId: string, stepId: string) => `${againId}.first.${stepId}`
export const awayId = (againId: string) => `${againId}.away`
export const fetchId = (againId: string) => `${againId}.fetch`
export const backPartId = (againId: string) => `${againId}.back`

/** Every step that no layout knows and that this brings. */
export const stepsOfAgain = ({ againId, opens, repeats }: ApartAgain): string[] => [
  ...opens.map(id => anewId(againId, id)),
  ...repeats.map(id => firstId(againId, id)),
  awayId(againId),
  fetchId(againId),
]

const OFF_FIRST = 'It has to come off once more before it can go back.'

/**
 * The procedure with what comes apart once more: the strip steps again, what was done of the steps that are repeated kept
 * under another id, the way to whoever works on it and back, and what the step needs new.
 * What it names and this procedure lacks is passed over.
 */
export function withAgain(procedure: Procedure, again: ApartAgain): Procedure {
  const { againId, stepId, opens, repeats } = again
  const operations = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const there = (ids: string[]) => ids.flatMap(id => operations.get(id) ?? [])
  const repeated = there(repeats)
  const strips = anew(procedure, again, there(opens))
  const firsts = repeated.map(operation => asDone(operation, firstId(againId, operation.id)))
  const ways = waysOf(again, operations.get(stepId))
  const wanted = partsWanted(again, ways.length > 0)
  const known = new Set(procedure.parts.map(({ id }) => id))
  const links = [
    ...procedure.links,
    ...linksAgain(procedure, againId, new Set(strips.map(strip => strip.again!))),
    ...wayLinks(again, strips, ways),
  ]
  return {
    ...procedure,
    operations: [
      ...procedure.operations.map(operation =>
        operation.id === stepId ? withParts(operation, wanted, repeats.includes(stepId)) : operation,
      ),
      ...strips,
      ...ways,
      ...firsts,
    ],
    parts: [...procedure.parts, ...wanted.filter(({ partId }) => !known.has(partId)).map(asPart)],
    links: [...links, ...physicsAgain(procedure, links, strips, repeated)],
  }
}

/** What follows from props, faces and openings for what comes apart once more and goes back: first all of the one, then the other. */
function physicsAgain(procedure: Procedure, given: Link[], strips: Operation[], repeated: Operation[]): Link[] {
  const apart = new Set(strips.map(({ id }) => id))
  const followed = [
    ...physicsLinks(procedure, [...strips, ...repeated], id => (apart.has(id) ? new Set() : apart)),
    ...propsFirst(procedure, strips),
  ]
  const before = new Map<string, string[]>()
  const note = (link: Link) => {
    const known = before.get(link.after)
    if (known) known.push(link.before)
    else before.set(link.after, [link.before])
  }
  given.forEach(note)
  // What the order of the first time stands against stays as it was then.
  return followed.filter(link => {
    if (link.before === link.after || before.get(link.after)?.includes(link.before)) return false
    if (comesAfter(before, link.before, link.after)) return false
    note(link)
    return true
  })
}

/** What carries a load is under it before anything else that holds it lets go: how much of that still holds, nobody knows any more. */
function propsFirst({ loads = [], items }: Procedure, strips: Operation[]): Link[] {
  return loads.flatMap(({ name, heldBy }) => {
    const props = new Set(heldBy.flatMap(({ prop }) => prop ?? []))
    const groups = new Set(heldBy.flatMap(({ bolts }) => bolts?.group ?? []))
    const holding = new Set([
      ...heldBy.flatMap(({ fitted = [] }) => fitted),
      ...items
        .filter(({ group, state }) => state === 'off' && group !== undefined && groups.has(group))
        .map(({ id }) => id),
    ])
    const takes = (wanted: Set<string>) =>
      strips.filter(({ takesOff }) => Object.keys(takesOff).some(id => wanted.has(id)))
    return takes(props).flatMap(under =>
      takes(holding).map((off): Link => ({
        before: under.id,
        after: off.id,
        kind: 'safety',
        because: `${name} is carried before what holds it lets go.`,
        waitMinutes: 0,
      })),
    )
  })
}

/** Whether one step comes after another along the steps that come right before each. */
function comesAfter(before: Map<string, string[]>, late: string, early: string): boolean {
  const open = [late]
  const seen = new Set(open)
  for (let id = open.pop(); id !== undefined; id = open.pop())
    for (const each of before.get(id) ?? []) {
      if (each === early) return true
      if (seen.has(each)) continue
      seen.add(each)
      open.push(each)
    }
  return false
}

const asPart = ({ partId, name }: PartNeeded) => ({ id: partId, name })

/**
 * What steps that are repeated have left slack or set in its place, and nothing has settled since: item id → how many.
 * It goes when they come apart.
 */
export function leftBehind({ operations }: Procedure, repeats: readonly string[]): Map<string, number> {
  const own = operations.filter(({ id }) => repeats.includes(id))
  const counts = new Map<string, number>()
  for (const { takesOff } of own)
    for (const [item, count] of Object.entries(takesOff)) counts.set(item, (counts.get(item) ?? 0) + count)
  for (const { putsBack } of own)
    for (const [item, count] of Object.entries(putsBack))
      if (counts.has(item)) counts.set(item, Math.max(0, counts.get(item)! - count))
  return new Map([...counts].filter(([, count]) => count > 0))
}

/** The strip once more: it takes off what was put back meanwhile, and settles what it has loosened itself or what was left behind. */
function anew(procedure: Procedure, { againId, opens, repeats }: ApartAgain, strips: Operation[]): Operation[] {
  const { items, operations, groups, surfaces = [] } = procedure
  const once = new Set(surfaces.flatMap(surface => (surface.once ? surface.id : [])))
  const back = new Map<string, number>()
  for (const { id, putsBack } of operations)
    if (repeats.includes(id) || opens.includes(id))
      for (const [item, count] of Object.entries(putsBack)) back.set(item, (back.get(item) ?? 0) + count)
  // What stands on a board is counted there, bolt by bolt; what is set for the work is set as it was.
  const inFull = new Set(
    items
      .filter(({ state, group }) => state === 'propped' || groups.some(({ id }) => id === group))
      .map(({ id }) => id),
  )
  const loosened = new Set(strips.flatMap(({ takesOff }) => Object.keys(takesOff)))
  const left = leftBehind(procedure, repeats)
  const settles = strips.map(({ putsBack }) =>
    Object.fromEntries(Object.entries(putsBack).filter(([item]) => loosened.has(item) || left.has(item))),
  )
  for (const [item, count] of left) {
    if (settles.some(entries => item in entries)) continue
    const by = operations.find(({ id, takesOff }) => repeats.includes(id) && item in takesOff)?.undoes
    const strip = strips.findIndex(({ id }) => id === by)
    const settling = settles.at(strip)
    if (settling) settling[item] = count
  }
  return strips.map((strip, index): Operation => {
    const { learned: _learned, milestone: _milestone, whole: _whole, soils, ...rest } = strip
    return {
      ...rest,
      id: anewId(againId, strip.id),
      module: UNFORESEEN,
      again: strip.id,
      title: `Once more: ${strip.title}`,
      // What went in at either height comes out at either.
      car: operations.find(({ undoes }) => undoes === strip.id)?.car === EITHER_POSITION ? EITHER_POSITION : strip.car,
      takesOff: Object.fromEntries(
        Object.entries(strip.takesOff).flatMap(([item, count]): [string, number][] => {
          const off = inFull.has(item) ? count : Math.min(count, back.get(item) ?? 0)
          if (!inFull.has(item)) back.set(item, (back.get(item) ?? 0) - off)
          return off > 0 ? [[item, off]] : []
        }),
      ),
      putsBack: settles[index]!,
      ...(soils ? { soils: soils.filter(surface => !once.has(surface)) } : {}),
      readings: [],
      parts: {},
    }
  })
}

/** What is left of a step that was done and is to be done again: its minutes and what it used up. */
function asDone(operation: Operation, id: string): Operation {
  const { title, phase, place, car, minutes, hands, parts, asTold } = operation
  return {
    id,
    module: UNFORESEEN,
    title,
    phase,
    place,
    car,
    minutes,
    hands,
    parts,
    ...(asTold ? { asTold } : {}),
    tools: [],
    needs: [],
    gives: [],
    ends: [],
    takesOff: {},
    putsBack: {},
    readings: [],
    cautions: [],
  }
}

/** The way to whoever works on it, and back. */
function waysOf({ againId, away }: ApartAgain, target: Operation | undefined): Operation[] {
  if (!away || away.wayMinutes <= 0 || !target) return []
  const way = asDone(
    { ...target, place: 'bench', car: 'either', hands: 1, minutes: spread(away.wayMinutes), parts: {} },
    '',
  )
  return [
    { ...way, asTold: true, phase: 'bench', id: awayId(againId), title: `Take it there: ${away.to}` },
    {
      ...way,
      asTold: true,
      phase: 'bench',
      id: fetchId(againId),
      title: `Fetch it: ${away.to}`,
      parts: { [backPartId(againId)]: 1 },
    },
  ]
}

/** Parts that the step itself needs besides: those named, and what comes back where nobody drives for it. */
function partsWanted({ againId, away, parts }: ApartAgain, isFetched: boolean): PartNeeded[] {
  if (!away || isFetched) return parts
  const back = { partId: backPartId(againId), name: `Work by others: ${away.to}`, count: 1, until: away.until }
  return [...parts, back]
}

/** @param isAgain what it used up the first time is counted there */
function withParts(operation: Operation, wanted: PartNeeded[], isAgain: boolean): Operation {
  const parts = isAgain ? {} : { ...operation.parts }
  for (const { partId, count } of wanted) parts[partId] = (parts[partId] ?? 0) + count
  return { ...operation, parts }
}

/** The links of the strip once more: among the steps done anew, and to whatever was behind them. */
function linksAgain({ links }: Procedure, againId: string, anewOf: Set<string>): Link[] {
  return links.flatMap((link): Link[] => {
    if (!anewOf.has(link.before) || link.kind === 'habit') return []
    const { atOnce, ...rest } = { ...link, before: anewId(againId, link.before) }
    if (!anewOf.has(link.after)) return [rest]
    return [{ ...rest, after: anewId(againId, link.after), ...(atOnce ? { atOnce } : {}) }]
  })
}

function wayLinks({ againId, stepId }: ApartAgain, strips: Operation[], ways: Operation[]): Link[] {
  const link = (before: string, after: string, because: string): Link => ({
    before,
    after,
    kind: 'physical',
    because,
    waitMinutes: 0,
  })
  const off = strips.map(strip => link(strip.id, stepId, OFF_FIRST))
  if (ways.length === 0) return off
  return [
    ...off,
    ...strips.map(strip => link(strip.id, awayId(againId), OFF_FIRST)),
    link(awayId(againId), fetchId(againId), 'It has to be there before it can be fetched.'),
    link(fetchId(againId), stepId, 'It goes back when it is here again.'),
  ]
}
