/** Simple parts a drawing is made of. All numbers in mm: along the car from the front axle rearward, then up (side) or to the right (top). */
export const shapeKinds = ['rect', 'circle', 'line', 'shape'] as const
/** `rect` x, y, width, height from its low front corner · `circle` x, y, radius · `line` and `shape` x, y, x, y, … open and closed. */
export type Shape = [kind: (typeof shapeKinds)[number], ...numbers: number[]]

/** One thing of a car drawing. */
export interface DrawnThing {
  id: string
  name: string
  /** Entries of the ledger that are the thing itself. */
  items: string[]
  /** Entries that hold it, feed it or close it: with them off it is loose, not away. */
  fixings: string[]
  /** In which view its name stands on the drawing. */
  label?: 'side' | 'top' | 'both'
  /** It is there only while one of its entries is: a jack, a strap, a block. */
  appears: boolean
  /** Some layouts of the family do not have it: it is drawn where the layout knows one of its entries. */
  optional: boolean
  /** Fastener groups whose bolts sit on it. */
  groups: string[]
  side: Shape[]
  top: Shape[]
  /** It stands on the ground and does not rise with the car; its heights are those with the car raised. */
  onGround: boolean
  /** What a strap or jack holds all of, and its typical kg. From memory. */
  holds?: { name: string; kg: [low: number, likely: number, high: number] }
}

/** A mass that something carries. */
export interface CarriedMass {
  id: string
  name: string
  /** The entry of the ledger that takes it away. */
  off?: string
  /** Typical kilograms: low, likely, high. From memory, trade practice. */
  kg: [low: number, likely: number, high: number]
  /** Where its weight acts, in mm along the line of the supports. */
  at: number
  /** A field of a sheet that knows it better. */
  sheet?: { id: string; field: string }
}

export interface CarryingSupport {
  thing: string
  at: number
  /** How many of them share it. */
  pieces: number
  /** Entries of the ledger while which it carries nothing. */
  gone: string[]
  /** The mass it touches, where it touches one alone; it carries nothing once that is away. */
  under?: string
}

/** A body with its masses and what may carry it, all along one line. */
export interface CarriedBody {
  id: string
  name: string
  masses: CarriedMass[]
  supports: CarryingSupport[]
}

/** How one family of layouts is drawn. */
export interface CarDrawing {
  id: string
  title: string
  /** How far the car is up on its supports, in mm. */
  raisedMm: number
  /** What of the car is shown, in mm along it. */
  fromMm: number
  toMm: number
  /** How far up the side view reaches, with the car on the ground. */
  upMm: number
  body: { side: Shape[]; top: Shape[] }
  things: DrawnThing[]
  carried: CarriedBody[]
  /** Things that lean about a point while a fact holds. */
  /** Things that move forward where the vehicle is parted, and by how much. */
  parted?: { things: string[]; forwardMm: number }
  leans?: { fact: string; degrees: number; about: [x: number, z: number]; things: string[] }
}
