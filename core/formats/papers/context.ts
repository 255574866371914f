import type { ObservedMinutes } from '../../job/views/observed-minutes'
import type { Rates } from '../../job/views/rates'
import type { Reach } from '../../job/views/reach'
import { measured, render } from '../../say'
import type { TermTable, TradeWords } from '../../say'
import { inBothUnits, inUnit } from '../../units'
import type { UnitId, UnitPreference } from '../../units'

/** How figures are written, and what the garage asks for. */
export interface PaperContext {
  text: (words: string) => string
  torque: (torqueNm: number) => string
  distance: (km: number) => string
  reading: (value: number, unit: string) => string
  money: (amount: number) => string
  day: (at: string) => string
  source: (kind: string) => string
  person: (id: string) => string
  rates: Rates
  observed: ObservedMinutes[]
  /** What coming back for a part in reach would take. */
  reach: Record<string, Reach>
}

/** What a garage writes its papers by: words, units, money (ISO 4217), time zone (IANA), and names for ids. */
export interface PaperSetting extends Pick<PaperContext, 'rates' | 'observed' | 'reach'> {
  words: TradeWords
  terms: TermTable
  units: UnitPreference
  currency: string
  timeZone: string
  people: { id: string; name: string }[]
  sources: Record<string, string>
}

/** The same for whoever writes a paper, server or browser. */
export function paperContext({
  words,
  terms,
  units,
  currency,
  timeZone,
  people,
  sources,
  ...rest
}: PaperSetting): PaperContext {
  const reader = { terms, words, units }
  const money = new Intl.NumberFormat('en', { style: 'currency', currency })
  return {
    ...rest,
    text: text => render(text, reader),
    torque: nm => {
      const { main, other } = inBothUnits(nm, units)
      return `${main.text} ${main.unit} (${other.text} ${other.unit})`
    },
    distance: km => {
      const { value, unit } = inUnit(km, 'km', units.distance)
      return `${Math.round(value).toLocaleString('en')} ${unit}`
    },
    reading: (value, unit) =>
      unit === 'mm' && units.length === 'in'
        ? `${inUnit(value, unit as UnitId, 'in').text} in (${value} mm)`
        : render(measured(value, unit), reader),
    money: amount => money.format(amount),
    day: at => dayText(at, timeZone),
    source: kind => sources[kind] ?? kind,
    person: id => people.find(person => person.id === id)?.name ?? 'Somebody of the garage',
  }
}

/** A day as papers write it, where the garage is: 2 March 2026. */
export function dayText(at: string, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'long', year: 'numeric' }).format(
    new Date(at),
  )
}
