import { FieldError, within } from '../base/field-error'

/** What a bolt's material stands, in MPa. */
export interface Strength {
  proofMpa: number
  yieldMpa: number
  tensileMpa: number
}

interface Band extends Strength {
  fromMm: number
  toMm: number
}

const KSI_MPA = 6.894757293168361
const ksi = (proof: number, yields: number, tensile: number): Strength => ({
  proofMpa: proof * KSI_MPA,
  yieldMpa: yields * KSI_MPA,
  tensileMpa: tensile * KSI_MPA,
})
const iso = (proofMpa: number, yieldMpa: number, tensileMpa: number): Strength => ({ proofMpa, yieldMpa, tensileMpa })

const INCH_MM = 25.4
const all = { fromMm: 1, toMm: 39 }

/** A light-metal bolt has no proof load of its own; its yield strength stands for it. */
const light = (yieldMpa: number, tensileMpa: number): Strength => ({ proofMpa: yieldMpa, yieldMpa, tensileMpa })

/**
 * Strengths by property class. Metric classes: ISO 898-1 (from memory), M1.6 to M39, with the lower band of 8.8
 * up to and with 16 mm. Grades: SAE J429 (from memory), 1/4 to 1 1/2 in. Aluminium: ISO 8839 (from memory), up to M39.
 */
const classes: Readonly<Record<string, Band[]>> = {
  '4.6': [{ ...iso(225, 240, 400), ...all }],
  '4.8': [{ ...iso(310, 340, 420), ...all }],
  '5.6': [{ ...iso(280, 300, 500), ...all }],
  '5.8': [{ ...iso(380, 420, 520), ...all }],
  '6.8': [{ ...iso(440, 480, 600), ...all }],
  '8.8': [
    { ...iso(580, 640, 800), fromMm: 1, toMm: 16 },
    { ...iso(600, 660, 830), fromMm: 16, toMm: 39 },
  ],
  '9.8': [{ ...iso(650, 720, 900), fromMm: 1, toMm: 16 }],
  '10.9': [{ ...iso(830, 940, 1040), ...all }],
  '12.9': [{ ...iso(970, 1100, 1220), ...all }],
  'grade 2': [
    { ...ksi(55, 57, 74), fromMm: 6, toMm: 0.75 * INCH_MM },
    { ...ksi(33, 36, 60), fromMm: 0.75 * INCH_MM, toMm: 1.5 * INCH_MM },
  ],
  'grade 5': [
    { ...ksi(85, 92, 120), fromMm: 4, toMm: INCH_MM },
    { ...ksi(74, 81, 105), fromMm: INCH_MM, toMm: 1.5 * INCH_MM },
  ],
  'grade 8': [{ ...ksi(120, 130, 150), fromMm: 4, toMm: 1.5 * INCH_MM }],
  al1: [
    { ...light(230, 270), fromMm: 1, toMm: 10 },
    { ...light(180, 250), fromMm: 10, toMm: 20 },
  ],
  al2: [
    { ...light(205, 310), fromMm: 1, toMm: 14 },
    { ...light(200, 280), fromMm: 14, toMm: 36 },
  ],
  al3: [
    { ...light(250, 320), fromMm: 1, toMm: 6 },
    { ...light(260, 310), fromMm: 6, toMm: 39 },
  ],
  al4: [
    { ...light(290, 420), fromMm: 1, toMm: 10 },
    { ...light(260, 380), fromMm: 10, toMm: 39 },
  ],
  al5: [{ ...light(380, 460), ...all }],
  al6: [{ ...light(440, 510), ...all }],
}

/** What a bolt is made of, by its property class. */
export const boltMaterial = (propertyClass: string): 'steel' | 'aluminium' =>
  /^al ?\d$/i.test(propertyClass.trim()) ? 'aluminium' : 'steel'

/** Every property class that is known, weakest first within its system. */
export const propertyClasses: readonly string[] = Object.keys(classes)

/**
 * Proof, yield and tensile strength of a bolt by its property class.
 *
 * Source: ISO 898-1 and SAE J429 (from memory); see the table.
 * @param propertyClass `8.8`, `10.9`, `grade 8` … as on the head
 * @param diameterMm nominal diameter, in mm
 * @throws FieldError on `propertyClass` when it is not known, on `diameterMm` when the class is not made in that size
 */
export function strength(propertyClass: string, diameterMm: number): Strength {
  const name = String(propertyClass)
    .trim()
    .toLowerCase()
    .replace(/^(?:sae )?(?:grade|gr\.?) ?/, 'grade ')
    .replace(/^al (?=\d$)/, 'al')
  const bands = Object.hasOwn(classes, name) ? classes[name] : undefined
  if (!bands)
    throw new FieldError(
      'propertyClass',
      `"${propertyClass}" is not a property class. Known are ${propertyClasses.join(', ')}.`,
    )
  within('diameterMm', diameterMm, 1, 100, 'A bolt’s diameter in mm')
  const band = bands.find(entry => diameterMm >= entry.fromMm && diameterMm <= entry.toMm + 1e-9)
  if (!band) throw new FieldError('diameterMm', `${name} is not made in ${diameterMm} mm.`)
  const { proofMpa, yieldMpa, tensileMpa } = band
  return { proofMpa, yieldMpa, tensileMpa }
}
