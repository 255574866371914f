import { seededRandom } from '../base/random'
import { boreArea } from './bore-area'
import { brimOf, checkLine, lineLength, lineVolume } from './bleed-line'
import type { BleedLine } from './bleed-line'
import { bleedRound, STROKE_SECONDS } from './bleed-round'
import type { BleedPhysics } from '../pack/bleeding'
import { bubbleRise } from './bubble-rise'
import { airSwallows } from './trapped-air'

/** Some air at a place of the line, in bubbles of one size; at 0 is the bleeder. */
export interface Bubbles {
  ml: number
  diameterMm: number
  atMm: number
  /** How fast they would climb in a vertical line, in mm/s. */
  riseMmS: number
}

export interface BleedRoundReport {
  round: number
  /** When it was over, in minutes from the start. */
  atMinutes: number
  strokes: number
  /** Air in the line, with what the slave still holds, in ml; what has left upward and at the bleeder. */
  airMl: number
  heldMl: number
  outTopMl: number
  outBleederMl: number
  reservoirMl: number
  caughtMl: number
  addedMl: number
  /** What ran over at the reservoir, in ml. */
  spilledMl: number
  /** Travel of the pad that the air swallows, in mm. */
  lostPedalMm: number
  feel: 'soft' | 'better' | 'firm'
  bubbles: Bubbles[]
}

export interface BleedReport {
  rounds: BleedRoundReport[]
  roundsNeeded: number | null
  minutesNeeded: number | null
  usedMl: number
  spilledMl: number
  lineMl: number
}

const MOST_ROUNDS = 24
const PARCELS = 60
/** Sizes of bubbles in a line that was opened and filled: spread about this by a factor either way. From memory. */
const USUAL_MM = 0.5
const SPREAD = 0.8
/** Bubbles that strokes and flow tear off what the slave holds: finer. */
const TORN_MM = 0.22

/**
 * Air leaving a clutch line, round by round: bubbles climb by their size, bore and slope, fluid moves them down with an open
 * bleeder, strokes tear fine ones off what the slave holds. Fine ones climb slowly, which is why a rest helps and why an hour
 * is not too long. Air and fluid keep their volume: what leaves the line is counted where it leaves.
 * @param way one of those that ship by its id, or any
 * @param seed the same seed gives the same line
 * @throws FieldError on the field at fault
 */
export function simulateBleed(line: BleedLine, way: string | BleedPhysics, seed: number): BleedReport {
  checkLine(line)
  const round = bleedRound(way)
  const random = seededRandom(seed)
  const length = lineLength(line)
  const area = boreArea(line.boreMm)
  const lineMl = lineVolume(line)
  const size = (usual: number) =>
    usual * Math.exp(SPREAD * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()))
  let held = line.airMl * line.heldShare
  const parcel = (ml: number, diameterMm: number, atMm: number): Bubbles => ({
    ml,
    diameterMm,
    atMm,
    riseMmS: bubbleRise({ diameterMm, boreMm: line.boreMm, slopeDeg: 90 }),
  })
  let bubbles: Bubbles[] = Array.from({ length: PARCELS }, () =>
    parcel((line.airMl - held) / PARCELS, size(USUAL_MM), random() * length),
  )
  let [reservoir, caught, added, spilled, outTop, outBleeder, seconds] = [line.reservoirMl, 0, 0, 0, 0, 0, 0]
  const brimMl = brimOf(line)

  function free(share: number) {
    const ml = held * share
    if (ml <= 0) return
    held -= ml
    bubbles.push(parcel(ml, size(TORN_MM), 0.01 * length))
  }
  /** Lets time pass with fluid flowing down at `flowMlS`; air that reaches an end leaves, fluid takes its place. */
  function pass(duration: number, flowMlS: number) {
    const down = (flowMlS * 1000) / area
    const stay: Bubbles[] = []
    let [top, bottom] = [0, 0]
    for (const bubble of bubbles) {
      const at = climb(line, bubble, duration, -down)
      if (at >= length) top += bubble.ml
      else if (at <= 0 && down > 0) bottom += bubble.ml
      else stay.push({ ...bubble, atMm: Math.max(0, at) })
    }
    bubbles = stay
    outTop += top
    outBleeder += bottom
    const through = flowMlS * duration
    // Downward: the reservoir gives what leaves at the bleeder and what air left upward; upward it takes in what is pushed through.
    reservoir -= through + top
    caught += through - bottom
    seconds += duration
    if (reservoir > brimMl) {
      spilled += reservoir - brimMl
      reservoir = brimMl
    }
    if (reservoir < line.lowMl) {
      added += line.reservoirMl - reservoir
      reservoir = line.reservoirMl
    }
  }

  const rounds: BleedRoundReport[] = []
  const softMm = lostBy(line, line.airMl)
  for (let number = 1; number <= MOST_ROUNDS; number++) {
    const strokeMl = (boreArea(line.masterBoreMm) * line.strokeMm) / 1000
    for (let stroke = 0; stroke < round.strokes; stroke++) {
      free(round.frees)
      pass(STROKE_SECONDS, (strokeMl * round.deliveredShare) / STROKE_SECONDS)
    }
    for (let done = 0; done < round.flowSeconds; done += 10) {
      free(round.frees)
      pass(Math.min(10, round.flowSeconds - done), round.flowMlS)
    }
    if (round.restMinutes > 0) pass(round.restMinutes * 60, 0)
    const airMl = held + bubbles.reduce((sum, bubble) => sum + bubble.ml, 0)
    const lostPedalMm = lostBy(line, airMl)
    const feel =
      lostPedalMm <= line.lostMostMm
        ? ('firm' as const)
        : lostPedalMm <= softMm * 0.6
          ? ('better' as const)
          : ('soft' as const)
    rounds.push({
      round: number,
      atMinutes: seconds / 60,
      strokes: round.strokes,
      airMl,
      heldMl: held,
      outTopMl: outTop,
      outBleederMl: outBleeder,
      reservoirMl: reservoir,
      caughtMl: caught,
      addedMl: added,
      spilledMl: spilled,
      lostPedalMm,
      feel,
      bubbles: bubbles.map(bubble => ({ ...bubble })),
    })
    if (feel === 'firm') break
  }
  const last = rounds.at(-1)!
  const firm = last.feel === 'firm'
  return {
    rounds,
    roundsNeeded: firm ? last.round : null,
    minutesNeeded: firm ? last.atMinutes : null,
    usedMl: line.reservoirMl + added - reservoir - spilled,
    spilledMl: spilled,
    lineMl,
  }
}

const lostBy = (line: BleedLine, airMl: number) =>
  airSwallows({
    volumeMl: airMl,
    pedalRatio: line.pedalRatio,
    masterBoreMm: line.masterBoreMm,
    pressureBar: line.pressureBar,
  })

/** Where a bubble is after a time: piece by piece, each with its own slope; at a crest it cannot pass it stays. */
function climb({ pieces }: BleedLine, { riseMmS, atMm }: Bubbles, duration: number, flowMmS: number): number {
  let [at, left] = [atMm, duration]
  for (let guard = 0; guard < 4 * pieces.length + 4 && left > 1e-9; guard++) {
    const upward = pieceAt(pieces, at, 1)
    const downward = pieceAt(pieces, at, -1)
    const speedUp = upward ? flowMmS + riseMmS * Math.sin((upward.slopeDeg * Math.PI) / 180) : flowMmS
    const speedDown = downward ? flowMmS + riseMmS * Math.sin((downward.slopeDeg * Math.PI) / 180) : flowMmS
    const [piece, speed] = speedUp > 0 ? [upward, speedUp] : speedDown < 0 ? [downward, speedDown] : [null, 0]
    if (!piece || speed === 0) return !piece && speed !== 0 ? at + speed * left : at
    const way = speed > 0 ? piece.endMm - at : piece.startMm - at
    const needed = way / speed
    if (needed >= left) return at + speed * left
    at = speed > 0 ? piece.endMm : piece.startMm
    left -= needed
  }
  return at
}

function pieceAt(
  pieces: BleedLine['pieces'],
  atMm: number,
  direction: 1 | -1,
): { startMm: number; endMm: number; slopeDeg: number } | null {
  let start = 0
  for (const { lengthMm, slopeDeg } of pieces) {
    const end = start + lengthMm
    if (direction > 0 ? atMm >= start - 1e-9 && atMm < end - 1e-9 : atMm > start + 1e-9 && atMm <= end + 1e-9)
      return { startMm: start, endMm: end, slopeDeg }
    start = end
  }
  return null
}
