/** A closing check: the ledger, the troubles, steps of the plan, or something looked at by hand. */
export interface ClosingCheck {
  id: string
  kind: 'ledger' | 'troubles' | 'steps' | 'hand'
  title: string
  because: string
  /** Steps that it is made of; a check by hand is asked only where one of them belongs to the job, if it names any. */
  steps: string[]
  good?: string
  bad?: string
}

/** A task of the road test, and what is read aloud of it before the drive. */
export interface RoadTask { id: string, title: string, say: string }
