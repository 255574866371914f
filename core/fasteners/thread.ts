import { FieldError } from '../base/field-error'
import { coarsePitchMm, standardPitchesMm, unifiedSizes } from './thread-sizes'
import type { UnifiedSeries } from './thread-sizes'

const INCH_MM = 25.4

/** A screw thread of 60° flank angle. */
export interface Thread {
  /** As it is written: `M8×1.25`, `7/16-20 UNF`. */
  designation: string
  system: 'metric' | 'unified'
  diameterMm: number
  pitchMm: number
}

function refuse(reason: string): never {
  throw new FieldError('thread', reason)
}

/**
 * Reads a thread as a mechanic writes it: `M8x1.25`, `M10` (coarse), `3/8-16`, `7/16-20 UNF`, `3/8 UNC`, `#10-24`.
 *
 * Source of sizes and pitches: ISO 261 and ASME B1.1 (from memory).
 * @throws FieldError on `thread` when the text is no thread, or names a size or pitch that is not made
 * @example parseThread('M10').pitchMm // 1.5
 */
export function parseThread(text: string): Thread {
  if (typeof text !== 'string') refuse('A thread is written like M8x1.25 or 3/8-16.')
  const plain = text.trim().replace(/\s+/g, ' ')
  return metric(plain) ?? unified(plain) ?? refuse(`"${plain}" is not a thread. Write it like M8x1.25, M10 or 3/8-16.`)
}

function metric(text: string): Thread | null {
  const match = /^m ?(\d+(?:[.,]\d+)?)(?: ?[x×*-] ?(\d+(?:[.,]\d+)?))?$/i.exec(text)
  if (!match) return null
  const size = String(Number(match[1]!.replace(',', '.')))
  const coarse = coarsePitchMm[size]
  if (coarse === undefined) refuse(`M${size} is not a size that is made.`)
  const pitchMm = match[2] === undefined ? coarse : Number(match[2].replace(',', '.'))
  if (pitchMm > coarse) refuse(`M${size} has no pitch of ${pitchMm} mm; its coarse pitch is ${coarse} mm.`)
  if (!standardPitchesMm.includes(pitchMm) || pitchMm < coarse / 4)
    refuse(`M${size} is not made with a pitch of ${pitchMm} mm.`)
  return { designation: `M${size}×${pitchMm}`, system: 'metric', diameterMm: Number(size), pitchMm }
}

function unified(text: string): Thread | null {
  const match =
    /^(?:no\.? ?|#)?(\d+(?:[ -]\d+\/\d+|\/\d+|\.\d+)?)"?(?: ?- ?(\d+))? ?(UNC|UNF|UNEF|UN|UNR|UNJ)?(?: ?-? ?\d[AB])?$/i.exec(
      text,
    )
  if (!match) return null
  const [, written, count, named] = match
  const size = sizeOf(written!, /^(?:no|#)/i.test(text), count !== undefined || named !== undefined)
  if (size === null) refuse(`"${text}" is not a thread. Write it like M8x1.25, M10 or 3/8-16.`)
  const entry = unifiedSizes[size]!
  const series = named?.toUpperCase() as UnifiedSeries | undefined
  const ofSeries = series && entry[series]
  const tpi = count === undefined ? ofSeries : Number(count)
  if (tpi === undefined)
    refuse(`How many threads to the inch? ${size} is made as ${size}-${entry.UNC} and ${size}-${entry.UNF}.`)
  if (ofSeries !== undefined && ofSeries !== tpi)
    refuse(`${size} ${series} has ${ofSeries} threads to the inch, not ${tpi}.`)
  const made = [entry.UNC, entry.UNF, entry.UNEF, ...[8, 12, 16, 20, 28, 32].filter(constant => constant > entry.UNC!)]
  if (!made.includes(tpi))
    refuse(`${size} is not made with ${tpi} threads to the inch; usual are ${entry.UNC} and ${entry.UNF}.`)
  const suffix = (['UNC', 'UNF', 'UNEF'] as const).find(id => entry[id] === tpi) ?? 'UN'
  return {
    designation: `${size}-${tpi} ${suffix}`,
    system: 'unified',
    diameterMm: entry.inch * INCH_MM,
    pitchMm: INCH_MM / tpi,
  }
}

/** The table's name of a written unified size; a bare `10-24` is a number size, since ten inches is no bolt of a car. */
function sizeOf(written: string, numbered: boolean, withPitch: boolean): string | null {
  if (numbered) return unifiedSizes[`#${written}`] ? `#${written}` : null
  const plain = written.replace('-', ' ')
  if (unifiedSizes[plain]) return plain
  if (written.includes('.'))
    return Object.keys(unifiedSizes).find(size => Math.abs(unifiedSizes[size]!.inch - Number(written)) < 0.0006) ?? null
  return withPitch && unifiedSizes[`#${written}`] ? `#${written}` : null
}

/** A thread, or the text of one. */
export type ThreadLike = Thread | string

/** The thread meant by a text; a thread is given back as it is. */
export function asThread(thread: ThreadLike): Thread {
  if (typeof thread === 'string') return parseThread(thread)
  if (!thread || !(thread.diameterMm > 0 && thread.diameterMm < 500) || !(thread.pitchMm > 0 && thread.pitchMm < 50))
    refuse('A thread has a diameter and a pitch, both above zero and of a bolt.')
  return thread
}

/** Pitch diameter d2, in mm. Basic profile of ISO 68-1: d2 = d − 0.649519 P. */
export function pitchDiameterMm({ diameterMm, pitchMm }: Thread): number {
  return diameterMm - 0.649519 * pitchMm
}

/** Root diameter d3 of the bolt, in mm. ISO 898-1: d3 = d − 1.226869 P. */
export function rootDiameterMm({ diameterMm, pitchMm }: Thread): number {
  return diameterMm - 1.226869 * pitchMm
}

/** Minor diameter D1 of the tapped hole, in mm. ISO 68-1: D1 = d − 1.082532 P. */
export function minorDiameterMm({ diameterMm, pitchMm }: Thread): number {
  return diameterMm - 1.082532 * pitchMm
}

/**
 * Tensile stress area, in mm².
 *
 * Metric: As = π/4 ((d2 + d3)/2)² (ISO 898-1). Unified: As = 0.7854 (D − 0.9743/n)² in² (ASME B1.1).
 * @param thread a thread or its text
 * @throws FieldError on an unknown thread
 * @example stressAreaMm2('M8') // 36.6
 */
export function stressAreaMm2(thread: ThreadLike): number {
  const known = asThread(thread)
  const diameter =
    known.system === 'unified'
      ? known.diameterMm - 0.9743 * known.pitchMm
      : (pitchDiameterMm(known) + rootDiameterMm(known)) / 2
  return (Math.PI / 4) * diameter ** 2
}
