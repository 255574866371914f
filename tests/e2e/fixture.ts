import { test as base } from '@playwright/test'
import type { Browser, Page } from '@playwright/test'
import { reduceJob } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import type { RunningApp } from '../support/app'
import { startAppWithSupplier } from '../support/app-with-supplier'
import type { TestDatabase } from '../support/database'
import { setPageClock } from '../support/page-clock'
import { garageId, newJobRequest, personId } from '../support/requests'

export interface Stage {
  database: TestDatabase
  app: RunningApp
  /** Where the simulated parts supplier is held by hand. */
  supplierUrl: string
  /** Opens a job over the wire and returns its id. */
  openJob: (change?: Record<string, unknown>) => Promise<string>
  /** The log of a job as PostgreSQL has it. */
  events: (jobId: string) => Promise<JobEvent[]>
  state: (jobId: string) => Promise<JobState>
}

/** Runs the built application on a database of its own until it is ended. */
async function newStage(): Promise<Stage & { end: () => Promise<void> }> {
  const { database, app, supplierUrl, end } = await startAppWithSupplier({ watchSeconds: 1 })
  const events = (jobId: string) => forGarage(database.db, garageId).jobs.events(jobId)
  return {
    end,
    database,
    app,
    supplierUrl,
    events,
    state: async jobId => reduceJob(await events(jobId)),
    openJob: async (change = {}) => {
      // Another layout has other options, and its own words for a complaint.
      const plain = change.packId ? { options: {}, complaint: { symptoms: ['other'], text: '' } } : {}
      const request = newJobRequest({ ...plain, ...change })
      const response = await fetch(`${app.base}/api/jobs`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(request),
      })
      if (!response.ok) throw new Error(await response.text())
      return request.id
    },
  }
}

/** Every page of a browser begins on the clock of the tests, in whatever context it is opened. */
function onClock(browser: Browser): Browser {
  const { newContext } = browser
  browser.newContext = async options => {
    const context = await newContext.call(browser, options)
    await setPageClock(context)
    return context
  }
  return browser
}

/** What a worker has standing: the stage of the file it is at. */
interface Standing {
  file: string
  stage: Awaited<ReturnType<typeof newStage>> | null
}

/** `stage` is shared by the tests of one file that a worker runs, `emptyStage` is one test's own and has no jobs. */
export const test = base.extend<
  { errors: string[]; stage: Stage; emptyStage: Stage },
  { browser: Browser; standing: Standing }
>({
  browser: [async ({ browser }, use) => use(onClock(browser)), { scope: 'worker' }],
  standing: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const standing: Standing = { file: '', stage: null }
      await use(standing)
      await standing.stage?.end()
    },
    { scope: 'worker' },
  ],
  stage: async ({ standing }, use, { file }) => {
    if (standing.file !== file) {
      await standing.stage?.end()
      Object.assign(standing, { file, stage: await newStage() })
    }
    await use(standing.stage!)
  },
  // eslint-disable-next-line no-empty-pattern
  emptyStage: async ({}, use) => {
    const stage = await newStage()
    await use(stage)
    await stage.end()
  },
  // Any error thrown in a page fails its test.
  errors: [
    async ({ page }, use) => {
      const errors: string[] = []
      page.on('pageerror', error => errors.push(error.message))
      await use(errors)
      if (errors.length > 0) throw new Error(`errors in the page: ${errors.join('; ')}`)
    },
    { auto: true },
  ],
})

/** How long ago a job began that is under way. */
const BEGUN_MS = 8 * 3_600_000

/** A job worked off up to a step, without the screen. */
export async function jobUpTo(
  stage: Stage,
  stepId: string | null,
  options: Record<string, string> = {},
  more: (mechanic: DemoMechanic) => void = () => {},
  packId?: string,
): Promise<string> {
  await stage.app.setClock({ aheadMs: -BEGUN_MS })
  const jobId = await stage.openJob({ options, ...(packId ? { packId } : {}) })
  await stage.app.setClock({})
  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.now() - BEGUN_MS).workUntil(stepId)
  more(mechanic)
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  return jobId
}

/** Opens a view of a job and waits until it is there. */
export async function view(page: Page, stage: Stage, jobId: string, name: string): Promise<void> {
  await page.goto(`${stage.app.base}/jobs/${jobId}/${name}`)
  await page.locator('#sheet h1').first().waitFor()
}

/** The server may plan first, on a machine that is busy with other tests. */
const SENT_WITHIN_MS = 240_000

/** Waits until nothing is on its way to the device's disk or to the server any more. */
export async function settled(page: Page): Promise<void> {
  await page.getByText(/waiting to be sent|being kept/).waitFor({ state: 'detached', timeout: SENT_WITHIN_MS })
}
