import { expect } from '@playwright/test'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/job-log'
import { startApp } from '../support/app'
import { garageId, personId } from '../support/requests'
import { settled, test, view } from './fixture'
import type { Stage } from './fixture'

/** A job worked off up to a step, without the screen. */
async function jobUpTo(stage: Stage, stepId: string, options: Record<string, string>): Promise<string> {
  const jobId = await stage.openJob({ options })
  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.now() - 8 * 3_600_000).workUntil(stepId)
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  return jobId
}

test('a rest between rounds goes on through a reload, another server and the Yard', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'bleed-clutch', { slave: 'opened' })
  await view(page, stage, jobId, 'work')
  await expect(page.getByTestId('done')).toHaveText('To the bleeding')
  await page.keyboard.press('Space')
  await page.getByLabel('Rest, minutes').fill('45')
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  for (let stroke = 0; stroke < 3; stroke++) await page.keyboard.press('Space')
  await page.keyboard.press('Backspace')
  await expect(page.getByTestId('strokes')).toHaveText('2')
  await page.getByRole('button', { name: 'Rest', exact: true }).click()
  await expect(page.getByTestId('rest')).toHaveText(/^4[45]:\d\d$/)
  await expect(page.getByTestId('stroke')).toBeDisabled()
  await settled(page)

  await page.reload()
  await expect(page.getByTestId('rest')).toHaveText(/^44:\d\d$/)
  const second = await startApp(stage.database.url)
  await page.goto(`${second.base}/jobs/${jobId}/pedal`)
  await expect(page.getByTestId('rest')).toHaveText(/^44:\d\d$/)
  await page.goto(second.base)
  await expect(page.locator(`a[href*="${jobId}"]`)).toContainText('Waits for Air rising in the clutch line, until')

  await page.goto(`${second.base}/jobs/${jobId}/pedal`)
  await page.getByRole('button', { name: 'Soft' }).click()
  await expect(page.getByText('Round 1: 2 strokes, rested')).toBeVisible()
  await expect(page.getByTestId('strokes')).toHaveText('0')
  await second.kill()
})

test('a slave moved aside is not bled, and its pedal is blocked meanwhile', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'last-bell-bolts', { slave: 'aside' })
  await view(page, stage, jobId, 'pedal')
  await expect(page.getByRole('heading', { name: 'Nothing to count on this job' })).toBeVisible()
  await expect(page.getByText('one stroke of the pedal pushes its piston out')).toBeVisible()
})

test('a run is stopped and begun again with another count', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'cover-tighten', {})
  await view(page, stage, jobId, 'bolts')
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await page.getByLabel('Torque').fill('15 lbf·ft')
  await page.getByRole('radio', { name: 'Trade practice' }).click()
  await page.getByLabel('Which book, sheet or person').fill('Maren, by experience')
  await page.getByRole('button', { name: 'Name this figure' }).click()
  await page.getByRole('button', { name: 'Start the run' }).click()
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'Stop and begin again' }).click()
  await page.getByRole('radio', { name: '8', exact: true }).click()
  await page.getByRole('button', { name: 'Start the run' }).click()
  await expect(page.getByRole('img', { name: 'Next is bolt 1 of 8, by hand' })).toBeVisible()
  for (let turn = 0; turn < 9; turn++) await page.keyboard.press('Space')
  await expect(page.getByRole('img', { name: /^Next is bolt 5 of 8, set 10.2 N·m/ })).toBeVisible()
  await settled(page)
  expect((await stage.state(jobId)).runs).toMatchObject([{ boltCount: 6, turned: 1, dropped: 'Stopped to begin again' }, { boltCount: 8, turned: 9, dropped: null }])
})
