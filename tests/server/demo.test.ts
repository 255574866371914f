import { spawn, spawnSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { afterAll, describe, expect, it } from 'vitest'
import { heldPort } from '../support/ports'

const root = fileURLToPath(new URL('../..', import.meta.url))
const home = `demo-test-${process.pid}`
afterAll(() => {
  spawnSync('bash', ['-c', `. bin/lib.sh; rm -rf "$(pg_home ${home})"`], { cwd: root })
})

/** The process of the supplier that a demo started. */
function supplierOf(demoPid: number): number {
  const found = readdirSync('/proc')
    .filter(name => /^\d+$/.test(name))
    .find(name => {
      try {
        return (
          readFileSync(`/proc/${name}/cmdline`, 'utf8').includes('stand-ins/supplier/start.ts') &&
          readFileSync(`/proc/${name}/stat`, 'utf8').split(') ')[1]!.split(' ')[1] === String(demoPid)
        )
      } catch {
        return false
      }
    })
  if (!found) throw new Error('the demo runs no supplier')
  return Number(found)
}

/** Starts the demo on a data folder of its own, which the next start finds again, and waits until it is ready. */
async function startDemo() {
  const port = await heldPort()
  const demo = spawn('bin/demo', {
    cwd: root,
    env: { ...process.env, PORT: String(port), ELDRIN_DEMO_HOME: home, ELDRIN_SUPPLIER_URL: '' },
    detached: true,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  demo.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString()
  })
  while (!said.includes('ready at')) {
    expect(demo.exitCode, said).toBeNull()
    await new Promise(resolve => setTimeout(resolve, 50))
  }
  const supplier = /parts supplier on (\S+)/.exec(said)![1]!
  const answers = (url: string) =>
    fetch(url).then(
      response => response.ok,
      () => false,
    )
  expect([await answers(`http://127.0.0.1:${port}/health/ready`), await answers(`${supplier}/orders`)]).toEqual([
    true,
    true,
  ])
  const ended = () =>
    Promise.all([answers(`http://127.0.0.1:${port}/health/ready`), answers(`${supplier}/orders`)]).then(
      alive => !alive.some(Boolean),
    )
  const postgresRuns = () =>
    spawnSync('bash', ['-c', `. bin/lib.sh; cd /; as_postgres "$PG_BIN/pg_ctl" -D "$(pg_home ${home})/data" status`], {
      cwd: root,
    }).status === 0
  return { demo, ended, postgresRuns }
}

describe('bin/demo ends what it started', () => {
  it('when its shell is killed without a chance to end anything', async () => {
    const { demo, ended, postgresRuns } = await startDemo()
    demo.kill('SIGKILL')
    await expect.poll(ended, { timeout: 600_000 }).toBe(true)
    await expect.poll(postgresRuns, { timeout: 600_000 }).toBe(false)
  })
  it('when the supplier dies first', async () => {
    const { demo, ended, postgresRuns } = await startDemo()
    const gone = new Promise(resolve => demo.once('exit', resolve))
    process.kill(supplierOf(demo.pid!), 'SIGKILL')
    await gone
    await expect.poll(ended, { timeout: 600_000 }).toBe(true)
    expect(postgresRuns()).toBe(false)
  })
})
