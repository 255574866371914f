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

/** What a car that tows asks of its clutch, and the way from its foot to the plate. */
export const towsATrailer: Record<string, SheetValues> = {
  capacity: {
    engine: number(235),
    factor: number(1.2),
    mass: number(2350),
    ratio: number(13.9),
    tyre: number(309),
    speed: number(1600),
    load: number(34),
    starts: number(4),
  },
  'pedal-geometry': {
    linkage: answer('hydraulic'),
    travel: number(142),
    ratio: number(5.8),
    free: number(6),
    lost: number(4),
    master: number(19.05),
    slave: number(20.64),
    fork: number(1.8),
    most: number(12),
  },
}

const clutch = (clamp: number, fingers: number, iron: number): SheetValues => ({
  clamp: number(clamp),
  outer: number(228),
  inner: number(150),
  faces: number(2),
  friction: number(0.31),
  fingers: number(fingers),
  lift: number(0.72),
  iron: number(iron),
})

/** Clutches that could go in, made up like everything here. */
export const clutchesToBeHad: { name: string; values: SheetValues }[] = [
  { name: 'Brindle BK-4471', values: { ...clutch(5200, 3.4, 9), used: answer('new') } },
  { name: 'Brindle BK-4478 H', values: { ...clutch(7100, 3.4, 10.5), used: answer('new') } },
  {
    name: 'The one in the car',
    values: {
      ...clutch(5200, 3.4, 9),
      used: answer('used'),
      thickness: points(6.6, 6.2, 6.5, 6.7),
      'thick-new': number(8.6),
      'thick-least': number(6),
      heat: answer('blue'),
    },
  },
]

/** Sheets that have to come out well before the work goes on, filled in so. */
export const goodSheets: Record<string, SheetValues> = {
  'converter-seat': { drops: points(11, 14, 19), depth: points(22.1, 22.3, 22.2), flexplate: points(19.1, 19) },
  level: { temperature: number(40), 'in-box': number(8200), overfill: number(250) },
  'level-hot': { temperature: number(42), 'in-box': number(8200) },
  'body-face': { gaps: points(0.02, 0.03, 0.02, 0.03, 0.02, 0.02) },
  pistons: {
    sensors: points(40, 40, 220, 220),
    magnets: points(40, 17, 221, 219),
    edges: points(0.1, 0.7, 0.1, 0),
    after: points(40, 41, 220, 219),
  },
  'equalising-ring': { ring: number(30), tube: number(30), offset: number(4), spring: answer('back') },
  adjusters: { gaps: points(1.1, 1.42, 1.65), after: points(1.4, 1.42, 1.38) },
  'two-stages': {
    free: number(28),
    drive: number(86),
    'take-off': number(141),
    brake: number(150),
    end: number(156),
  },
}

/** The travel of a slave whose clutch is near its end, and the disc that came out: a little more than was told. */
export const wornByTravel: Record<string, SheetValues> = {
  'automated-travel': {
    travel: number(19.6),
    'taught-new': number(11),
    open: number(36.4),
    low: number(8),
    high: number(24),
    grows: answer('grows'),
    'new-disc': number(8.2),
    least: number(6.6),
    measured: number(7.5),
  },
}

/** Two pistons of the odd gears, one of them turned. */
export const turnedPiston: Record<string, SheetValues> = {
  pistons: {
    sensors: points(40, 40, 220, 220),
    magnets: points(38, 12, 221, 219),
    edges: points(0.2, 0.8, 0.1, 0.1),
  },
}

/** A tube in its strap, let down a little. */
export const hungTube: Record<string, SheetValues> = {
  'tube-drop': {
    tail: number(1480),
    room: number(38),
    drop: number(55),
    'brace-gap': number(82),
    rating: number(250),
  },
}

/** The halves of a tractor as they stand. */
export const partedTractor: Record<string, SheetValues> = {
  'split-halves': {
    'front-mass': number(880),
    'front-support': number(1050),
    'rear-mass': number(1290),
    'rear-support': number(1540),
    slope: number(0.2),
    rating: number(1500),
    wedges: answer('in'),
  },
}

/** A converter that lacks its last drop: the pads stand where the flexplate will be. */
export const oneDropShort: Record<string, SheetValues> = {
  'converter-seat': { drops: points(11, 14), depth: points(3.4, 3.2, 3.3), flexplate: points(19.1, 19) },
}
