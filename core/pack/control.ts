/** What the driver works the box with where there is no pedal, and what of the job bears on it: a view of its own. */
export interface Control {
  /** What the view is called, in one short word. */
  name: string
  title: string
  about: string
  /** It is a pedal all the same, by a rod and without a line that is bled. */
  pedal?: boolean
  /** Steps that work it, or that take away what it works, in the order they are told in. */
  steps: string[]
  /** What its driver is told for the first drives, line by line. */
  gentle: string[]
  /** What is looked at again three weeks later. */
  recheck: { title: string; about: string }
}
