/** A kind of measure; units convert only within one kind. */
export type Quantity =
  'torque' | 'length' | 'force' | 'mass' | 'volume' | 'pressure' | 'angle' | 'time' | 'temperature' | 'voltage'

interface UnitDefinition {
  quantity: Quantity
  /** How many base units one of this unit is. */
  factor: number
  /** Added after the factor, for scales whose zero lies elsewhere. */
  offset?: number
  aliases?: string[]
}

const INCH_MM = 25.4
const POUND_KG = 0.45359237
const STANDARD_GRAVITY = 9.80665
const POUND_FORCE_N = POUND_KG * STANDARD_GRAVITY
const FOOT_M = 0.3048

/**
 * Every unit Eldrin reads or shows. Base units: N·m, mm, N, kg, ml, bar, degrees, minutes, °C, V.
 * The inch, pound, foot and standard gravity are exact by definition (NIST SP 811, appendix B).
 */
const definitions = {
  'N·m': { quantity: 'torque', factor: 1, aliases: ['Nm', 'N.m', 'N m', 'newton metre'] },
  'lbf·ft': {
    quantity: 'torque',
    factor: POUND_FORCE_N * FOOT_M,
    aliases: ['lbf.ft', 'lbf ft', 'lbf-ft', 'lbft', 'lb·ft', 'lb-ft', 'ft-lb', 'ft·lbf', 'ft-lbf'],
  },
  'lbf·in': {
    quantity: 'torque',
    factor: (POUND_FORCE_N * INCH_MM) / 1000,
    aliases: ['lbf.in', 'lbf in', 'lbf-in', 'lbin', 'lb·in', 'lb-in', 'in-lb', 'in·lbf', 'in-lbf'],
  },
  mm: { quantity: 'length', factor: 1, aliases: ['millimetre'] },
  cm: { quantity: 'length', factor: 10 },
  m: { quantity: 'length', factor: 1000, aliases: ['metre'] },
  km: { quantity: 'length', factor: 1e6, aliases: ['kilometre'] },
  in: { quantity: 'length', factor: INCH_MM, aliases: ['inch', '"'] },
  thou: { quantity: 'length', factor: INCH_MM / 1000, aliases: ['mil'] },
  ft: { quantity: 'length', factor: FOOT_M * 1000, aliases: ['foot'] },
  mi: { quantity: 'length', factor: 5280 * FOOT_M * 1000, aliases: ['mile'] },
  N: { quantity: 'force', factor: 1, aliases: ['newton'] },
  kN: { quantity: 'force', factor: 1000 },
  lbf: { quantity: 'force', factor: POUND_FORCE_N },
  kg: { quantity: 'mass', factor: 1, aliases: ['kilogram'] },
  g: { quantity: 'mass', factor: 0.001 },
  lb: { quantity: 'mass', factor: POUND_KG, aliases: ['pound'] },
  ml: { quantity: 'volume', factor: 1, aliases: ['mL', 'cm³', 'cc'] },
  l: { quantity: 'volume', factor: 1000, aliases: ['L', 'litre'] },
  'US qt': { quantity: 'volume', factor: (57.75 * INCH_MM ** 3) / 1000, aliases: ['qt', 'quart'] },
  bar: { quantity: 'pressure', factor: 1 },
  kPa: { quantity: 'pressure', factor: 0.01 },
  MPa: { quantity: 'pressure', factor: 10, aliases: ['N/mm²'] },
  psi: { quantity: 'pressure', factor: (POUND_FORCE_N / INCH_MM ** 2) * 10, aliases: ['lbf/in²'] },
  ksi: { quantity: 'pressure', factor: (POUND_FORCE_N / INCH_MM ** 2) * 1e4 },
  V: { quantity: 'voltage', factor: 1, aliases: ['volt'] },
  '°': { quantity: 'angle', factor: 1, aliases: ['deg', 'degree'] },
  rad: { quantity: 'angle', factor: 180 / Math.PI },
  min: { quantity: 'time', factor: 1, aliases: ['minute'] },
  s: { quantity: 'time', factor: 1 / 60, aliases: ['second'] },
  h: { quantity: 'time', factor: 60, aliases: ['hour'] },
  d: { quantity: 'time', factor: 1440, aliases: ['day'] },
  '°C': { quantity: 'temperature', factor: 1, aliases: ['C', 'celsius'] },
  '°F': { quantity: 'temperature', factor: 5 / 9, offset: -160 / 9, aliases: ['F', 'fahrenheit'] },
} satisfies Record<string, UnitDefinition>

/** The written form of a unit, as shown to the mechanic. */
export type UnitId = keyof typeof definitions

/** All units in the order of the table. */
export const unitIds = Object.keys(definitions) as UnitId[]

const byName = new Map<string, UnitId>()
for (const id of unitIds) {
  byName.set(id, id)
  for (const alias of (definitions[id] as UnitDefinition).aliases ?? []) byName.set(alias, id)
}

/**
 * The unit meant by a written name or one of its usual spellings.
 * Case counts, since `N` and `n` or `mm` and `MM` are not the same thing to everybody.
 * @returns the unit's own written form, or `null` when the name is not known.
 */
export function parseUnit(name: string): UnitId | null {
  return byName.get(name.trim()) ?? null
}

/** The kind of measure a unit belongs to. */
export function quantityOf(unit: UnitId): Quantity {
  return definitions[unit].quantity
}

/** Factor and offset that take a value in `unit` to the base unit of its kind. */
export function toBase(unit: UnitId): { factor: number; offset: number } {
  const definition: UnitDefinition = definitions[unit]
  return { factor: definition.factor, offset: definition.offset ?? 0 }
}
