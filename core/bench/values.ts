/** A number as it was entered, and what was read of it; `null` where nothing could be. */
export interface Entry {
  entered: string
  value: number | null
}

/** A reading of the dial gauge, with where it was taken. */
export interface DialValue extends Entry {
  angleDeg: number | null
}

/** What stands in one field of a sheet. */
export type FieldValue =
  | { kind: 'number'; entry: Entry }
  | { kind: 'points'; entries: Entry[] }
  | { kind: 'dial'; entries: DialValue[] }
  | { kind: 'choice'; answer: string }
  | { kind: 'text'; text: string }

export type SheetValues = Record<string, FieldValue>
