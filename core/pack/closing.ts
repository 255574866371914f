/** A closing check: the ledger, bolts at their figure, safety figures with their source, what was found bad, troubles, steps of the plan, what the controller still holds when they read it, or something looked at by hand. */
export const closingKinds = ['ledger', 'bolts', 'figures', 'findings', 'troubles', 'steps', 'codes', 'hand'] as const

export interface ClosingCheck {
  id: string
  kind: (typeof closingKinds)[number]
  title: string
  because: string
  /** Steps that it is made of; a check by hand is asked only where one of them belongs to the job, if it names any. */
  steps: string[]
  good?: string
  bad?: string
  /** No reason lets it go. */
  safety?: boolean
}

/** A task of the road test, and what is read aloud of it before the drive. */
export interface RoadTask {
  id: string
  title: string
  say: string
}
