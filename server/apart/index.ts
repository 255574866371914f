import { fork } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { setPriority } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { Refused } from '../refused'
import { numberSetting } from '../setting'
// Read here as well: what cannot be is told as the server starts, not by a process that ends at its first task.
import './search-effort'
import type { LaneName, TaskName, Tasks } from './tasks'
import type { TaskAnswer, TaskOrder } from './worker'

type Input<N extends TaskName> = Parameters<Tasks[N]>[0]
type Output<N extends TaskName> = Awaited<ReturnType<Tasks[N]>>

/** How long a task may take until its input is checked, and after that, in ms of processor time. */
interface Limit {
  lane: LaneName
  checkMs: number
  doMs: number
}

/** ELDRIN_CHECK_SECONDS is for machines so slow that a sound layout takes longer. */
const CHECK_MS = numberSetting('ELDRIN_CHECK_SECONDS', 2, 0.1) * 1000
/** By the clock it may take so many times as long, where others keep the processors busy. */
const CLOCK_FACTOR = 10
const LOOK_MS = 100
const NICENESS = 5
const MOST_MEMORY_MB = 256
/** So many may wait for a lane; whoever comes then is asked to come again. */
const LONGEST_QUEUE = 60

const limits: Record<TaskName, Limit> = {
  'read-pack': { lane: 'checking', checkMs: CHECK_MS, doMs: 0 },
  'take-job-file': { lane: 'checking', checkMs: CHECK_MS, doMs: 20_000 },
  'write-pack': { lane: 'working', checkMs: 15_000, doMs: 0 },
  plan: { lane: 'working', checkMs: 30_000, doMs: 0 },
  reach: { lane: 'working', checkMs: 15_000, doMs: 0 },
  'paper-pdf': { lane: 'working', checkMs: 15_000, doMs: 0 },
}

interface Waiting {
  order: TaskOrder
  limit: Limit
  settle: { resolve: (value: unknown) => void; reject: (error: unknown) => void }
}

/** The worker's file beside the built server; `null` where the server runs from its sources, which then does the work itself. */
function workerFile(): string | null {
  const file = join(dirname(resolve(process.argv[1] ?? '')), 'apart', 'worker.mjs')
  return existsSync(file) ? file : null
}

/**
 * Does a task in a process of its own, ended when it takes too long or too much memory. A thread would not do: one that runs out of
 * memory can take the whole server with it.
 * @throws Refused 422 when it was ended, or as the task itself refuses; 503 when too many wait already
 */
export async function apart<N extends TaskName>(name: N, input: Input<N>): Promise<Output<N>> {
  const file = workerFile()
  if (!file) {
    const { tasks } = await import('./tasks')
    return (tasks[name] as (input: Input<N>, checkedSoFar: () => void) => Output<N>)(input, () => {})
  }
  return laneOf(limits[name].lane, file).ask({ name, input }, limits[name]) as Promise<Output<N>>
}

/** Starts the process for the garage's own work, so that the first who needs it does not wait for it. What comes from outside comes seldom. */
export function warmUp(): void {
  const file = workerFile()
  if (file) laneOf('working', file).warm()
}

const lanes = new Map<LaneName, Lane>()
function laneOf(name: LaneName, file: string): Lane {
  const known = lanes.get(name)
  if (known) return known
  const lane = new Lane(file, name)
  lanes.set(name, lane)
  return lane
}

/** One process, and who waits for it. */
class Lane {
  private queue: Waiting[] = []
  private current: Waiting | null = null
  private worker: ChildProcess | null = null
  private isUp = false
  private timer: ReturnType<typeof setInterval> | undefined

  constructor(
    private readonly file: string,
    private readonly name: LaneName,
  ) {}

  ask(order: TaskOrder, limit: Limit): Promise<unknown> {
    if (this.queue.length >= LONGEST_QUEUE)
      throw new Refused(503, [
        { path: '', reason: 'Too much is being worked out at once. Nothing was changed; try again in a moment.' },
      ])
    return new Promise((resolve, reject) => {
      this.queue.push({ order, limit, settle: { resolve, reject } })
      this.next()
    })
  }

  warm(): ChildProcess {
    if (this.worker) return this.worker
    this.isUp = false
    const worker = fork(this.file, [this.name], {
      execArgv: [`--max-old-space-size=${MOST_MEMORY_MB}`],
      serialization: 'advanced',
    })
    // Whoever answers goes first where the processors are few.
    if (worker.pid !== undefined) setPriority(worker.pid, NICENESS)
    // It ends with the server by itself; it keeps nobody from ending.
    worker.unref()
    worker.channel?.unref()
    worker.on('message', (answer: TaskAnswer) => {
      if (worker === this.worker) this.hear(answer)
    })
    worker.on('error', error => {
      if (worker === this.worker) this.end(error)
    })
    worker.on('exit', (code, signal) => {
      // The system and the engine end by a signal what takes too much memory.
      if (worker === this.worker)
        this.end(
          signal
            ? tooMuch(`more than ${MOST_MEMORY_MB} MB of memory`)
            : new Error(`the process for heavy work ended with ${code}`),
        )
    })
    return (this.worker = worker)
  }

  private next(): void {
    if (this.current || this.queue.length === 0) return
    this.current = this.queue.shift()!
    const { order, limit } = this.current
    this.endAfter(limit.checkMs)
    this.warm().send(order)
  }

  private endAfter(milliseconds: number): void {
    clearInterval(this.timer)
    const begun = performance.now()
    let before: number | null = null
    this.timer = setInterval(() => {
      const clock = performance.now() - begun
      const used = this.isUp ? processorMs(this.worker!.pid!) : null
      before ??= used
      // A process that only comes up has taken nothing yet.
      const worked = !this.isUp ? 0 : used === null || before === null ? clock : used - before
      const took = Math.max(worked, clock / CLOCK_FACTOR)
      if (took >= milliseconds) this.end(tooMuch(`longer than ${milliseconds / 1000} seconds`))
    }, LOOK_MS)
  }

  private hear(answer: TaskAnswer): void {
    switch (answer.kind) {
      case 'ready':
        this.isUp = true
        return
      case 'checked':
        return this.endAfter(this.current!.limit.doMs)
      case 'done':
        return this.settle(({ resolve }) => resolve(answer.value))
      case 'refused':
        return this.settle(({ reject }) => reject(new Refused(answer.status, answer.issues)))
      case 'failed':
        return this.settle(({ reject }) => reject(new Error(answer.message)))
    }
  }

  /** Ends the process with whatever it does; the next task gets a fresh one. */
  private end(error: unknown): void {
    const { worker, current } = this
    this.worker = null
    worker?.kill('SIGKILL')
    this.settle(({ reject }) => reject(error))
    // One that falls over with nothing to do would do so again and again.
    if (current) this.warm()
  }

  private settle(how: (settle: Waiting['settle']) => void): void {
    clearInterval(this.timer)
    const { current } = this
    this.current = null
    if (current) how(current.settle)
    this.next()
  }
}

const tooMuch = (what: string) =>
  new Refused(422, [{ path: '', reason: `This takes ${what}. Nothing was changed; make it smaller or simpler.` }])

/** Ticks of the processor's clock in a second, as Linux counts them for who asks. */
const TICKS = 100

/** Processor time that a process has used, in ms; `null` where the system does not tell. */
function processorMs(pid: number): number | null {
  try {
    // Its name, in brackets, may hold anything; what follows it is numbers.
    const [user, system] = readFileSync(`/proc/${pid}/stat`, 'utf8')
      .replace(/^.*\) /s, '')
      .split(' ')
      .slice(11, 13)
    return ((Number(user) + Number(system)) * 1000) / TICKS
  } catch {
    return null
  }
}
