import type { Page } from '@playwright/test'
import { forGarage } from '../../server/db/for-garage'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import type { TestDatabase } from '../support/database'
import { basicsKept } from '../support/kept'
import { setPageClock } from '../support/page-clock'
import { newPhone } from '../support/phone'
import { garageId, newJobRequest } from '../support/requests'

export interface OfflineDrill {
  trials: number
  /** Acts that a screen showed as kept. */
  acts: number
  lost: number
  doubled: number
  reloads: number
  tabsClosed: number
  kills: number
}

interface World {
  page: Page
  url: string
  /** How far the phone's clock has come since the trial began, ms. */
  aheadMs: number
}

const HOUR_MS = 3_600_000
const breaks = ['reload', 'close', 'kill'] as const
const counted = { reload: 'reloads', close: 'tabsClosed', kill: 'kills' } as const
/** Presses in one turn of the page, as quick as they come. */
const AT_ONCE = 25

export interface OfflineSetting {
  trials: number
  acts?: number
  hours?: number
  /** Into how many stretches a trial is broken, about. */
  stretches?: number
  /** Phones side by side, each with a server of its own. */
  phones?: number
  seeded?: () => number
  told?: (tally: OfflineDrill) => void
}

/**
 * Works without a server on a phone for days: so many acts, with the page reloaded, its tab closed and its browser killed in between,
 * and the clock going on. Then the server comes back, and every act that the phone had shown as kept has to be in the log, once.
 */
export async function offlineDrill(database: TestDatabase, setting: OfflineSetting): Promise<OfflineDrill> {
  const tally: OfflineDrill = { trials: 0, acts: 0, lost: 0, doubled: 0, reloads: 0, tabsClosed: 0, kills: 0 }
  const { phones = 1, trials } = setting
  let begun = 0
  await Promise.all(Array.from({ length: phones }, () => onePhone(database, setting, tally, () => begun++ < trials)))
  return tally
}

async function onePhone(
  database: TestDatabase,
  { acts = 500, hours = 72, stretches = 6, seeded = Math.random, told = () => {} }: OfflineSetting,
  tally: OfflineDrill,
  another: () => boolean,
): Promise<void> {
  let app: RunningApp = await startApp(database.url)
  const port = Number(new URL(app.base).port)
  const phone = newPhone()
  try {
    let page = await phone.start()
    await page.goto(app.base)
    await basicsKept(page)
    while (another()) {
      const jobId = await openJob(app.base)
      const world: World = { page, url: `${app.base}/jobs/${jobId}/work`, aheadMs: 0 }
      await open(world)
      await page.getByText('All sent').waitFor()
      const before = (await idsInLog(database, jobId)).length
      await app.kill()
      for (let done = 0; done < acts;) {
        const count = Math.min(acts - done, Math.ceil((acts / stretches) * (0.5 + seeded())))
        await toggleTimer(world.page, done, count)
        done += count
        world.aheadMs = (done / acts) * hours * HOUR_MS
        const what = breaks[Math.floor(seeded() * breaks.length)]!
        tally[counted[what]]++
        page = await breakOff(what, phone, world)
        await shows(page, done)
      }
      app = await startApp(database.url, port)
      await app.setClock({ aheadMs: world.aheadMs })
      await page.getByText('All sent').waitFor({ timeout: 120_000 })
      const ids = await idsInLog(database, jobId)
      const there = new Set(ids)
      tally.trials++
      tally.acts += acts
      tally.lost += Math.max(0, acts - (there.size - before))
      tally.doubled += ids.length - there.size + Math.max(0, there.size - before - acts)
      await app.setClock({})
      told(tally)
    }
  } finally {
    await phone.end()
    await app.kill()
  }
}

/** Starts and stops the timer of the step on the screen, some at a time, until the screen says that all of it is kept. */
async function toggleTimer(page: Page, done: number, count: number): Promise<void> {
  for (let pressed = 0; pressed < count;) {
    const now = Math.min(AT_ONCE, count - pressed)
    await page.evaluate(times => {
      for (let press = 0; press < times; press++)
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 't', code: 'KeyT', bubbles: true }))
    }, now)
    pressed += now
    await shows(page, done + pressed)
  }
}

const shows = (page: Page, waiting: number) =>
  page
    .getByTestId('waits')
    .filter({ hasText: new RegExp(`^${waiting} waiting`) })
    .waitFor({ timeout: 60_000 })

async function open({ page, url, aheadMs }: World): Promise<void> {
  await setPageClock(page, { aheadMs })
  await page.goto(url)
  await page.getByTestId('step-title').waitFor({ timeout: 60_000 })
}

async function breakOff(
  what: (typeof breaks)[number],
  phone: ReturnType<typeof newPhone>,
  world: World,
): Promise<Page> {
  if (what === 'kill') {
    await phone.kill()
    world.page = await phone.start()
  } else if (what === 'close') {
    const next = await world.page.context().newPage()
    await world.page.close()
    world.page = next
  }
  await open(world)
  return world.page
}

async function openJob(base: string): Promise<string> {
  const request = newJobRequest({ odometerKm: null, at: new Date().toISOString() })
  const response = await fetch(`${base}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(request),
  })
  if (!response.ok) throw new Error(`no job could be opened: ${response.status}`)
  return request.id
}

async function idsInLog(database: TestDatabase, jobId: string): Promise<string[]> {
  return (await forGarage(database.db, garageId).jobs.events(jobId)).map(({ id }) => id)
}
