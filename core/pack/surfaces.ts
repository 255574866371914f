/** What some step wants clean, or wetted, and another soils: a face, a bore, the dust in a bell. */
export interface Surface {
  id: string
  name: string
  /** Why it has to be clean. */
  because: string
  /** What is wetted and wiped away does not come back when the same comes apart once more: old dust. */
  once?: boolean
}

/** What a step does to surfaces and openings, and what it wants of them. */
export interface Cleanliness {
  /** Surfaces that it leaves dirty, or that it lays bare as they are: dry dust, preservative. */
  soils?: string[]
  /** Surfaces that are clean, or wetted, at its end. */
  washes?: string[]
  /** Surfaces that have to be clean when it begins: what covers them, or stirs their dust. */
  wantsClean?: string[]
  /** Openings, by their ledger items, that may not stand open while it is done: something flies. */
  wantsShut?: string[]
}
