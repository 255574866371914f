import { FieldError, within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** A converter in its box, and the flexplate that it will be bolted to. In mm. */
export interface ConverterMeasures {
  /** From the face of the bell in to the pads of the converter, pushed home. */
  bellFaceToPadsMm: number
  /** From the face of the engine out to the pads of the flexplate. */
  engineFaceToFlexplateMm: number
  /** The gap the maker wants once the faces meet. */
  windowMm?: [low: number, high: number]
  /** How far it went in at each drop that was felt: turbine, stator, pump drive. */
  dropsMm?: number[]
}

export interface ConverterSeat {
  /** What is left between converter and flexplate when the faces meet; below zero it would be pressed together. */
  gapMm: number
  verdict: 'not-seated' | 'no-gap' | 'good' | 'too-deep'
  /** How much further it has to go in to reach the window; 0 where it is there. */
  missingMm: number
  because: string
}

/** 1/16 to 3/16 in. Common practice, no source; the maker's figure goes before it. */
const WINDOW_MM: [number, number] = [1.6, 4.8]
/** The last drop, onto the drive of the pump, is worth 15 to 25 mm: more than half of the least of it is no matter of a washer. Common practice, no source. */
const DROP_MM = 8
const DROPS = 3

/**
 * Whether a converter is home before the box goes up: drawn up with a drop missing, the bolts close the gap and the drive of the pump
 * breaks at the first start.
 * @throws FieldError on the field at fault
 */
export function converterSeat({
  bellFaceToPadsMm,
  engineFaceToFlexplateMm,
  windowMm = WINDOW_MM,
  dropsMm,
}: ConverterMeasures): ConverterSeat {
  within('bellFaceToPadsMm', bellFaceToPadsMm, -100, 300, 'The depth of the pads in mm')
  within('engineFaceToFlexplateMm', engineFaceToFlexplateMm, -100, 300, 'The stand of the flexplate in mm')
  const [low, high] = windowMm
  within('windowMm[0]', low, 0, 20, 'The least gap in mm')
  within('windowMm[1]', high, 0, 20, 'The largest gap in mm')
  if (high <= low) throw new FieldError('windowMm', 'The window ends above where it begins.')
  for (const [index, drop] of (dropsMm ?? []).entries()) within(`dropsMm[${index}]`, drop, 0, 100, 'A drop in mm')
  const gapMm = bellFaceToPadsMm - engineFaceToFlexplateMm
  const missingMm = Math.max(0, low - gapMm)
  const felt = dropsMm?.length ?? null
  const mm = (value: number) => quantity(value, 'mm', 1)
  if (missingMm >= DROP_MM || (missingMm > 0 && felt !== null && felt < DROPS))
    return {
      gapMm,
      verdict: 'not-seated',
      missingMm,
      because: `It is not home: ${mm(missingMm)} are missing${missingMm >= DROP_MM ? ', as much as a whole drop' : ''}. Turn and push until the last drop is felt; no bolt draws it in.`,
    }
  if (missingMm > 0)
    return {
      gapMm,
      verdict: 'no-gap',
      missingMm,
      because: `${gapMm <= 0 ? 'No gap is left' : `Only ${mm(gapMm)} are left`} where ${mm(low)} at least are wanted: the converter presses on the pump. Look for what stands between, a wrong flexplate or converter, or a drop that is not whole.`,
    }
  if (gapMm > high)
    return {
      gapMm,
      verdict: 'too-deep',
      missingMm: 0,
      because: `${mm(gapMm)} are left where ${mm(high)} at most are wanted: its bolts would draw it out of the pump. Another flexplate or spacers, by the maker.`,
    }
  return {
    gapMm,
    verdict: 'good',
    missingMm: 0,
    because: `It is home: ${mm(gapMm)} are left, between ${mm(low)} and ${mm(high)}.`,
  }
}
