import type { Calendar } from './calendar'
import { topologicalOrder } from './topological-order'

export const GROUND = 0
export const RAISED = 1
export const EITHER = 2
export const carCode = { ground: GROUND, raised: RAISED, either: EITHER } as const
/** How the car stands, as the solver counts it: as it came, or as most of the work wants it. */
export type Height = 'ground' | 'raised'

export const CLEAN = 1
export const DIRTY = 2

/** A step as the solver sees it. */
export interface InstanceStep {
  id: string
  minutes: number
  /** Minutes while no second pair of hands is there; the same when one is enough. */
  aloneMinutes?: number
  place: string
  car: Height | 'either'
  tools: string[]
  /** The earliest minute at which it may start. */
  notBefore?: number
  /** What it does to hands: makes them dirty, or wants them clean. */
  hands?: 'dirty' | 'clean'
  /** The step that must stand directly before it. */
  directlyAfter?: string
}

export interface InstanceLink {
  before: string
  after: string
  waitMinutes?: number
}

export interface InstanceSetup {
  walkMinutes: number
  toolMinutes: number
  raiseMinutes: number
  lowerMinutes: number
  washMinutes?: number
  /** So many tools stay at hand within a stay; 0 or left out: only those of the step before. */
  trayTools?: number
}

export interface InstanceSource {
  steps: InstanceStep[]
  links: InstanceLink[]
  setup: InstanceSetup
  start: { place: string; car: Height; dirtyHands?: boolean; minutes?: number }
  helper?: { fromMinutes: number; toMinutes: number } | null
  calendar?: Calendar | null
}

/** A job with its ids turned into numbers, so that orders can be timed quickly. Minutes throughout. */
export interface Instance {
  count: number
  ids: string[]
  minutes: Float64Array
  aloneMinutes: Float64Array
  helperFrom: number
  helperTo: number
  place: Int32Array
  placeCount: number
  startPlace: number
  /** The minute at which the first set-up may begin. */
  startMinutes: number
  car: Uint8Array
  startCar: number
  tools: Int32Array[]
  walkMinutes: number
  toolMinutes: number
  trayTools: number
  /** Minutes to bring the car to the ground, and up. */
  positionMinutes: [ground: number, raised: number]
  /** Walking and tools for step `b` right after step `a`: row `a`, column `b`; the last row is the start. */
  readyMinutes: Float64Array
  before: Int32Array[]
  after: Int32Array[]
  waits: { from: number; minutes: number }[][]
  notBefore: Float64Array | null
  calendar: Calendar | null
  hands: Uint8Array
  washMinutes: number
  startDirty: boolean
  /** The step that must stand directly before, and directly after; −1 where there is none. */
  directlyAfter: Int32Array
  directlyBefore: Int32Array
  /** Steps sorted so that every link points forward. */
  topological: Int32Array
}

/**
 * @throws CycleError when the links form a cycle
 * @throws RangeError on a link to a step that is not there, a repeated id or a time that is no number from 0 up
 */
export function buildInstance(source: InstanceSource): Instance {
  const { steps, setup, start } = source
  const count = steps.length
  const index = new Map(steps.map((step, position) => [step.id, position]))
  if (index.size < count)
    throw new RangeError(`steps: the id "${steps.find((step, at) => index.get(step.id) !== at)!.id}" stands twice`)
  const { trayTools = 0, ...setupTimes } = setup
  for (const [name, value] of Object.entries(setupTimes)) wantMinutes(`setup.${name}`, value)
  if (!Number.isInteger(trayTools) || trayTools < 0 || trayTools > MOST_TRAY)
    throw new RangeError(`setup.trayTools is a whole number of tools from 0 to ${MOST_TRAY}, not ${trayTools}`)
  const placeNames = [...new Set([start.place, ...steps.map(step => step.place)])]
  const toolNames = new Map<string, number>()
  for (const step of steps) for (const tool of step.tools) if (!toolNames.has(tool)) toolNames.set(tool, toolNames.size)

  const before: number[][] = steps.map(() => [])
  const after: number[][] = steps.map(() => [])
  const waits: Instance['waits'] = steps.map(() => [])
  for (const [position, link] of source.links.entries()) {
    const from = index.get(link.before)
    const to = index.get(link.after)
    if (from === undefined || to === undefined)
      throw new RangeError(`links[${position}]: there is no step "${from === undefined ? link.before : link.after}"`)
    wantMinutes(`links[${position}].waitMinutes`, link.waitMinutes ?? 0)
    before[to]!.push(from)
    after[from]!.push(to)
    if (link.waitMinutes) waits[to]!.push({ from, minutes: link.waitMinutes })
  }
  const directlyAfter = new Int32Array(count).fill(-1)
  const directlyBefore = new Int32Array(count).fill(-1)
  for (const [position, step] of steps.entries()) {
    wantMinutes(`steps[${position}].minutes`, step.minutes)
    const leader = step.directlyAfter === undefined ? undefined : index.get(step.directlyAfter)
    if (leader === undefined) continue
    directlyAfter[position] = leader
    directlyBefore[leader] = position
  }
  const tools = steps.map(step => Int32Array.from(new Set(step.tools.map(tool => toolNames.get(tool)!))))
  const instance: Omit<Instance, 'readyMinutes'> = {
    count,
    ids: steps.map(step => step.id),
    minutes: Float64Array.from(steps, step => step.minutes),
    aloneMinutes: Float64Array.from(steps, step => step.aloneMinutes ?? step.minutes),
    helperFrom: source.helper?.fromMinutes ?? Infinity,
    helperTo: source.helper?.toMinutes ?? -Infinity,
    place: Int32Array.from(steps, step => placeNames.indexOf(step.place)),
    placeCount: placeNames.length,
    startPlace: placeNames.indexOf(start.place),
    startMinutes: start.minutes ?? 0,
    car: Uint8Array.from(steps, step => carCode[step.car]),
    startCar: carCode[start.car],
    tools,
    walkMinutes: setup.walkMinutes,
    toolMinutes: setup.toolMinutes,
    trayTools,
    positionMinutes: [setup.lowerMinutes, setup.raiseMinutes],
    before: before.map(list => Int32Array.from(new Set(list))),
    after: after.map(list => Int32Array.from(new Set(list))),
    waits,
    notBefore: steps.some(step => step.notBefore !== undefined)
      ? Float64Array.from(steps, step => step.notBefore ?? 0)
      : null,
    calendar: source.calendar ?? null,
    hands: Uint8Array.from(steps, step => (step.hands === 'clean' ? CLEAN : step.hands === 'dirty' ? DIRTY : 0)),
    washMinutes: setup.washMinutes ?? 0,
    startDirty: start.dirtyHands ?? false,
    directlyAfter,
    directlyBefore,
    topological: topologicalOrder(
      steps.map(step => step.id),
      after,
    ),
  }
  return { ...instance, readyMinutes: readyTable(instance) }
}

function wantMinutes(path: string, value: number): void {
  if (!Number.isFinite(value) || value < 0)
    throw new RangeError(`${path} is a number of minutes from 0 up, not ${value}`)
}

/** No tray holds more. */
export const MOST_TRAY = 60

/** How many tools of `b` step `a` did not use; `a` below 0 is the start, where nothing is at hand. */
export function toolsToFetch(instance: Pick<Instance, 'tools'>, a: number, b: number): number {
  const wanted = instance.tools[b]!
  if (a < 0) return wanted.length
  const held = instance.tools[a]!
  let fetched = 0
  for (const tool of wanted) if (!held.includes(tool)) fetched++
  return fetched
}

function readyTable(instance: Omit<Instance, 'readyMinutes'>): Float64Array {
  const { count } = instance
  const table = new Float64Array((count + 1) * count)
  for (let a = 0; a <= count; a++) {
    const place = a < count ? instance.place[a] : instance.startPlace
    for (let b = 0; b < count; b++) {
      const walk = instance.place[b] === place ? 0 : instance.walkMinutes
      table[a * count + b] = walk + toolsToFetch(instance, a < count ? a : -1, b) * instance.toolMinutes
    }
  }
  return table
}
