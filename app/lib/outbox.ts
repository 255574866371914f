import type { Issue } from '../../contracts/answers'
import type { PostedEvents } from '../../contracts/events'
import type { JobEvent } from '../../core/job'

/** What became of a posting. `offline` means that nobody answered, or not sensibly: the events stay and are sent again. */
export type PostResult =
  | { kind: 'accepted', accepted: PostedEvents['accepted'] }
  | { kind: 'refused', issues: Issue[] }
  | { kind: 'offline' }

export interface OutboxHooks {
  post: (events: JobEvent[]) => Promise<PostResult>
  accepted: (events: JobEvent[]) => void
  refused: (event: JobEvent, reason: string) => void
  changed: (pending: JobEvent[], offline: boolean) => void
  wait?: (milliseconds: number) => Promise<void>
}

const MOST_AT_ONCE = 50
/** Well below what the server takes at once, in characters. */
const MOST_CHARACTERS = 100_000
const FIRST_WAIT_MS = 500
const LONGEST_WAIT_MS = 10_000

/**
 * Sends events one batch after another, in the order they happened, until the server has answered for each.
 * An event that the server refuses is taken out and reported; the ones behind it go on.
 */
export class Outbox {
  private pending: JobEvent[] = []
  private sending = false
  private offline = false
  private wake: (() => void) | null = null

  constructor(private readonly hooks: OutboxHooks) {}

  get waiting(): readonly JobEvent[] {
    return this.pending
  }

  /** Adds an event at the end and sees to it that it is sent. */
  push(event: JobEvent): void {
    this.pending = [...this.pending, event]
    this.tell()
    void this.send()
  }

  /** Tries again at once instead of waiting out the pause. */
  retryNow(): void {
    this.wake?.()
  }

  private async send(): Promise<void> {
    if (this.sending) return
    this.sending = true
    let pause = FIRST_WAIT_MS
    while (this.pending.length > 0) {
      const batch = firstOf(this.pending)
      const result = await this.hooks.post(batch)
      this.offline = result.kind === 'offline'
      if (result.kind === 'offline') {
        this.tell()
        await this.sleep(pause)
        pause = Math.min(pause * 2, LONGEST_WAIT_MS)
        continue
      }
      pause = FIRST_WAIT_MS
      if (result.kind === 'accepted') this.settle(batch, result.accepted)
      else this.drop(batch, result.issues)
    }
    this.sending = false
  }

  private settle(batch: JobEvent[], accepted: PostedEvents['accepted']): void {
    const answers = new Map(accepted.map(entry => [entry.id, entry]))
    const done = batch.filter(event => answers.has(event.id))
    this.pending = this.pending.filter(event => !answers.has(event.id))
    this.hooks.accepted(done.map(event => ({ ...event, ...answers.get(event.id)! })))
    this.tell()
  }

  private drop(batch: JobEvent[], issues: Issue[]): void {
    const issue = issues[0]
    const index = Number(/^events\[(\d+)\]/.exec(issue?.path ?? '')?.[1] ?? 0)
    const culprit = batch[index]!
    this.pending = this.pending.filter(event => event !== culprit)
    this.hooks.refused(culprit, issue?.reason ?? 'The server refused it.')
    this.tell()
  }

  private tell(): void {
    this.hooks.changed(this.pending, this.offline)
  }

  private sleep(milliseconds: number): Promise<void> {
    if (this.hooks.wait) return this.hooks.wait(milliseconds)
    return new Promise((resolve) => {
      const timer = setTimeout(resolve, milliseconds)
      this.wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  }
}

/** As many events from the front as go into one posting; one at least. */
function firstOf(pending: JobEvent[]): JobEvent[] {
  let characters = 0
  const end = pending.findIndex((event, index) => {
    characters += JSON.stringify(event).length
    return index >= MOST_AT_ONCE || (index > 0 && characters > MOST_CHARACTERS)
  })
  return end < 0 ? pending : pending.slice(0, end)
}
