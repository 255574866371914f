import type { FieldValue, SheetValues } from '../../core/bench'

/** Made-up readings for the sheets of the demo. */

const entry = (value: number) => ({ entered: String(value), value })
const number = (value: number): FieldValue => ({ kind: 'number', entry: entry(value) })
const points = (...values: number[]): FieldValue => ({ kind: 'points', entries: values.map(entry) })
const answer = (id: string): FieldValue => ({ kind: 'choice', answer: id })
const dial = (...heights: number[]): FieldValue => ({
  kind: 'dial',
  entries: heights.map((height, index) => ({
    ...entry(height),
    entered: height.toFixed(2),
    angleDeg: (index * 360) / (heights.length - 1),
  })),
})

/** A disc near its end, on a flywheel that has warped; the last reading of the dial is back at the start. */
export const wornAndWarped: Record<string, SheetValues> = {
  disc: {
    thickness: points(6.6, 6.2, 6.5, 6.7),
    new: number(8.6),
    minimum: number(6),
    rivets: points(0.5, 0.4),
    distance: number(91_000),
    face: answer('glazed'),
    springs: answer('tight'),
    oil: answer('dry'),
    packed: answer('clean'),
  },
  cover: {
    heights: points(34.1, 34.3, 34.2, 34.5, 34.2, 34.1),
    tips: answer('even'),
    heat: answer('blue'),
    straps: answer('straight'),
    dowels: answer('snug'),
  },
  flywheel: {
    kind: answer('single'),
    dial: dial(0.02, 0.13, 0.06, -0.09, -0.04, 0.11, 0.05, -0.11, 0.02),
    face: answer('heat-spots'),
    teeth: answer('whole'),
    thickness: number(24.6),
    minimum: number(23.8),
  },
  'crank-seal': { state: answer('damp'), 'cam-plug': answer('dry') },
  release: {
    noise: answer('dry'),
    play: number(0.3),
    clip: answer('tired'),
    fork: answer('sound'),
    pivot: answer('round'),
    washer: answer('none'),
  },
}

/** A plastic tool that is loose, and two turns of tape. */
export const looseTool: Record<string, SheetValues> = {
  'tool-fit': { tool: number(14.24), shaft: number(15), bore: number(15.02), tape: number(0.13), home: number(41) },
  'spline-clock': { splines: number(24), disc: number(38), shaft: number(318) },
}

/** What is known before a heavy box comes down: its weight, its support, the line of its shafts. */
export const heavyBox: Record<string, SheetValues> = {
  'lift-box': {
    mass: number(58),
    spread: number(4),
    horizontal: number(500),
    vertical: number(350),
    travel: number(350),
    turn: number(30),
  },
  support: { engine: number(165), box: number(58), rating: number(450), way: answer('below'), sump: answer('spread') },
  'drive-angles': {
    pieces: answer('two'),
    box: number(3.4),
    shaft: number(4.1),
    rear: number(7.2),
    axle: number(2.1),
    free: number(418),
    fitted: number(414.5),
    forward: number(6),
  },
}

/** What is known of a pedal whose line was opened. */
export const softPedal: Record<string, SheetValues> = {
  'pedal-air': {
    lost: number(46),
    ratio: number(6.2),
    master: number(19),
    pressure: number(18),
    swelling: number(0.2),
    allowed: number(12),
  },
}

/** Two rounds of two people, and what was seen at the end of each. */
export const firstRounds = [
  { strokes: 10, feel: 'soft' as const, bubbles: 'many' as const, colour: 'dark' as const, lostMm: 74 },
  { strokes: 10, feel: 'better' as const, bubbles: 'few' as const, colour: 'cloudy' as const, lostMm: 46 },
]

/** A pedal that releases. */
export const provedPedal: Record<string, SheetValues> = {
  'pedal-test': {
    free: number(8),
    'free-from': number(5),
    'free-to': number(15),
    bite: number(58),
    travel: number(138),
    seconds: number(1.5),
    sinks: number(1),
    creep: answer('still'),
    leaks: answer('dry'),
    jam: answer('tight'),
  },
}
