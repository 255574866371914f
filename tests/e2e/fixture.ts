import { test as base } from '@playwright/test'
import type { Page } from '@playwright/test'
import { reduceJob } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import type { RunningApp } from '../support/app'
import { startAppWithSupplier } from '../support/app-with-supplier'
import type { TestDatabase } from '../support/database'
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

/** Runs the built application on a database of its own for as long as it is used. */
async function withStage(use: (stage: Stage) => Promise<void>): Promise<void> {
  const { database, app, supplierUrl, end } = await startAppWithSupplier({ watchSeconds: 1, clockMoves: true })
  const events = (jobId: string) => forGarage(database.db, garageId).jobs.events(jobId)
  try {
    await use({
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
    })
  } finally {
    await end()
  }
}

/** `stage` is shared by the tests of a worker, `emptyStage` is one test's own and has no jobs. */
export const test = base.extend<{ errors: string[]; emptyStage: Stage }, { stage: Stage }>({
  // eslint-disable-next-line no-empty-pattern
  stage: [({}, use) => withStage(use), { scope: 'worker' }],
  // eslint-disable-next-line no-empty-pattern
  emptyStage: ({}, use) => withStage(use),
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
  await stage.app.setAhead(-BEGUN_MS)
  const jobId = await stage.openJob({ options, ...(packId ? { packId } : {}) })
  await stage.app.setAhead(0)
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
