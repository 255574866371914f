import { checkEntry } from '../../bench/check-entry'
import { supportLoads } from '../../handling/support-loads'
import type { PlacedMass, Support } from '../../handling/support-loads'
import type { CarriedBody, CarriedMass } from '../../pack/drawing'
import { positionTo } from '../../pack/bay'
import type { JobState } from '../chapters'

/** What one support carries, in kg per piece: lowest, likely and highest. */
export interface SupportLoad {
  thingId: string
  name: string
  pieces: number
  kg: [low: number, likely: number, high: number]
}

export interface Carrying {
  bodyId: string
  name: string
  loads: SupportLoad[]
  /** It would turn: one support alone, or the balance point beyond all of them. */
  swings: boolean
  /** Masses as they were taken, and whether somebody weighed them. */
  masses: { id: string; name: string; kg: [number, number, number]; known: boolean }[]
}

type Ledger = Record<string, number>
const LIKELY = 1

/**
 * What carries the weight now, from the ledger: each body with its masses and supports.
 *
 * Mounts carry what balance gives them; props that touch carry nothing until a mount lets go, and then share what it held
 * as equally stiff supports. A mount that is back and not yet set carries nothing while a jack still holds the same mass. Masses are typical ones with their spread unless a sheet knows them.
 */
export function carryingNow(state: JobState): Carrying[] {
  return (state.procedure?.drawing?.carried ?? []).flatMap(body => carrying(state, body, state.ledger) ?? [])
}

/** What the supports carry after each step to come that changes it, in the order of the plan. */
export function carryingAhead(
  state: JobState,
  bodyId: string,
): { stepId: string; title: string; carrying: Carrying }[] {
  const { procedure, plan } = state
  const body = procedure?.drawing?.carried.find(entry => entry.id === bodyId)
  if (!procedure || !plan || !body) return []
  const ledger: Ledger = { ...state.ledger }
  let last = JSON.stringify(carrying(state, body, ledger)?.loads)
  return plan.steps
    .filter(step => !state.done[step.id])
    .flatMap(step => {
      const operation = procedure.operations.find(entry => entry.id === step.id)
      const source = operation ?? positionTo(procedure, step.kind === 'lower' ? 'home' : 'away')
      change(ledger, source.takesOff, 1)
      change(ledger, operation?.putsBack ?? (step.kind === 'lower' ? positionTo(procedure, 'away').takesOff : {}), -1)
      const found = carrying(state, body, ledger)
      const loads = JSON.stringify(found?.loads)
      if (!found || loads === last) return []
      last = loads
      return [{ stepId: step.id, title: source.title, carrying: found }]
    })
}

function change(ledger: Ledger, counts: Record<string, number>, sign: 1 | -1): void {
  for (const [item, count] of Object.entries(counts)) ledger[item] = Math.max(0, (ledger[item] ?? 0) + sign * count)
}

function carrying(state: JobState, body: CarriedBody, ledger: Ledger): Carrying | null {
  const { things } = state.procedure!.drawing!
  const drawn = (thingId: string) => things.find(thing => thing.id === thingId)!
  const has = (items: string[]) => items.some(item => (ledger[item] ?? 0) > 0)
  const masses = body.masses.map(mass => ({
    mass,
    ...kilograms(state, mass),
    off: mass.off !== undefined && has([mass.off]),
  }))
  const left = masses.filter(({ off }) => !off)
  const there = body.supports.filter(
    ({ thing, gone, under }) =>
      !has(gone) &&
      (!drawn(thing).appears || has(drawn(thing).items)) &&
      (under === undefined || left.some(({ mass }) => mass.id === under)),
  )
  if (there.length === 0 || left.length === 0) return null
  const slack = (thingId: string) =>
    state.procedure!.items.some(
      item =>
        item.state === 'slack' &&
        [...drawn(thingId).items, ...drawn(thingId).fixings].includes(item.id) &&
        has([item.id]),
    )
  const idle = new Set(
    there
      .filter(
        ({ thing, under }) =>
          under !== undefined &&
          slack(thing) &&
          there.some(other => other.under === under && drawn(other.thing).appears),
      )
      .map(({ thing }) => thing),
  )
  const bearing = there.filter(({ thing }) => !idle.has(thing))
  const own = body.supports.filter(({ thing }) => !drawn(thing).appears).map(asSupport)
  const cases = spread(masses.map(mass => mass.kg)).map(kg =>
    loadsOf(
      masses.map(({ mass, off }, index) => ({ id: mass.id, massKg: kg[index]!, xMm: mass.at, yMm: 0, off })),
      own,
      bearing.map(asSupport),
    ),
  )
  return {
    bodyId: body.id,
    name: body.name,
    swings: swings(
      left.map(({ mass, kg }) => ({ at: mass.at, kg: kg[LIKELY] })),
      bearing.map(({ at }) => at),
    ),
    loads: there.map(({ thing, pieces }) => {
      const index = bearing.findIndex(support => support.thing === thing)
      const all = cases.map(each => (index < 0 ? 0 : each[index]! / pieces))
      return { thingId: thing, name: drawn(thing).name, pieces, kg: [Math.min(...all), all[0]!, Math.max(...all)] }
    }),
    masses: left.map(({ mass, kg, known }) => ({ id: mass.id, name: mass.name, kg, known })),
  }
}

/** Whether the balance point lies beyond the supports, or there is one alone. */
function swings(masses: { at: number; kg: number }[], supports: number[]): boolean {
  const balance = masses.reduce((sum, { at, kg }) => sum + at * kg, 0) / masses.reduce((sum, { kg }) => sum + kg, 0)
  return supports.length === 1 || balance < Math.min(...supports) || balance > Math.max(...supports)
}

const asSupport = ({ thing, at }: CarriedBody['supports'][number]): Support => ({ id: thing, xMm: at, yMm: 0 })

/** Loads of the supports that are there: those of the car itself start with what they bore when it was whole. */
function loadsOf(masses: (PlacedMass & { off: boolean })[], own: Support[], there: Support[]): number[] {
  const left = masses.filter(mass => !mass.off)
  if (there.length === 1) return [left.reduce((sum, mass) => sum + mass.massKg, 0)]
  const whole =
    own.length > 1
      ? supportLoads(masses, own).loadsKg
      : own.map(() => masses.reduce((sum, mass) => sum + mass.massKg, 0))
  const from = new Map(own.map((support, index) => [support.id, whole[index]!]))
  return supportLoads(
    left,
    there.map(support => ({ ...support, preKg: from.get(support.id) ?? 0 })),
  ).loadsKg
}

/** A mass as its sheet has it, unless what stands there cannot be right; else the typical one with its spread. */
function kilograms(state: JobState, { kg, sheet }: CarriedMass): { kg: [number, number, number]; known: boolean } {
  const field = state
    .procedure!.bench.sheets.find(entry => entry.id === sheet?.id)
    ?.fields.find(entry => entry.id === sheet!.field)
  const entered = sheet && state.sheets[sheet.id]?.values[sheet.field]
  if (
    field?.kind !== 'number' ||
    entered?.kind !== 'number' ||
    entered.entry.value === null ||
    checkEntry(field, entered.entry) !== null
  )
    return { kg, known: false }
  const { value } = entered.entry
  return { kg: [value, value, value], known: true }
}

/** The likely masses, then every mass at its lowest or highest against every other: loads follow them straight, so these bound them. */
function spread(masses: [number, number, number][]): number[][] {
  const corners = masses.reduce<number[][]>(
    (all, kg) =>
      all.flatMap(each => [
        [...each, kg[0]],
        [...each, kg[2]],
      ]),
    [[]],
  )
  return [masses.map(kg => kg[LIKELY]), ...corners]
}
