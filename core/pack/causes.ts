/** What may be wrong, and how often it is the one before anything is known. */
export interface Cause {
  id: string
  title: string
  /** Share of jobs of this kind; all of them add up to 1. */
  prior: number
  /** Whether the box has to come out for it. */
  boxOut: boolean
  todo: string
  /** Work of which a car with this cause has some; it is no cause of a car whose layout has none of it. */
  onlyWith?: string[]
}

/** Something that is seen, felt, read or tried, with its outcomes and how likely each is under each cause. */
export interface CauseTest {
  id: string
  title: string
  /** How it is done; a symptom that is only told has none. */
  how?: string
  minutes: number
  hurts?: string
  outcomes: { id: string; label: string }[]
  /** Tests of one name tell much of the same: two of them say less than twice as much. */
  alike?: string
  /** Outcome by outcome, in their order, under causes not named; adds up to 1. */
  usual: number[]
  /** The same under a cause that is named. */
  given: Record<string, number[]>
}

/** A small Bayesian model as data: causes, and tests taken as independent of one another once the cause is known, but those of one name. */
export interface CauseTables {
  id: string
  title: string
  /** Where the figures come from. */
  origin: string
  /** The test that is the pumped pedal of the take-in. */
  pump?: string
  causes: Cause[]
  tests: CauseTest[]
}

/** Something a car can do, as its owner tells it. */
export interface Symptom {
  id: string
  label: string
}
