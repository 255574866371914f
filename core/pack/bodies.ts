export const pieceKinds = ['sleeve', 'seal', 'piston', 'spring', 'ball'] as const
export type PieceKind = (typeof pieceKinds)[number]

/** What a spring is by its sheet. What is not known is left out. */
export interface SpringSheet {
  /** What its paint is called. */
  paint?: string
  wireMm?: number
  coilDiameterMm?: number
  activeCoils?: number
  freeLengthMm?: number
}

/** Something small that lies in a pocket. */
export interface Piece {
  id: string
  name: string
  kind: PieceKind
  spring?: SpringSheet
}

/** A hole in the face of a body and what lies in it, the deepest first. In mm on the face, +y up, as seen from below. */
export interface Pocket {
  id: string
  name: string
  x: number
  y: number
  radiusMm: number
  /** What the bag is called that its pieces go into. */
  bag: string
  pieces: Piece[]
}

/** How a plug is held, and with that how it comes off. */
export const plugLocks = ['tab', 'false-tab', 'press', 'collar'] as const
export type PlugLock = (typeof plugLocks)[number]

/** A plug on a body. */
export interface BodyPlug {
  id: string
  name: string
  x: number
  y: number
  /** A tab that is pressed, one that only looks so and is pushed from behind and slid, a press fit that is drawn straight, a collar that is twisted. */
  lock: PlugLock
  /** By what it is told from its neighbour. */
  wires: string
}

/** A pin or hook that is bent from wire at the job: its middle line in mm, y down. */
export interface BentWire {
  id: string
  name: string
  wireMm: number
  /** Of the inside of each bend. */
  bendRadiusMm: number
  points: [x: number, y: number][]
  /** So many are bent. */
  count: number
}

/** A body that comes down with loose pieces in it. */
export interface Body {
  id: string
  name: string
  /** Outline of its underside. */
  outline: string
  /** Groups of bolts whose boards lie on the same outline. */
  groups: string[]
  pockets: Pocket[]
  plugs: BodyPlug[]
  /** What is bent from wire for it, printed at 1:1 to bend on. */
  wires?: BentWire[]
  /** The step from which on its pieces can fall out, and the one that closes it. */
  opens: string
  closes: string
  /** Steps at which its board is wanted. */
  steps: string[]
}

/** What a step wants of a body: plugs off, every piece in and looked at, every plug on and tugged at. */
export const bodyWants = ['plugs-off', 'pieces-in', 'plugs-on'] as const
export type BodyWant = (typeof bodyWants)[number]
