import { admit, reduceJob, uncounted } from '../../core/job'
import type { EventPayloads, EventType, JobEvent, JobState } from '../../core/job'
import { actRefused } from '../../core/rights/may-act'
import type { Role } from '../../core/people/roles'
import { fetchJudges, JudgesAway } from '../device/judges'
import type { Keep } from '../device/keep'
import { keptOf } from '../device/kept-job'
import type { KeptJob } from '../device/kept-job'
import { actAgain } from './act-again'
import type { Asked, WaitingAct } from './waiting-act'

/** Who acts, with what, and by which clock. */
export interface Actor {
  personId: string
  /** What they are in the garage. */
  role: Role
  deviceId: string
  /** Now, ISO 8601, in the server's time as far as the device knows it. */
  now: () => string
  /** What that adds to the device's own clock, ms. */
  clockOffMs?: number
  newId: () => string
}

/** A job as this device has it: what is recorded of it, and what waits to be sent. */
export class DeviceJob {
  recorded: readonly JobEvent[] = []
  waiting: readonly WaitingAct[] = []
  /** Acts on their way to the disk: they are judged by, and count when they are there. */
  onTheWay: readonly WaitingAct[] = []
  /** What the server once had of it and has no more: it does not count until it is sent again. */
  beyond: readonly JobEvent[] = []
  /** Whether the server knows nothing of this job, of which it once had the log. */
  isMissing = false
  /** All that has happened, as far as this device keeps it, in order; another list whenever it has changed. */
  log: JobEvent[] = []

  /** How often what is held has changed. */
  private changes = 0
  private piece: { acts: WaitingAct[]; kept: Promise<void> } | null = null
  /** The writing again of what was cleared away, however it ended. */
  private again: Promise<unknown> = Promise.resolve()
  /** The writing of the piece before, however it ended. */
  private written: Promise<unknown> = Promise.resolve()

  constructor(
    readonly jobId: string,
    private readonly keep: Keep,
    private readonly actor: () => Actor,
  ) {}

  /** The log, and what is on its way into it. */
  get ahead(): JobEvent[] {
    return this.onTheWay.length > 0 ? [...this.log, ...this.onTheWay] : this.log
  }

  /**
   * Reads again what the device keeps; another page may have changed it.
   * @param ahead what is on its way already
   * @returns whether anything was new
   */
  async read(ahead?: Promise<KeptJob> | null): Promise<boolean> {
    // A store that was cleared away says nothing of what this page holds.
    await this.again
    const before = this.changes
    const { recorded, waiting, beyond } = await (ahead ?? keptOf(this.keep, this.jobId))
    // What came in meanwhile may not have been on the disk yet.
    if (this.changes !== before) return this.read()
    const apart = notIn(recorded, beyond)
    const known = [this.recorded, this.waiting, this.beyond]
    if ([recorded, waiting, apart].every((list, index) => isSame(list, known[index]!))) return false
    this.beyond = apart
    this.hold(recorded, waiting)
    return true
  }

  private hold(recorded: readonly JobEvent[], waiting: readonly WaitingAct[]) {
    this.changes++
    this.recorded = recorded
    this.waiting = waiting
    const known = new Set(recorded.map(event => event.id))
    // Once the server has opened the job, what was worked out here in its place counts no more.
    const isOver = (act: WaitingAct) => known.has(act.id) || (act.by?.opens === true && recorded.length > 0)
    this.log = [...recorded, ...waiting.filter(act => !isOver(act))]
  }

  /**
   * Does something: judged at once, and kept before it counts.
   * @param about what the log and what is on its way into it say, where it is known; and what the server is asked for the act
   * @returns the sentence that says why it may not be, or what is done when it is kept
   */
  act<T extends EventType>(
    type: T,
    payload: EventPayloads[T],
    { state, by }: { state?: JobState; by?: Asked } = {},
  ): string | Promise<JobEvent> {
    const { personId, deviceId, now, newId, clockOffMs } = this.actor()
    const { jobId } = this
    const act: WaitingAct = {
      ...({ id: by && !by.opens ? by.id : newId(), jobId, seq: null, deviceId, deviceTime: now(), personId } as const),
      // As every other device will have it: plain, whatever the page made it from.
      ...(JSON.parse(
        JSON.stringify({ type, payload, ...(by ? { by } : {}), clockOffMs: clockOffMs || undefined }),
      ) as Pick<JobEvent, 'type' | 'payload'>),
    } as WaitingAct
    const refused = this.refusalOf(state ?? reduceJob(this.ahead), act)
    return refused ?? this.put(act)
  }

  private refusalOf(state: JobState, act: WaitingAct): string | null {
    try {
      const { ahead } = this
      return (actRefused(this.actor().role, act, state, ahead) ?? admit(state, act, ahead))?.reason ?? null
    } catch (error) {
      if (!(error instanceof JudgesAway)) throw error
      // Whoever is told to try again shall find them here.
      void fetchJudges().catch(() => {})
      return error.message
    }
  }

  /** What is done in one turn, or while the disk is busy, goes there in one piece, and counts at once. */
  private async put(act: WaitingAct): Promise<JobEvent> {
    this.onTheWay = [...this.onTheWay, act]
    this.piece ??= this.openPiece()
    this.piece.acts.push(act)
    await this.piece.kept
    return act
  }

  private openPiece() {
    const acts: WaitingAct[] = []
    const before = this.written
    const close = async () => {
      await before
      this.piece = null
      try {
        await this.keep.add(acts)
        // It may have been read from the disk already.
        const there = new Set(this.waiting.map(({ id }) => id))
        this.hold(this.recorded, [...this.waiting, ...acts.filter(({ id }) => !there.has(id))])
      } finally {
        this.onTheWay = this.onTheWay.filter(act => !acts.includes(act))
      }
    }
    const kept = close()
    this.written = kept.catch(() => {})
    return { acts, kept }
  }

  /** Keeps what is in the server's log. @returns whether anything of it was new */
  async record(events: JobEvent[]): Promise<boolean> {
    this.isMissing = false
    const known = new Set(this.recorded.map(event => event.id))
    const fresh = events.filter(event => !known.has(event.id))
    if (fresh.length === 0) return false
    await this.letSettledGo(fresh)
    // An act of this device keeps its own payload, by which what was worked out from it is remembered.
    const own = new Map(this.waiting.flatMap(act => (act.by ? [] : [[act.id, act.payload] as const])))
    const kept = fresh.map(event =>
      own.has(event.id) ? ({ ...event, payload: own.get(event.id) } as JobEvent) : event,
    )
    await this.keep.record(this.jobId, kept)
    this.beyond = notIn(kept, this.beyond)
    const taken = new Set(kept.map(event => event.id))
    // The stream and the answer to a posting may tell of the same event at once.
    const there = new Set(this.recorded.map(event => event.id))
    this.hold(
      [...this.recorded, ...kept.filter(event => !there.has(event.id))].sort((a, b) => a.seq! - b.seq!),
      this.waiting.filter(act => !taken.has(act.id)),
    )
    return true
  }

  /**
   * Takes the server's log for its own where that goes another way than what was recorded here; what it has no more is kept apart.
   * @param log all of it; nothing where the server does not know the job, and then what is here stands
   */
  async part(log: JobEvent[]): Promise<void> {
    this.isMissing = log.length === 0
    if (this.isMissing) return
    const held = new Map([...this.beyond, ...this.recorded].map(event => [event.id, event]))
    await this.keep.part(this.jobId, log, notIn(log, [...held.values()]))
    await this.read()
    await this.letSettledGo(log)
  }

  /** Whether what the server has no more follows on what it has, with nothing in between. */
  get followsOn(): boolean {
    return [...this.recorded, ...this.beyond].every((event, index) => event.seq === index + 1)
  }

  /** Puts what the server has no more before all that waits, to be judged anew. */
  async rejoin(): Promise<void> {
    const { clockOffMs } = this.actor()
    await this.keep.rejoin(
      this.jobId,
      notIn(this.recorded, this.beyond).map(event => actAgain(event, clockOffMs)),
    )
    await this.read()
  }

  /** Forgets what the server has no more. */
  async letGo(): Promise<void> {
    await this.keep.rejoin(this.jobId, [])
    await this.read()
  }

  /** Puts what this page holds on the disk again, after that was cleared away; nothing is read from there meanwhile. */
  keepAgain(): Promise<void> {
    const [recorded, waiting, beyond] = [[...this.recorded], [...this.waiting], [...this.beyond]]
    // Whoever has begun to read may read of an empty store.
    this.changes++
    const again = async () => {
      await this.keep.part(this.jobId, recorded, beyond)
      const there = new Set((await this.keep.waiting(this.jobId)).map(({ id }) => id))
      await this.keep.add(waiting.filter(({ id }) => !there.has(id)))
    }
    const done = this.again.then(again)
    this.again = done.catch(() => {})
    return done
  }

  /** What others have set aside waits no more, nor do notes that say the same. */
  private async letSettledGo(events: readonly JobEvent[]): Promise<void> {
    const aside = new Set(events.flatMap(event => actsAside(event)))
    if (aside.size === 0) return
    const settled = this.waiting.filter(act => aside.has(act.id) || actsAside(act).some(id => aside.has(id)))
    if (settled.length > 0) await this.drop(settled)
  }

  /** Whether the server has given a number to another event than this device heard of: its log went another way. */
  conflictsWith(events: JobEvent[]): boolean {
    const here = new Map(this.recorded.map(event => [event.seq, event.id]))
    return events.some(({ seq, id }) => here.has(seq) && here.get(seq) !== id)
  }

  /** Lets go of acts in whose place the server has put others. */
  async drop(acts: WaitingAct[]): Promise<void> {
    const ids = new Set(acts.map(act => act.id))
    await this.keep.drop([...ids])
    this.hold(
      this.recorded,
      this.waiting.filter(act => !ids.has(act.id)),
    )
  }

  /** Asks the server for something else than before. */
  async askElse(by: Asked): Promise<void> {
    const changed = this.waiting.filter(act => act.by?.id === by.id).map(act => ({ ...act, by }))
    this.hold(
      this.recorded,
      this.waiting.map(act => (act.by?.id === by.id ? { ...act, by } : act)),
    )
    for (const act of changed) await this.keep.replace(act.id, act)
  }

  /** Whether an act still asks for what it asked for when it was sent: this page or another may have changed that meanwhile. */
  private async asksStill({ id, by }: WaitingAct): Promise<boolean> {
    const there = (await this.keep.waiting(this.jobId)).find(act => act.id === id)
    return JSON.stringify(there?.by?.posts) === JSON.stringify(by?.posts)
  }

  /** Writes down, in the place of an act that waits, that it cannot count. @returns `false` where it is such a note itself */
  async setAside(act: WaitingAct, reason: string): Promise<boolean> {
    if (act.type === 'act-set-aside') return false
    // Another device that held it, too, was quicker.
    if (!this.waiting.some(({ id }) => id === act.id)) return true
    // There is no log yet to set it aside in: the reason stays with it until it is asked again.
    if (act.by?.opens) {
      if (await this.asksStill(act)) await this.askElse({ ...act.by, refusal: reason })
      return true
    }
    const { deviceId, now, newId, personId, clockOffMs } = this.actor()
    const note = {
      id: newId(),
      jobId: this.jobId,
      seq: null,
      deviceId,
      deviceTime: now(),
      personId: act.personId || personId,
      type: 'act-set-aside',
      payload: uncounted(reduceJob([...this.recorded]), inBrief(act), reason),
      ...(clockOffMs ? { clockOffMs } : {}),
    } satisfies WaitingAct
    await this.keep.replace(act.id, note)
    this.hold(
      this.recorded,
      this.waiting.map(each => (each.id === act.id ? note : each)),
    )
    return true
  }
}

/** What an act says, without what the server would work out again. */
function inBrief(act: WaitingAct): JobEvent {
  const { by, clockOffMs: _clockOffMs, ...said } = act
  if (!by) return said
  const { options, decided } = by.posts.at(-1)!.body
  return { ...said, payload: { options, ...(decided ? { decided } : {}) } } as unknown as JobEvent
}

/** The events that a log has neither in it nor set aside. */
function notIn(log: readonly JobEvent[], events: readonly JobEvent[]): JobEvent[] {
  const there = new Set(log.flatMap(event => [event.id, ...actsAside(event)]))
  return events.filter(event => ![event.id, ...actsAside(event)].some(id => there.has(id)))
}

/** Whether two lists hold the same events; an act that waits may have become another request. */
const isSame = (one: readonly WaitingAct[], other: readonly WaitingAct[]) =>
  one.length === other.length &&
  one.every(({ id, by }, index) => id === other[index]!.id && JSON.stringify(by) === JSON.stringify(other[index]!.by))

/** The act that a note in the log says does not count. */
const actsAside = ({ type, payload }: JobEvent): string[] =>
  type === 'act-set-aside' ? [(payload as EventPayloads['act-set-aside']).act.id] : []

/** The part of an address that asks for what follows on the last event up to which everything is recorded here. */
export function afterLast({ recorded }: DeviceJob): string {
  // An act may have got its number before what others did meanwhile was heard of.
  const gap = recorded.findIndex((event, index) => event.seq !== index + 1)
  const last = recorded.at(gap < 0 ? -1 : gap - 1)
  return last && gap !== 0 ? `?after=${last.seq}&last=${last.id}` : '?after=0'
}
