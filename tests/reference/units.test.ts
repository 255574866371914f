import convertUnits from 'convert-units'
import Qty from 'js-quantities'
import { unit as mathUnit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { units } from '../../core'

type Names = Partial<Record<units.UnitId, string>>

/** Every ordered pair of like units among those a library knows. */
function pairsOf(names: Names): [units.UnitId, units.UnitId][] {
  const ids = Object.keys(names) as units.UnitId[]
  return ids.flatMap(from =>
    ids
      .filter(to => from !== to && units.quantityOf(from) === units.quantityOf(to))
      .map((to): [units.UnitId, units.UnitId] => [from, to]),
  )
}

/** Published, from memory: NIST SP 811, appendix B.8 and B.9; the inch is exact by definition. */
describe('NIST SP 811', () => {
  it.each([
    // eslint-disable-next-line no-loss-of-precision -- as printed
    [1, 'lbf·ft', 'N·m', 1.3558179483314004],
    [1, 'lbf·in', 'N·m', 0.1129848290276167],
    [1, 'lbf', 'N', 4.4482216152605],
    [1, 'in', 'mm', 25.4],
    [1, 'thou', 'mm', 0.0254],
    [1, 'mi', 'km', 1.609344],
    [1, 'lb', 'kg', 0.45359237],
    [1, 'psi', 'kPa', 6.89475729316836],
  ])('%d %s is %s %d', (value, from, to, expected) => {
    expect(Math.abs(units.convert(value, from, to) / expected - 1)).toBeLessThan(1e-12)
  })
  it('US liquid quart, which the table gives to seven digits', () => {
    expect(Math.abs(units.convert(1, 'US qt', 'l') / 0.9463529 - 1)).toBeLessThan(1e-7)
  })
})

/** mathjs 14: its name for each unit. */
const mathNames: Names = {
  'N·m': 'N m',
  'lbf·ft': 'lbf ft',
  'lbf·in': 'lbf in',
  N: 'N',
  kN: 'kN',
  lbf: 'lbf',
  bar: 'bar',
  kPa: 'kPa',
  MPa: 'MPa',
  psi: 'psi',
}

describe('mathjs', () => {
  it.each(pairsOf(mathNames))('agrees on %s to %s', (from, to) => {
    const expected = mathUnit(37.5, mathNames[from]!).toNumber(mathNames[to]!)
    expect(Math.abs(units.convert(37.5, from, to) / expected - 1)).toBeLessThan(1e-9)
  })
})

/** js-quantities 1.8: its name for each unit that it carries to full length. */
const qtyNames: Names = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  km: 'km',
  in: 'in',
  thou: 'mil',
  ft: 'ft',
  mi: 'mi',
  N: 'N',
  kN: 'kN',
  kg: 'kg',
  g: 'g',
  lb: 'lb',
  ml: 'ml',
  l: 'l',
  bar: 'bar',
  kPa: 'kPa',
  MPa: 'MPa',
  '°': 'deg',
  rad: 'rad',
  min: 'min',
  s: 's',
  h: 'h',
  d: 'd',
  '°C': 'tempC',
  '°F': 'tempF',
}

describe('js-quantities', () => {
  it.each(pairsOf(qtyNames))('agrees on %s to %s', (from, to) => {
    const expected = Qty(37.5, qtyNames[from]!).to(qtyNames[to]!).scalar
    expect(Math.abs(units.convert(37.5, from, to) / expected - 1)).toBeLessThan(1e-9)
  })
})

/** convert-units 2.3: its name for each unit it knows. */
const convertNames: Names = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  km: 'km',
  in: 'in',
  ft: 'ft',
  mi: 'mi',
  kg: 'kg',
  g: 'g',
  ml: 'ml',
  l: 'l',
  s: 's',
  min: 'min',
  h: 'h',
  d: 'd',
  bar: 'bar',
  kPa: 'kPa',
  MPa: 'MPa',
  '°C': 'C',
  '°F': 'F',
  '°': 'deg',
  rad: 'rad',
}

describe('convert-units', () => {
  // Its inches and kilometres meet over a rounded feet-per-metre factor, so those pairs agree to that rounding only.
  const rounded = (unit: units.UnitId) => ['in', 'ft', 'mi'].includes(unit)
  it.each(pairsOf(convertNames))('agrees on %s to %s', (from, to) => {
    const expected = convertUnits(37.5)
      .from(convertNames[from] as never)
      .to(convertNames[to] as never)
    expect(Math.abs(units.convert(37.5, from, to) / expected - 1)).toBeLessThan(
      rounded(from) !== rounded(to) ? 2e-7 : 1e-9,
    )
  })
})
