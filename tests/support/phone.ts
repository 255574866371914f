import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { chromiumPath, quietArgs, unmovedClock } from './chromium'

const PHONE = { width: 390, height: 844 }

/** A browser with a disk of its own, that can be killed and started again. */
export interface Phone {
  /** Starts the browser, or starts it again, and gives a page of it. */
  start: () => Promise<Page>
  /** Ends every process of it at once, without a chance to write anything. */
  kill: () => Promise<void>
  /** Kills it and throws its disk away. */
  end: () => Promise<void>
}

export function newPhone(): Phone {
  const profile = mkdtempSync(join(tmpdir(), 'eldrin-phone-'))
  let running: ReturnType<typeof spawn> | null = null

  async function start(): Promise<Page> {
    const portFile = join(profile, 'DevToolsActivePort')
    rmSync(portFile, { force: true })
    running = spawn(
      chromiumPath,
      [
        '--headless=new',
        ...quietArgs,
        '--hide-crash-restore-bubble',
        '--remote-debugging-port=0',
        `--user-data-dir=${profile}`,
        'about:blank',
      ],
      { stdio: 'ignore', detached: true, env: unmovedClock },
    )
    while (!existsSync(portFile) || !readFileSync(portFile, 'utf8').includes('\n')) {
      if (running.exitCode !== null) throw new Error(`the browser ended with ${running.exitCode}`)
      await new Promise(resolve => setTimeout(resolve, 50))
    }
    const [port] = readFileSync(portFile, 'utf8').split('\n')
    const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`)
    const [context] = browser.contexts()
    const page = context!.pages()[0] ?? (await context!.newPage())
    await page.setViewportSize(PHONE)
    return page
  }
  async function kill(): Promise<void> {
    if (!running?.pid) return
    const gone = once(running, 'exit')
    process.kill(-running.pid, 'SIGKILL')
    await gone
    running = null
  }
  return {
    start,
    kill,
    async end() {
      await kill()
      rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
    },
  }
}
