/** The pace of a garage, or of a person: ln(actual / planned) as a normal curve whose middle and width are known so far. */
export interface Pace {
  /** Middle of ln(actual / planned). */
  mean: number
  /** Its spread from job to job. */
  sigma: number
  /** How much the jobs seen weigh in the middle, from 0 to 1. */
  weight: number
  n: number
  /** How many pieces of work of a job something goes wrong with; left out where nobody counted. */
  troublesPerJob?: number
}
