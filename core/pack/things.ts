import type { ItemState } from './kinds'
import type { Foot } from './loads'

/** Parts that the drawings know how to draw. */
export const drawnParts = [
  'exhaust',
  'propshaft',
  'transfer-case',
  'crossmember',
  'subframe',
  'wheels',
  'battery',
  'intake',
  'starter',
  'gearbox',
  'shafts',
  'undertray',
  'clutch',
  'flywheel',
  'stands',
  'lift',
  'engine-support',
  'box-jack',
  'pan',
] as const
export type DrawnPart = (typeof drawnParts)[number]

/** A thing that can be in the ledger; `part` says which part of the drawing shows it. */
export interface LedgerItem {
  id: string
  name: string
  state: ItemState
  goesTo?: string
  part?: DrawnPart
  /** Used once: what goes back is new, and why. */
  singleUse?: string
  /** The fasteners it is, by their group: what is off is counted on their board. */
  group?: string
  /** Fasteners and clips that no book gives a figure for: tight by hand is tight. */
  hand?: boolean
  /** The part that goes in instead of it where the plan uses one; the old one stays with the old parts. */
  newPart?: string
  /** What is propped: where it stands. */
  foot?: Foot
  /** What is propped: the opening that it shuts as long as it is there, such as a rag in a bore. */
  covers?: string
  /** No reason lets it be left as it is when the car goes: wheels, brakes, steering. */
  safety?: boolean
}

/** `drive` is the square that a tool turns with, `drives` the one that an extension or a joint passes on, in inches. */
export interface Tool {
  id: string
  name: string
  size?: string
  drive?: string
  drives?: string
  /** How it is done without: minutes more for each step that uses it, and what goes wrong more easily. Common practice, from memory. */
  without?: { minutes: number; because: string; risk?: string }
  /** Why nobody does it without. */
  needed?: string
}

/** A word in the text of a step that speaks of a tool, and the tools of which the step then names one. */
export interface ToolWord {
  word: string
  tools: string[]
}

/** Drawings Eldrin has for what can hurt. */
export const cautionSigns = [
  'under',
  'heavy',
  'dust',
  'fire',
  'fluid',
  'spring',
  'eye',
  'current',
  'moving',
  'hot',
] as const
export type CautionSign = (typeof cautionSigns)[number]

/** A serious one is read once in a job before its first step is done. */
export interface Caution {
  id: string
  title: string
  text: string
  serious: boolean
  sign: CautionSign
}

/** Something to be bought or fetched before the job. */
export interface Part {
  id: string
  name: string
  about?: string
}
