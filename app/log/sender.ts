import type { JobEvent } from '../../core/job'
import type { PostResult } from './post-events'
import { saidBy } from './waiting-act'
import type { WaitingAct } from './waiting-act'

/** How sending stands: nothing waits, it is on its way, nobody answers, somebody has to sign in, the server is of another Eldrin, or it does not take the car in. */
export type Standing = 'sent' | 'sending' | 'offline' | 'sign-in' | 'outdated' | 'refused'

export interface SenderHooks {
  /** What waits, in the order it was done, as the device keeps it. */
  waiting: () => Promise<WaitingAct[]>
  post: (acts: WaitingAct[]) => Promise<PostResult>
  /** Fetches what the server has put in the place of acts that came through. @returns `false` where it did not come */
  through: (acts: WaitingAct[]) => Promise<boolean>
  /** Keeps what the server has numbered. */
  taken: (events: JobEvent[]) => Promise<unknown>
  /** Keeps, in the place of an act that cannot count, that it was set aside; with one that opens the job, why it was refused. @returns `false` where the act is such a note itself */
  setAside: (act: WaitingAct, reason: string) => Promise<boolean>
  /** Whether the server answers as it should to something else. */
  isWell: () => Promise<boolean>
  stands: (standing: Standing) => void
  pause?: (milliseconds: number) => Promise<void>
}

const MOST_AT_ONCE = 50
/** Well below what the server takes at once, in characters. */
const MOST_CHARACTERS = 100_000
const FIRST_PAUSE_MS = 500
const LONGEST_PAUSE_MS = 10_000
/** An act that is answered oddly so often, by a server that is well, is set aside by itself. */
const MOST_ODD = 5

/**
 * Sends what waits of one job, one batch after another in the order it was done, until the server has answered for each.
 * Nothing is dropped: what the judge refuses is set aside with its sentence, and whatever else happens is tried again.
 */
export class Sender {
  private sending = false
  private asked = false
  private wake: (() => void) | null = null
  /** Notes of something set aside that the server does not take: they stay on the device, and are tried again when it starts anew. */
  private readonly stuck = new Set<string>()

  private readonly listeners: ((standing: Standing) => void)[] = []

  constructor(private readonly hooks: SenderHooks) {}

  /** Sends what waits, and does not wait out a pause. @returns whether nothing is left */
  async sendNow(): Promise<boolean> {
    const stood = new Promise<Standing>(resolve => void this.listeners.push(resolve))
    void this.send()
    return (await stood) === 'sent'
  }

  private stands(standing: Standing): void {
    this.hooks.stands(standing)
    if (standing !== 'sending') for (const hear of this.listeners.splice(0)) hear(standing)
  }

  /** Sends what waits now; at once, where it is waiting out a pause. */
  async send(): Promise<void> {
    this.asked = true
    this.wake?.()
    if (this.sending) return
    this.sending = true
    try {
      let isRefused = false
      while (this.asked) {
        this.asked = false
        await this.sendAll()
        isRefused = await this.isRefused()
      }
      this.stands(isRefused ? 'refused' : 'sent')
    } finally {
      this.sending = false
      for (const hear of this.listeners.splice(0)) hear('offline')
    }
  }

  private async sendAll(): Promise<void> {
    let pause = FIRST_PAUSE_MS
    let odd = 0
    for (let waiting = await this.next(); waiting.length > 0; waiting = await this.next()) {
      const batch = odd > 0 ? waiting.slice(0, 1) : firstOf(waiting)
      const result = await this.hooks.post(batch)
      if (result.kind === 'through' && (await this.hooks.through(batch))) {
        ;[pause, odd] = [FIRST_PAUSE_MS, 0]
        continue
      }
      const taken = result.kind === 'accepted' ? numbered(batch, result.accepted) : []
      if (taken.length > 0 || result.kind === 'judged') {
        ;[pause, odd] = [FIRST_PAUSE_MS, 0]
        this.stands('sending')
        if (result.kind === 'judged') await this.setAside(batch[result.index] ?? batch[0]!, result.reason)
        else await this.hooks.taken(taken)
        continue
      }
      if (result.kind === 'odd' && ++odd > MOST_ODD && (await this.hooks.isWell())) {
        odd = 0
        await this.setAside(batch[0]!, `The server does not take it (${result.status}).`)
        continue
      }
      this.stands(result.kind === 'sign-in' || result.kind === 'outdated' ? result.kind : 'offline')
      await this.sleep(pause)
      pause = Math.min(pause * 2, LONGEST_PAUSE_MS)
    }
  }

  private async setAside(act: WaitingAct, reason: string): Promise<void> {
    if (!(await this.hooks.setAside(act, reason))) this.stuck.add(act.id)
  }

  private async isRefused(): Promise<boolean> {
    return (await this.hooks.waiting())[0]?.by?.refusal !== undefined
  }

  /** Nothing goes before the job is open. */
  private async next(): Promise<WaitingAct[]> {
    if (await this.isRefused()) return []
    return (await this.hooks.waiting()).filter(act => !this.stuck.has(act.id))
  }

  private sleep(milliseconds: number): Promise<void> {
    if (this.hooks.pause) return this.hooks.pause(milliseconds)
    return new Promise(resolve => {
      const timer = setTimeout(resolve, milliseconds)
      this.wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  }
}

/** The acts of a batch as the server has them now. */
function numbered(batch: WaitingAct[], accepted: { id: string; seq: number }[]): JobEvent[] {
  const answers = new Map(accepted.map(answer => [answer.id, answer]))
  return batch.flatMap(act => {
    const { clockOffMs: _clockOffMs, ...said } = act
    const answer = answers.get(act.id)
    return answer ? [{ ...said, deviceTime: saidBy(act), ...answer } as JobEvent] : []
  })
}

/** As many acts from the front as go into one posting; one at least. What the server is asked for goes by itself. */
function firstOf(waiting: WaitingAct[]): WaitingAct[] {
  const asked = waiting[0]!.by
  if (asked) return waiting.filter(act => act.by?.id === asked.id)
  let characters = 0
  const end = waiting.findIndex((act, index) => {
    characters += JSON.stringify(act).length
    return act.by !== undefined || index >= MOST_AT_ONCE || (index > 0 && characters > MOST_CHARACTERS)
  })
  return end < 0 ? waiting : waiting.slice(0, end)
}
