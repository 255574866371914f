import { FieldError, within } from '../base/field-error'
import { solveLinear } from '../base/solve-linear'

/**
 * A part drawn down by bolts on a circle: a cover against its spring, a flange against its gasket. At each bolt the rim
 * stands on a spring, gives way to bending between its neighbours, and meets the flat face once its gap is closed.
 */
export interface PulledPart {
  boltCount: number
  /** Radius of the bolt circle, in mm. */
  radiusMm: number
  /** Gap between rim and face at rest, in mm. */
  gapMm: number
  /** Spring under each bolt before the rim meets the face, in N/mm. */
  springNPerMm: number
  /** What stands under each bolt once it does, in N/mm. */
  seatNPerMm: number
  /** Stiffness of the rim against bending over three neighbouring bolts, in N/mm. */
  rimNPerMm: number
  /** Stiffness of each bolt, in N/mm. */
  boltNPerMm: number
}

/** How far one bolt is taken in one turn of the wrench. */
export interface DrawStep {
  bolt: number
  preloadN: number
}

/** How the part stands after a turn of the wrench. */
export interface DrawState {
  /** How far the rim has come down at each bolt, in mm. */
  downMm: number[]
  /** Preload left in each bolt, in N. */
  preloadN: number[]
  /** Slope of the best plane through the rim, across the bolt circle, in mm. */
  tiltMm: number
  /** How far the rim is bent out of that plane, peak to valley, in mm. */
  bendMm: number
}

/** Changes of contact after which a part is taken as it stands. */
const CONTACT_PASSES = 200

/**
 * Simulates bolts being tightened one after another on an elastic part: each bolt drawn takes load off its neighbours.
 *
 * The rim is a ring of `boltCount` stations with stiffness K = springs + bending out of its plane;
 * a bolt that is nipped up acts as a spring whose head has been moved down. Every turn of the wrench is one linear system,
 * solved again while stations change between spring and seat.
 * Source: elastic interaction of bolts as a stiffness problem, Bickford's handbook on bolted joints (the idea; from memory).
 * @param steps in the order the wrench is turned; a preload below what a bolt has leaves it as it is
 * @returns the state after every step
 * @throws FieldError on a part or a step that cannot be computed with
 */
export function drawDown(part: PulledPart, steps: DrawStep[]): DrawState[] {
  check(part, steps)
  /** How far each head has been turned down, in mm; `null` while the bolt is loose. */
  const turned: (number | null)[] = Array.from({ length: part.boltCount }, () => null)
  let down = turned.map(() => 0)
  return steps.map(({ bolt, preloadN }) => {
    const before = turned[bolt] == null ? 0 : Math.max(0, part.boltNPerMm * (turned[bolt]! - down[bolt]!))
    if (preloadN > before) {
      down = settle(part, turned, { bolt, preloadN }, down)
      turned[bolt] = down[bolt]! + preloadN / part.boltNPerMm
    }
    const preloads = turned.map((head, index) =>
      head === null ? 0 : Math.max(0, part.boltNPerMm * (head - down[index]!)),
    )
    return { downMm: down, preloadN: preloads, ...shapeOf(down, part.radiusMm) }
  })
}

/** The rim's place with one bolt at a given preload and the others' heads where they are. */
function settle(part: PulledPart, turned: (number | null)[], { bolt, preloadN }: DrawStep, start: number[]): number[] {
  const seated = start.map(value => value > part.gapMm)
  const slack = turned.map((head, index) => head !== null && head < start[index]!)
  let down = start
  for (let pass = 0; pass < CONTACT_PASSES; pass++) {
    const held = turned.map((head, index) => (index === bolt || slack[index] ? null : head))
    const { matrix, load } = drawSystem(part, { seated, held, bolt, preloadN })
    down = solveLinear(matrix, load)
    // One contact changes at a time, the one that is most wrong: changed all at once they can go round in circles.
    const wrong = down
      .flatMap((value, index) => [
        { of: seated, index, is: value > part.gapMm, by: Math.abs(value - part.gapMm) },
        ...(turned[index] === null || index === bolt
          ? []
          : [{ of: slack, index, is: turned[index]! < value, by: Math.abs(turned[index]! - value) }]),
      ])
      .filter(({ of, index, is }) => of[index] !== is)
    const worst = wrong.sort((one, other) => other.by - one.by)[0]
    if (!worst) return down
    worst.of[worst.index] = worst.is
  }
  return down
}

/**
 * The linear system of one state of contact: `matrix · down = load`.
 * @param state `seated`: stations on the face; `held`: how far the heads of the bolts that hold are turned down, in mm;
 * `bolt` and `preloadN`: the bolt being turned, which acts as a force
 */
export function drawSystem(
  part: PulledPart,
  state: { seated: boolean[]; held: (number | null)[]; bolt: number; preloadN: number },
): { matrix: number[][]; load: number[] } {
  const { boltCount, springNPerMm, seatNPerMm, gapMm, rimNPerMm, boltNPerMm } = part
  const matrix = rimStiffness(boltCount, rimNPerMm)
  const load = new Array<number>(boltCount).fill(0)
  for (let station = 0; station < boltCount; station++) {
    matrix[station]![station]! += springNPerMm
    if (state.seated[station]) {
      matrix[station]![station]! += seatNPerMm
      load[station]! += seatNPerMm * gapMm
    }
    const head = state.held[station]
    if (head !== null && head !== undefined) {
      matrix[station]![station]! += boltNPerMm
      load[station]! += boltNPerMm * head
    }
  }
  load[state.bolt]! += state.preloadN
  return { matrix, load }
}

/**
 * Stiffness of the rim against being bent out of its plane, ½ rim Σ (w₋₁ − 2w + w₊₁)² of what is left of w when the best
 * plane is taken off: sinking and tilting as a whole bend nothing.
 */
function rimStiffness(boltCount: number, rimNPerMm: number): number[][] {
  const turn = (2 * Math.PI) / boltCount
  const offPlane = (row: number, column: number) =>
    (row === column ? 1 : 0) - (1 + 2 * Math.cos((row - column) * turn)) / boltCount
  const stations = Array.from({ length: boltCount }, (_, index) => index)
  const bent = stations.map(station =>
    stations.map(
      column =>
        offPlane((station + boltCount - 1) % boltCount, column) -
        2 * offPlane(station, column) +
        offPlane((station + 1) % boltCount, column),
    ),
  )
  return stations.map(row =>
    stations.map(column => rimNPerMm * bent.reduce((sum, station) => sum + station[row]! * station[column]!, 0)),
  )
}

/** Tilt and bend of a ring: its first harmonic, and what is left. */
function shapeOf(downMm: number[], radiusMm: number): { tiltMm: number; bendMm: number } {
  const count = downMm.length
  const mean = downMm.reduce((sum, value) => sum + value, 0) / count
  const turn = (2 * Math.PI) / count
  const cosine = (downMm.reduce((sum, value, index) => sum + value * Math.cos(index * turn), 0) * 2) / count
  const sine = (downMm.reduce((sum, value, index) => sum + value * Math.sin(index * turn), 0) * 2) / count
  const rest = downMm.map(
    (value, index) => value - mean - cosine * Math.cos(index * turn) - sine * Math.sin(index * turn),
  )
  return { tiltMm: radiusMm > 0 ? 2 * Math.hypot(cosine, sine) : 0, bendMm: Math.max(...rest) - Math.min(...rest) }
}

/** Spread of the clamp: largest less smallest preload as a share of the mean; 0 while nothing is clamped. */
export function clampSpread(preloadN: number[]): number {
  if (preloadN.length === 0) throw new FieldError('preloadN', 'At least one preload is wanted.')
  preloadN.forEach((load, index) => within(`preloadN[${index}]`, load, -1e7, 1e7, 'A preload in N'))
  const mean = preloadN.reduce((sum, value) => sum + value, 0) / preloadN.length
  return mean > 0 ? (Math.max(...preloadN) - Math.min(...preloadN)) / mean : 0
}

function check(part: PulledPart, steps: DrawStep[]): void {
  if (!Number.isInteger(part.boltCount)) throw new FieldError('boltCount', 'A bolt circle has a whole number of bolts.')
  within('boltCount', part.boltCount, 3, 24, 'The number of bolts')
  within('radiusMm', part.radiusMm, 10, 1000, 'The radius in mm')
  within('gapMm', part.gapMm, 0, 50, 'The gap in mm')
  for (const field of ['springNPerMm', 'seatNPerMm', 'rimNPerMm', 'boltNPerMm'] as const)
    within(field, part[field], 1e-3, 1e9, 'A stiffness in N/mm')
  steps.forEach(({ bolt, preloadN }, index) => {
    if (!Number.isInteger(bolt) || bolt < 0 || bolt >= part.boltCount)
      throw new FieldError(`steps[${index}].bolt`, `There are bolts 0 to ${part.boltCount - 1}.`)
    within(`steps[${index}].preloadN`, preloadN, 0, 1e6, 'A preload in N')
  })
}
