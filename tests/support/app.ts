import { spawn } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'
import { createServer } from 'node:net'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** So long a start may take where other work keeps the processors busy. */
const STARTS_WITHIN_MS = 120_000

/** For who looks at how long a server waits for its records. */
export const asShipped = { ELDRIN_PATIENCE_SECONDS: '5' }

/** A port on the loopback that nothing listens on. */
export async function freePort(): Promise<number> {
  return new Promise(resolve => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })
}

export interface RunningApp {
  base: string
  process: ChildProcess
  /** Ends it at once, without a chance to finish anything. */
  kill: () => Promise<void>
  /** Sets its clock ahead of the machine's, for who began it with a clock that can be moved; done when it goes by it. */
  setAhead: (milliseconds: number) => Promise<void>
}

/** Starts the built application on a database. */
export async function startApp(
  databaseUrl: string,
  port?: number,
  env: Record<string, string> = {},
  clockMoves = false,
): Promise<RunningApp> {
  const chosen = String(port ?? (await freePort()))
  const child = spawn(
    process.execPath,
    [...(clockMoves ? ['--import', './tests/support/moved-clock.mjs'] : []), '.output/server/index.mjs'],
    {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit', ...(clockMoves ? ['ipc' as const] : [])],
      env: {
        ...process.env,
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
    },
  )
  const base = `http://127.0.0.1:${chosen}`
  const answers = () =>
    fetch(`${base}/health/ready`).then(
      response => response.ok,
      () => false,
    )
  const begun = performance.now()
  while (!(await answers())) {
    if (child.exitCode !== null) throw new Error(`the application ended with ${child.exitCode}`)
    if (performance.now() - begun > STARTS_WITHIN_MS) {
      child.kill('SIGKILL')
      throw new Error(`the application did not answer within ${STARTS_WITHIN_MS / 1000} s`)
    }
    await new Promise(resolve => setTimeout(resolve, 50))
  }
  return {
    base,
    process: child,
    setAhead: milliseconds =>
      new Promise(resolve => {
        child.once('message', () => resolve())
        child.send({ aheadMs: milliseconds })
      }),
    kill: () =>
      new Promise(resolve => {
        if (child.exitCode !== null || child.signalCode !== null) return resolve()
        child.once('exit', () => resolve())
        child.kill('SIGKILL')
      }),
  }
}
