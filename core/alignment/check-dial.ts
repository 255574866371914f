import { turnDeg } from './dial-reading'
import type { DialReading } from './dial-reading'
import { fitHarmonic } from './fit-harmonic'

/** A reading as it came: what was typed or sent, and what could be read of it. */
export interface DialEntry {
  angleDeg: number | null
  heightMm: number | null
  entered: string
}

export type DialFault = 'no-number' | 'no-angle' | 'wrong-unit' | 'outlier' | 'twice' | 'not-returned'

export interface DialMark {
  index: number
  fault: DialFault
  reason: string
}

export interface CheckedDial {
  /** Readings that can be computed with, and their places in the list as entered. */
  usable: (DialReading & { index: number })[]
  marks: DialMark[]
  /** Why no verdict can be given, or `null`. */
  tooFew: string | null
}

/** Fewer than this many good readings say too little of a warp. Common practice, no source. */
const ENOUGH = 8
/** A gap wider than this leaves a quarter of the face unseen. */
const WIDEST_GAP_DEG = 90
/** A reading further from the rest than this many times what the rest spreads is no reading of this face. */
const FAR_TIMES = 3
/** Never called far below this, in mm: a dial is read to a hundredth. */
const FAR_LEAST_MM = 0.06
/** Back at the start the dial shows what it showed there, give or take this, in mm. */
const RETURN_MM = 0.02
const THOU_MM = 0.0254
/** Readings in thou are whole numbers; a dial of mm that slipped a turn reads 1 mm else. */
const LEAST_IN_THOU = 1.5

/**
 * Looks over dial readings before they are computed with. Every reading stays as it was entered; one that cannot be
 * right is marked with the reason and left out. A high spot that is measured twice and reads the same is no outlier.
 */
export function checkDial(entries: DialEntry[]): CheckedDial {
  const marks: DialMark[] = []
  const readable: (DialReading & { index: number })[] = []
  for (const [index, { angleDeg, heightMm, entered }] of entries.entries()) {
    if (heightMm === null || !Number.isFinite(heightMm))
      marks.push({ index, fault: 'no-number', reason: `“${entered}” is not a reading of a dial.` })
    else if (angleDeg === null || !Number.isFinite(angleDeg))
      marks.push({ index, fault: 'no-angle', reason: 'It does not say where on the circle it was taken.' })
    else readable.push({ index, angleDeg, heightMm })
  }
  const confirmed = new Set<number>()
  let usable = readable.filter((reading, place) => {
    const earlier = readable
      .slice(0, place)
      .find(other => Math.abs(turnDeg(other.angleDeg) - turnDeg(reading.angleDeg)) < 0.5)
    if (!earlier) return true
    const drift = Math.abs(earlier.heightMm - reading.heightMm)
    marks.push(
      drift > RETURN_MM
        ? {
            index: reading.index,
            fault: 'not-returned',
            reason: `Back at ${Math.round(turnDeg(reading.angleDeg))}° the dial shows {${drift.toFixed(2)} mm} else: the gauge or its stand has moved. Go round once more.`,
          }
        : {
            index: reading.index,
            fault: 'twice',
            reason: 'The same place once more; the dial came back as it should.',
          },
    )
    if (drift <= RETURN_MM) confirmed.add(earlier.index)
    return false
  })
  for (let far = farthest(usable, confirmed); far; far = farthest(usable, confirmed)) {
    marks.push(far.mark)
    usable = usable.filter(reading => reading.index !== far!.mark.index)
  }
  return { usable, marks: marks.sort((a, b) => a.index - b.index), tooFew: tooFew(usable) }
}

/** The reading that lies furthest outside the rest, where it lies too far to belong to them and was not confirmed by a second one. */
function farthest(readings: (DialReading & { index: number })[], confirmed: Set<number>): { mark: DialMark } | null {
  const open = readings.filter(reading => !confirmed.has(reading.index))
  if (readings.length < 5 || open.length === 0) return null
  const candidates = open.map(reading => {
    const rest = readings.filter(other => other !== reading)
    const { meanMm, amplitudeMm, atDeg, restMm } = safeFit(rest)
    const expected = meanMm + amplitudeMm * Math.cos(((reading.angleDeg - atDeg) * Math.PI) / 180)
    const spread = Math.max(...restMm) - Math.min(...restMm)
    const heights = rest.map(other => other.heightMm)
    const range = Math.max(...heights) - Math.min(...heights)
    return {
      reading,
      expected,
      away: Math.abs(reading.heightMm - expected),
      allowed: Math.max(FAR_LEAST_MM, FAR_TIMES * spread, range),
    }
  })
  const worst = candidates.reduce((found, next) =>
    next.away - next.allowed > found.away - found.allowed ? next : found,
  )
  if (worst.away <= worst.allowed) return null
  const { reading, expected, allowed } = worst
  const inThou = reading.heightMm * THOU_MM
  const inInch = reading.heightMm * 25.4
  const unit =
    Math.abs(reading.heightMm) >= LEAST_IN_THOU && Math.abs(inThou - expected) <= allowed
      ? 'thou'
      : Math.abs(inInch - expected) <= allowed
        ? 'inches'
        : null
  return {
    mark: unit
      ? {
          index: reading.index,
          fault: 'wrong-unit',
          reason: `Among the others it can only be meant in ${unit}. It is left out until the unit is put right.`,
        }
      : {
          index: reading.index,
          fault: 'outlier',
          reason: `It stands {${worst.away.toFixed(2)} mm} from where the others put it. Measure this place again; if it reads the same, it counts.`,
        },
  }
}

function safeFit(readings: DialReading[]) {
  try {
    return fitHarmonic(readings)
  } catch {
    return {
      meanMm: readings[0]!.heightMm,
      amplitudeMm: 0,
      atDeg: 0,
      restMm: readings.map(reading => reading.heightMm - readings[0]!.heightMm),
    }
  }
}

function tooFew(readings: DialReading[]): string | null {
  if (readings.length < ENOUGH)
    return `${readings.length} of at least ${ENOUGH} places can be used. A warp hides between fewer.`
  const angles = readings.map(reading => turnDeg(reading.angleDeg)).sort((a, b) => a - b)
  const gaps = angles.map((angle, index) => (index + 1 < angles.length ? angles[index + 1]! : angles[0]! + 360) - angle)
  const widest = Math.max(...gaps)
  return widest > WIDEST_GAP_DEG
    ? `Between ${Math.round(angles[gaps.indexOf(widest)]!)}° and the next place ${Math.round(widest)}° are not measured.`
    : null
}
