import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import type { ClockStand } from './fixed-clock.mjs'
import { heldPort } from './ports'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** A start that takes this long hangs: on whatever machine, it is no question of pace any more. */
const HANGS_AFTER_MS = 600_000

/** For who looks at how long a server waits for its records. */
export const asShipped = { ELDRIN_PATIENCE_SECONDS: '5' }

export interface RunningApp {
  base: string
  process: ChildProcess
  /** Ends it at once, without a chance to finish anything. */
  kill: () => Promise<void>
  /** Sets its clock; done when it goes by it. */
  setClock: (how: ClockStand) => Promise<void>
}

/** Starts the built application on a database, on the clock of the tests. */
export async function startApp(
  databaseUrl: string,
  port?: number,
  env: Record<string, string> = {},
): Promise<RunningApp> {
  const chosen = String(port ?? (await heldPort()))
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      ELDRIN_CLOCK_LINE: '1',
      DATABASE_URL: databaseUrl,
      HOST: '127.0.0.1',
      NITRO_HOST: '127.0.0.1',
      PORT: chosen,
      NITRO_PORT: chosen,
      // What is sound is not given up on a machine that is busy with tests.
      ELDRIN_CHECK_SECONDS: '20',
      ELDRIN_PATIENCE_SECONDS: '40',
      // Whoever comes is the demo’s owner, but where a test says otherwise.
      ELDRIN_DEMO: '1',
      ...env,
    },
  })
  const base = `http://127.0.0.1:${chosen}`
  const answers = () =>
    fetch(`${base}/health/ready`).then(
      response => response.ok,
      () => false,
    )
  const begun = performance.now()
  while (!(await answers())) {
    if (child.exitCode !== null) throw new Error(`the application ended with ${child.exitCode}`)
    if (performance.now() - begun > HANGS_AFTER_MS) {
      child.kill('SIGKILL')
      throw new Error(`the application lives and does not answer`)
    }
    await new Promise(resolve => setTimeout(resolve, 50))
  }
  return {
    base,
    process: child,
    setClock: how =>
      new Promise(resolve => {
        child.once('message', () => resolve())
        child.send(how)
      }),
    kill: () =>
      new Promise(resolve => {
        if (child.exitCode !== null || child.signalCode !== null) return resolve()
        child.once('exit', () => resolve())
        child.kill('SIGKILL')
      }),
  }
}
