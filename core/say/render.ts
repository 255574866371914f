import { inReadersUnit } from '../units/in-readers-unit'
import type { UnitPreference } from '../units/present'
import { saidUnits } from './quantity'
import type { SaidUnit } from './quantity'
import { renderTerms } from './terms'
import type { TermTable, TradeWords } from './terms'

const QUANTITY = new RegExp(`\\{(-?\\d+(?:\\.\\d+)?(?:e[+-]?\\d+)?) (${saidUnits.join('|')})\\}`, 'g')

/** Who reads: by which words, in which units. */
export interface Reader {
  terms: TermTable
  words: TradeWords
  units: UnitPreference
}

/** A piece of a sentence: words, which may hold term tokens, or a quantity. */
export type SaidPart = string | { value: number; unit: SaidUnit; digits: number }

/** What a sentence is made of. */
export function partsOf(text: string): SaidPart[] {
  const parts: SaidPart[] = []
  let at = 0
  for (const match of text.matchAll(QUANTITY)) {
    if (match.index > at) parts.push(text.slice(at, match.index))
    parts.push({ value: Number(match[1]), unit: match[2] as SaidUnit, digits: match[1]!.split('.')[1]?.length ?? 0 })
    at = match.index + match[0].length
  }
  return at < text.length ? [...parts, text.slice(at)] : parts
}

/**
 * A sentence as it is read: quantities in the reader's units, terms in the reader's words. The one place where either is put in.
 * @param space between a figure and its unit; one that does not break keeps them on one line
 */
export function render(text: string, { terms, words, units }: Reader, space = ' '): string {
  return partsOf(text)
    .map(part => (typeof part === 'string' ? renderTerms(part, terms, words) : inReadersUnit(part, units).join(space)))
    .join('')
}

/** A sentence in the core's own units, its terms left as tokens: for logs and whoever reads neither page nor paper. */
export function plain(text: string): string {
  return text.replace(QUANTITY, (_, digits: string, unit: SaidUnit) =>
    inReadersUnit({ value: Number(digits), unit, digits: digits.split('.')[1]?.length ?? 0 }, METRIC).join(' '),
  )
}
const METRIC: UnitPreference = { torque: 'N·m', length: 'mm', distance: 'km' }

/** Whether anything in a sentence is still a token. */
export const isRendered = (text: string): boolean => !/[{}]/.test(text)
