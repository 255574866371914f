import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'
import { reduceJob } from '../../core/job'
import { startApp } from '../support/app'
import { heldPort } from '../support/ports'
import { settled, test, view } from './fixture'
import { doStep } from './mechanic'

/** What Work and the strip say, without the running clock. */
const shown = async (page: Page) => ({
  step: await page.getByTestId('step-title').innerText(),
  off: await page.getByRole('link', { name: /^The car: / }).getAttribute('aria-label'),
  notes: await page.locator('p.italic').allInnerTexts(),
})

test('reload, second browser and restarted server show the same', async ({ page, stage, browser }) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'work')
  for (let step = 0; step < 4; step++) await doStep(page)
  await page.keyboard.press('n')
  await page.getByRole('textbox', { name: 'Note' }).fill('Clip behind the tray is brittle')
  await page.getByRole('button', { name: 'Keep the note' }).click()
  await settled(page)
  const first = await shown(page)
  expect(first.notes).toEqual(['Clip behind the tray is brittle'])

  await page.reload()
  await page.getByTestId('step-title').waitFor()
  expect(await shown(page)).toEqual(first)

  const other = await (await browser.newContext()).newPage()
  await view(other, stage, jobId, 'work')
  expect(await shown(other)).toEqual(first)

  const second = await startApp(stage.database.url)
  await other.goto(`${second.base}/jobs/${jobId}/work`)
  await other.getByTestId('step-title').waitFor()
  expect(await shown(other)).toEqual(first)
  await second.kill()
  await other.close()
})

test('a second browser follows by itself, on the job and on the Yard', async ({ page, stage, browser }) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'work')
  const context = await browser.newContext()
  const [other, yard] = [await context.newPage(), await context.newPage()]
  await view(other, stage, jobId, 'work')
  await yard.goto(stage.app.base)
  const line = yard
    .getByTestId('yard-line')
    .filter({ has: yard.locator(`a[href*="${jobId}"]`) })
    .or(yard.locator(`a[href*="${jobId}"]`))
    .first()
  await line.waitFor()
  await expect(page.getByText('No word from the server')).toHaveCount(0)
  await expect(other.getByText('No word from the server')).toHaveCount(0)

  const before = await page.getByTestId('step-title').innerText()
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).not.toHaveText(before)
  const next = await page.getByTestId('step-title').innerText()
  await expect(other.getByTestId('step-title')).toHaveText(next)
  await expect(line).toContainText('1 of ')
  await context.close()
})

test('no acknowledged event is lost when the server is killed in the middle of posting', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  const port = await heldPort()
  let app = await startApp(stage.database.url, port)
  const acknowledged = new Set<string>()
  page.on('response', async response => {
    if (response.request().method() !== 'POST' || !response.ok()) return
    const body = (await response.json().catch(() => null)) as { accepted?: { id: string }[] } | null
    for (const { id } of body?.accepted ?? []) acknowledged.add(id)
  })
  await page.goto(`${app.base}/jobs/${jobId}/work`)
  await page.getByTestId('step-title').waitFor()

  const toggle = page.getByRole('button', { name: /Timer|Stop timer/ })
  for (let press = 0; press < 40; press++) {
    await toggle.click()
    if (press === 17) {
      await expect.poll(() => acknowledged.size).toBeGreaterThan(3)
      void app.kill()
    }
  }
  await app.kill()
  await expect(page.getByText('waiting to be sent')).toBeVisible()
  const kept = new Set((await stage.events(jobId)).map(event => event.id))
  expect([...acknowledged].filter(id => !kept.has(id))).toEqual([])
  expect(kept.size).toBeLessThan(42)

  app = await startApp(stage.database.url, port)
  await settled(page)
  const log = await stage.events(jobId)
  expect(log.filter(event => event.type === 'timer-started')).toHaveLength(20)
  expect(log.filter(event => event.type === 'timer-stopped')).toHaveLength(20)
  const posted = log.filter(event => event.type.startsWith('timer')).map(event => event.type)
  expect(posted).toEqual(posted.map((_, index) => (index % 2 ? 'timer-stopped' : 'timer-started')))
  expect(reduceJob(log).timers).not.toEqual({})
  await app.kill()
})
