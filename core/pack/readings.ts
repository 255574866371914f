import type { Choices } from './kinds'

/**
 * What an answer that is not good brings about. It is dealt with where one of these is done; else the step waits
 * until a person answers for it with a reason.
 */
export interface BadAnswer {
  because: string
  /** Choices of the job that deal with it. */
  options?: Choices
  /** Parts in reach whose renewal deals with it. */
  renews?: string[]
  /** The ladder that leads out of it. */
  ladder?: string
  /** The sheet where it is measured and weighed. */
  sheet?: string
}

export type ReadingSpec =
  | {
      id: string
      name: string
      kind: 'number'
      unit: string
      required: boolean
      low?: number
      high?: number
      about?: string
    }
  | {
      id: string
      name: string
      kind: 'choice'
      choices: string[]
      required: boolean
      about?: string
      /** Answers with which the step is not done, whoever answers for it. */
      stops?: string[]
      /** Answers that are not good, with what follows from each. */
      bad?: Record<string, BadAnswer>
      /** Answers that are noted and watched, and ask for nothing. */
      watch?: string[]
    }
