import { refusalOf } from '../db/db-errors'
import { Refused } from '../refused'
import { atHand, tasks } from './tasks'
import type { LaneName, TaskName } from './tasks'

/** What goes to a worker, and what comes back: that it is there, that the input was checked, where somebody waits for that, then how it ended. */
export interface TaskOrder {
  name: TaskName
  input: unknown
}
export type TaskAnswer =
  | { kind: 'ready' }
  | { kind: 'checked' }
  | { kind: 'done'; value: unknown }
  | { kind: 'refused'; status: number; issues: Refused['issues'] }
  | { kind: 'failed'; message: string }

// A server that was killed listens no more; the answer is for nobody then.
const say = (answer: TaskAnswer) => {
  process.send?.(answer, undefined, undefined, () => {})
}

process.on('message', async ({ name, input }: TaskOrder) => {
  try {
    const act = tasks[name] as (input: unknown, checkedSoFar: () => void) => unknown
    say({ kind: 'done', value: await act(input, () => say({ kind: 'checked' })) })
  } catch (error) {
    const refused = error instanceof Refused ? error : refusalOf(error)
    say(
      refused
        ? { kind: 'refused', status: refused.status, issues: refused.issues }
        : { kind: 'failed', message: error instanceof Error ? (error.stack ?? error.message) : String(error) },
    )
  }
})
process.on('disconnect', () => process.exit())

await Promise.all(atHand[process.argv[2] as LaneName].map(load => load()))
say({ kind: 'ready' })
