import type { Chance } from '../chance'
import type { LiveValue, ReadCode } from './protocol'

/** What the hand that holds the car can make of it. */
export interface Condition {
  /** Lining that is gone, both faces together, in mm. */
  wornMm: number
  /** Air in the line of the actuator, in ml. */
  airMl: number
  voltageV: number
  temperatureC: number
  /** A plug that was left off. */
  plugOff: boolean
  /** What it was taught is lost. */
  untaught: boolean
}

export const soundCar: Condition = {
  wornMm: 0.4,
  airMl: 0,
  voltageV: 12.6,
  temperatureC: 24,
  plugOff: false,
  untaught: false,
}

/** Levers in line from the plate to the slave; a pump that fills a store, and a store that leaks. Invented figures. */
const FINGERS = 4.2
const FORK = 1.5
const NEW_CLOSED_MM = 11
const STROKE_MM = 17
const LIMITS_MM: [number, number] = [8, 24]
const SLAVE_ML_PER_MM = 0.35
const FULL_BAR = 46
const LEAST_BAR = 32
/** The pump fills the store to two thirds of what is missing in so many seconds; alone it loses as much in an hour. */
const PUMP_S = 4
const LEAK_S = 3600
const PUMP_VOLT = 11
const LEAST_VOLT = 12
const WARM_C: [number, number] = [5, 90]

export const routines = [
  { id: 'let-down', name: 'Let the pressure down' },
  { id: 'bleed', name: 'Bleed the line of the actuator' },
  { id: 'teach-travel', name: 'Teach the travel' },
  { id: 'teach-bite', name: 'Teach the point where it bites' },
  { id: 'teach-gears', name: 'Teach the gears' },
  { id: 'learn-anew', name: 'Begin its learning anew' },
  { id: 'short-test', name: 'Short test' },
] as const
export type RoutineId = (typeof routines)[number]['id']

/** What has to be taught before. */
const after: Partial<Record<RoutineId, RoutineId>> = { 'teach-bite': 'teach-travel', 'teach-gears': 'teach-bite' }

/** A controller of an automated clutch: what it sees follows from the state of the car. */
export class SimulatedController {
  condition: Condition = { ...soundCar }
  private bar = FULL_BAR
  private pumping = true
  private at = 0
  private remembered = new Map<string, string>()
  private taught = new Set<RoutineId>(['teach-travel', 'teach-bite', 'teach-gears'])

  constructor(private readonly chance: Chance) {}

  /** Time goes on to a second of its own clock: the pump fills the store, or the store leaks. */
  passTo(seconds: number): void {
    const gone = Math.max(0, seconds - this.at)
    this.at = seconds
    const fills = this.pumping && this.condition.voltageV >= PUMP_VOLT && !this.condition.plugOff
    const to = fills ? FULL_BAR / (1 + this.condition.airMl / 20) : 0
    this.bar = to + (this.bar - to) * Math.exp(-gone / (fills ? PUMP_S : LEAK_S))
    for (const { code, text } of this.wrongNow()) this.remembered.set(code, text)
  }

  set(change: Partial<Condition>): void {
    this.condition = { ...this.condition, ...change }
    if (change.untaught) this.taught.clear()
    for (const { code, text } of this.wrongNow()) this.remembered.set(code, text)
  }

  /** Where the slave stands with the clutch closed: a thinner disc lets plate and fingers settle. */
  closedMm(): number {
    return NEW_CLOSED_MM + this.condition.wornMm * FINGERS * FORK
  }

  /** How far it goes: what air takes up is missing. */
  openMm(): number {
    const share = Math.min(1, this.bar / LEAST_BAR)
    return this.closedMm() + Math.max(0, STROKE_MM * share - this.condition.airMl / SLAVE_ML_PER_MM)
  }

  values(): LiveValue[] {
    const { voltageV, temperatureC } = this.condition
    const seen = (value: number, noise: number) => Math.round((value + this.chance.normal() * noise) * 100) / 100
    return [
      { id: 'voltage', name: 'Supply', value: seen(voltageV, 0.02), unit: 'V', low: LEAST_VOLT },
      { id: 'temperature', name: 'Fluid', value: seen(temperatureC, 0.2), unit: '°C', low: WARM_C[0], high: WARM_C[1] },
      { id: 'pressure', name: 'Pressure in the store', value: Math.max(0, seen(this.bar, 0.1)), unit: 'bar' },
      {
        id: 'travel-closed',
        name: 'Slave, clutch closed',
        value: seen(this.closedMm(), 0.05),
        unit: 'mm',
        low: LIMITS_MM[0],
        high: LIMITS_MM[1],
      },
      { id: 'travel-open', name: 'Slave, clutch open', value: seen(this.openMm(), 0.05), unit: 'mm' },
      { id: 'taught-new', name: 'Slave, as taught with a new disc', value: NEW_CLOSED_MM, unit: 'mm' },
    ]
  }

  /** What is wrong as things stand. Codes are our own. */
  private wrongNow(): { code: string; text: string }[] {
    const { voltageV, plugOff, untaught } = this.condition
    const closed = this.closedMm()
    return [
      ...(plugOff ? [{ code: 'A12', text: 'No signal from the sensor of the slave' }] : []),
      ...(voltageV < LEAST_VOLT ? [{ code: 'A21', text: 'Supply too low' }] : []),
      ...(this.pumping && this.bar < LEAST_BAR ? [{ code: 'A31', text: 'Pressure does not build' }] : []),
      ...(closed > LIMITS_MM[1] ? [{ code: 'A41', text: 'Travel beyond its window: clutch worn' }] : []),
      ...(untaught && this.taught.size < 3 ? [{ code: 'A50', text: 'Clutch not taught' }] : []),
    ]
  }

  codes(): ReadCode[] {
    const active = this.wrongNow().map(code => ({ ...code, state: 'active' as const }))
    const stored = [...this.remembered]
      .filter(([code]) => !active.some(entry => entry.code === code))
      .map(([code, text]) => ({ code, text, state: 'stored' as const }))
    return [...active, ...stored]
  }

  /** What is wrong now stands there again at once. */
  clear(): void {
    this.remembered = new Map(this.wrongNow().map(({ code, text }) => [code, text]))
  }

  /** Why a routine is not begun, or does not come to its end; `null` where it does. */
  refusal(routine: RoutineId): string | null {
    const { voltageV, temperatureC, plugOff } = this.condition
    if (plugOff) return 'No signal from the sensor of the slave'
    if (voltageV < LEAST_VOLT) return `Supply too low: ${voltageV.toFixed(1)} V, ${LEAST_VOLT} V at least`
    if (routine === 'let-down') return null
    if (temperatureC < WARM_C[0] || temperatureC > WARM_C[1])
      return `Fluid at ${Math.round(temperatureC)} °C, ${WARM_C[0]} to ${WARM_C[1]} °C are wanted`
    if (routine === 'learn-anew' || routine === 'bleed') return null
    if (this.bar < LEAST_BAR) return `Pressure too low: ${Math.round(this.bar)} bar, ${LEAST_BAR} bar at least`
    const closed = this.closedMm()
    if (closed < LIMITS_MM[0] || closed > LIMITS_MM[1])
      return `Travel out of its window: ${closed.toFixed(1)} mm, ${LIMITS_MM[0]} to ${LIMITS_MM[1]} mm`
    if (this.openMm() - closed < STROKE_MM * 0.8) return 'Stroke too short: air in the line'
    const first = after[routine]
    if (first && !this.taught.has(first)) return `Not before: ${routines.find(({ id }) => id === first)!.name}`
    return null
  }

  /** A routine that came to its end. */
  finish(routine: RoutineId): void {
    if (routine === 'let-down') {
      this.pumping = false
      this.bar = 0
      return
    }
    this.pumping = true
    if (routine === 'bleed') this.condition.airMl = 0
    if (routine.startsWith('teach')) this.taught.add(routine)
    if (this.taught.size === 3) this.condition.untaught = false
  }
}
