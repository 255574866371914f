export interface OptionChoice {
  id: string
  label: string
  about?: string
  /** Two where a second pair of hands is there all the time. */
  hands?: 1 | 2
}

/** A plain sentence with a choice inside. */
export interface PackOption {
  id: string
  sentence: string
  choices: OptionChoice[]
  default: string
  /** Trades people disagree here; a garage can set its own default. */
  school: boolean
  /** The part in reach that it renews or leaves; it is asked with that part. */
  renews?: string
}
