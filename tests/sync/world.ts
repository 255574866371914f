import { admit, applyEvent, lastUndoable, reduceJob, stepsLeft, switchAsked } from '../../core/job'
import type { EventPayloads, EventType, JobEvent, JobState } from '../../core/job'
import { planJob } from '../../core/sequence'
import { memoryKeep } from '../../app/device/memory-keep'
import type { Keep } from '../../app/device/keep'
import { afterLast, DeviceJob } from '../../app/log/device-job'
import type { PostResult } from '../../app/log/post-events'
import { Sender } from '../../app/log/sender'
import type { Asked, WaitingAct } from '../../app/log/waiting-act'

/** What happens to a posting on its way. */
export const ways = [
  'there and back',
  'never there',
  'answer lost',
  'killed after it',
  'portal',
  'sign-in',
  'busy',
] as const
export type Way = (typeof ways)[number]

/** What a device may do; which of it is admitted shows when it is done. */
export const deeds = [
  'next step',
  'any step',
  'note',
  'timer',
  'undo',
  'another way',
  'call off',
  'take up',
  'put away',
] as const
export type Deed = (typeof deeds)[number]

/** Ends what a device is doing, as when its browser is killed or nobody answers for long. */
class Ended extends Error {}

/** The server of one job: its log, judged as the real one does. */
export class ModelServer {
  private readonly opening: number
  constructor(readonly log: JobEvent[]) {
    this.opening = log.length
  }

  /** Its records are set back to an earlier moment, as from a backup; the job is still there. */
  setBack(by: number): void {
    this.log.length = Math.max(this.opening, this.log.length - by)
  }

  /** What is asked in the place of an act: it is planned here, and judged as a whole. */
  ask(act: WaitingAct): PostResult {
    if (this.log.some(event => event.id === act.id)) return { kind: 'through' }
    const { by: _by, clockOffMs: _clockOffMs, ...said } = act
    const state = reduceJob(this.log)
    const event = {
      ...said,
      seq: this.log.length + 1,
      payload: anotherWay(state, act.deviceTime),
    } as JobEvent
    const refusal = admit(state, event, this.log)
    if (refusal) return { kind: 'judged', index: 0, reason: refusal.reason }
    this.log.push(event)
    return { kind: 'through' }
  }

  post(acts: JobEvent[]): PostResult {
    const fresh: JobEvent[] = []
    const accepted: { id: string; seq: number }[] = []
    let state = reduceJob(this.log)
    for (const [index, act] of acts.entries()) {
      const there = [...this.log, ...fresh].find(event => event.id === act.id)
      if (there) {
        accepted.push({ id: act.id, seq: there.seq! })
        continue
      }
      const event = { ...act, seq: this.log.length + fresh.length + 1 }
      const refusal = admit(state, event, [...this.log, ...fresh])
      if (refusal) return { kind: 'judged', index, reason: refusal.reason }
      fresh.push(event)
      accepted.push({ id: event.id, seq: event.seq })
      if (event.type === 'undone') state = reduceJob([...this.log, ...fresh])
      else applyEvent(state, event)
    }
    this.log.push(...fresh)
    return { kind: 'accepted', accepted }
  }
}

/** Another way of doing the job, planned on from what is done. */
function anotherWay(state: JobState, at: string): EventPayloads['options-switched'] {
  const { circumstances, clock, setting, request } = switchAsked(state, state.procedure!, state.circumstances, {
    at,
    utcOffsetMinutes: 0,
  })
  return { procedure: state.procedure!, plan: planJob(state.procedure!, setting, request), circumstances, clock }
}

/** One phone: a disk that outlives everything, and a page that is killed and started again. */
export class ModelDevice {
  private readonly disk: Keep = memoryKeep()
  private job: DeviceJob
  private sender: Sender
  private way: Way = 'there and back'
  /** Every act that was ever done here. */
  readonly done: string[] = []
  private count = 0

  constructor(
    readonly name: string,
    private readonly server: ModelServer,
    /** How far its clock is off, in hours. */
    private readonly clockHours: number,
  ) {
    ;[this.job, this.sender] = this.page()
  }

  private now(): string {
    return new Date(Date.UTC(2026, 2, 2, 8 + this.clockHours, 0, ++this.count)).toISOString()
  }

  private page(): [DeviceJob, Sender] {
    const job = new DeviceJob('job', this.disk, () => ({
      personId: this.name,
      deviceId: this.name,
      now: () => this.now(),
      role: 'owner' as const,
      newId: () => `${this.name}-${++this.count}`,
    }))
    const sender = new Sender({
      waiting: async () => [...job.waiting],
      post: async acts => this.post(acts),
      through: async acts => {
        await this.hear(0, this.server.log.length)
        await job.drop(acts)
        return true
      },
      taken: events => this.record(events),
      setAside: async (act, reason) => {
        await this.hear(0, this.server.log.length)
        return job.setAside(act, reason)
      },
      isWell: async () => true,
      stands: () => {},
      pause: async () => {
        throw new Ended()
      },
    })
    return [job, sender]
  }

  private post(acts: WaitingAct[]): PostResult {
    const give = () => (acts[0]!.by ? this.server.ask(acts[0]!) : this.server.post(acts))
    switch (this.way) {
      case 'never there':
      case 'portal':
        return { kind: 'nobody' }
      case 'sign-in':
        return { kind: 'sign-in' }
      case 'busy':
        return { kind: 'odd', status: 500 }
      case 'answer lost':
        give()
        return { kind: 'nobody' }
      case 'killed after it':
        give()
        throw new Ended()
      case 'there and back':
        return give()
    }
  }

  get state(): JobState {
    return reduceJob(this.job.log)
  }
  get waits(): number {
    return this.job.waiting.length
  }

  async start(): Promise<void> {
    ;[this.job, this.sender] = this.page()
    await this.job.read()
  }

  /** Hears a part of the log, maybe once more what it heard before. */
  async hear(from: number, to: number): Promise<void> {
    await this.record(this.server.log.slice(from, to))
  }

  /** As the real one does: asks for what follows on the last that it knows for sure, and takes the whole where the log went another way. */
  private async record(events: JobEvent[]): Promise<void> {
    const [, after, last] = /after=(\d+)(?:&last=(.*))?/.exec(afterLast(this.job))!
    const leadsThere = last === undefined || this.server.log[Number(after) - 1]?.id === last
    if (leadsThere && !this.job.conflictsWith(events)) await this.job.record(events)
    else await this.job.part([...this.server.log])
  }

  /** Gives back what the server has no more. */
  async giveBack(): Promise<void> {
    await this.hear(0, this.server.log.length)
    if (this.job.beyond.length > 0) await this.job.rejoin()
  }

  async send(way: Way): Promise<void> {
    this.way = way
    try {
      await this.sender.send()
    } catch (error) {
      if (!(error instanceof Ended)) throw error
      if (way === 'killed after it') await this.start()
    }
  }

  async act(deed: Deed, pick: number): Promise<void> {
    const { state } = this
    const left = stepsLeft(state)
    const any = <T>(list: T[]): T | undefined => list[pick % list.length]
    const open = state.aside.filter(record => !record.ended)
    const stepId = deed === 'any step' ? any(left) : left[0]
    switch (deed) {
      case 'next step':
      case 'any step':
        return stepId ? this.write('step-done', { stepId }) : undefined
      case 'note':
        return this.write('note-added', { stepId: null, text: `${this.name} ${pick}` })
      case 'timer':
        return stepId
          ? this.write(state.timers[stepId]?.runningSince ? 'timer-stopped' : 'timer-started', { stepId })
          : undefined
      case 'undo': {
        const last = lastUndoable(this.job.log)
        return last ? this.write('undone', { eventId: last.id }) : undefined
      }
      case 'another way': {
        const id = `${this.name}-${++this.count}`
        const { options } = state.procedure!
        const by = { id, posts: [{ path: '/options', body: { id, options, circumstances: state.circumstances } }] }
        return this.write('options-switched', anotherWay(state, this.now()), by)
      }
      case 'call off':
        return this.write('called-off', { reason: 'The customer came for it' })
      case 'put away':
      case 'take up': {
        const record = any(open)
        return record
          ? this.write('aside-ended', { actId: record.act.id, how: deed === 'take up' ? 'taken-up' : 'put-away' })
          : undefined
      }
    }
  }

  private async write<T extends EventType>(type: T, payload: EventPayloads[T], by?: Asked): Promise<void> {
    const act = this.job.act(type, payload, by ? { by } : {})
    if (typeof act !== 'string') this.done.push((await act).id)
  }
}
