export const numberFormats = ['point', 'comma'] as const
/** The sign before decimals: `1,234.5` or `1.234,5`. */
export type NumberFormat = (typeof numberFormats)[number]

/** What was typed, as a number; `other` is what it may mean too, where nobody can tell from the text alone. */
export interface ReadNumber {
  value: number | null
  other: number | null
  problem: string | null
}

/** A space, a thin or hard space, or an apostrophe between groups of three. */
const SPACES = /(?<=\d)[\s\u00a0\u202f\u2009'’](?=\d{3}(?!\d))/g

/**
 * Reads a number as a person types it. Groups of three may stand apart by a space, an apostrophe or the sign that is not the
 * format's own; the other sign before one, two or more than three decimals is taken for the decimal sign all the same.
 * A single sign before exactly three digits is the doubtful case: the format decides, and what it would be otherwise is told.
 * @param bounds what the number can be: a reading outside is no doubt
 * @example readNumber('143,200', 'point') // 143200, other 143.2
 */
export function readNumber(
  text: string,
  format: NumberFormat = 'point',
  bounds: { low?: number; high?: number } = {},
): ReadNumber {
  const clean = text.trim().replace(SPACES, '')
  const none = (problem: string): ReadNumber => ({ value: null, other: null, problem })
  if (clean === '') return none('A number is wanted here.')
  const match = /^([+-]?)(\d[\d.,]*)$/.exec(clean)
  if (!match || /[.,]$/.test(clean)) return none(`“${text.trim()}” is not a number.`)
  const sign = match[1] === '-' ? -1 : 1
  const digits = match[2]!
  const own = format === 'point' ? '.' : ','
  const [points, commas] = [digits.split('.').length - 1, digits.split(',').length - 1]
  const number = (decimal: '.' | ',' | null) =>
    sign * Number(digits.replaceAll(decimal === '.' ? ',' : decimal === ',' ? '.' : /[.,]/g, '').replace(',', '.'))
  if (points > 0 && commas > 0) {
    const decimal = digits.lastIndexOf('.') > digits.lastIndexOf(',') ? '.' : ','
    const [whole] = digits.split(decimal)
    if (digits.split(decimal).length > 2 || !grouped(whole!)) return none(`“${text.trim()}” is not a number.`)
    return { value: number(decimal), other: null, problem: null }
  }
  if (points + commas === 0) return { value: number(null), other: null, problem: null }
  if (points + commas > 1)
    return grouped(digits)
      ? { value: number(null), other: null, problem: null }
      : none(`“${text.trim()}” is not a number.`)
  const separator = points > 0 ? '.' : ','
  if (!/^[1-9]\d{0,2}[.,]\d{3}$/.test(digits)) return { value: number(separator), other: null, problem: null }
  const [asDecimal, asGroup] = [number(separator), number(null)]
  const within = (value: number) => value >= (bounds.low ?? -Infinity) && value <= (bounds.high ?? Infinity)
  const [value, other] = separator === own ? [asDecimal, asGroup] : [asGroup, asDecimal]
  if (!within(value) && within(other)) return { value: other, other: null, problem: null }
  return { value, other: within(other) ? other : null, problem: null }
}

/** Whether digits stand in groups of three. */
function grouped(digits: string): boolean {
  return /^\d{1,3}([.,]\d{3})*$/.test(digits) || /^\d+$/.test(digits)
}
