import { expect } from '@playwright/test'
import { startApp } from '../support/app'
import { setPageClock } from '../support/page-clock'
import { jobUpTo, settled, test, view } from './fixture'

test('a rest between rounds goes on through a reload, another server and the Yard', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'bleed-clutch', { slave: 'opened' })
  await view(page, stage, jobId, 'work')
  await expect(page.getByTestId('done')).toHaveText('To the bleeding')
  await page.keyboard.press('Space')
  await page.getByLabel('Rest, minutes').fill('45')
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  await expect(page.getByTestId('strokes')).toHaveText('0')
  for (let stroke = 0; stroke < 3; stroke++) await page.keyboard.press('Space')
  await expect(page.getByTestId('strokes')).toHaveText('3')
  await page.keyboard.press('Backspace')
  await expect(page.getByTestId('strokes')).toHaveText('2')
  await page.getByRole('button', { name: 'Rest', exact: true }).click()
  await expect(page.getByTestId('rest')).toHaveText('45:00')
  await expect(page.getByTestId('stroke')).toBeDisabled()
  await settled(page)

  await setPageClock(page, { aheadMs: 30_000 })
  await stage.app.setClock({ aheadMs: 30_000 })
  await page.reload()
  await expect(page.getByTestId('rest')).toHaveText('44:30')
  await stage.app.setClock({})
  const second = await startApp(stage.database.url)
  await second.setClock({ aheadMs: 60_000 })
  await setPageClock(page, { aheadMs: 60_000 })
  await page.goto(`${second.base}/jobs/${jobId}/pedal`)
  await expect(page.getByTestId('rest')).toHaveText('44:00')
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
  await expect(page.getByRole('heading', { name: 'Nothing to bleed on this job' })).toBeVisible()
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
  await page.getByTestId('turn').waitFor()
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'Stop and begin again' }).click()
  await page.getByRole('radio', { name: '8', exact: true }).click()
  await page.getByRole('button', { name: 'Start the run' }).click()
  await expect(page.getByRole('img', { name: 'Next is bolt 1 of 8, by hand' })).toBeVisible()
  for (let turn = 0; turn < 9; turn++) await page.keyboard.press('Space')
  await expect(page.getByRole('img', { name: /^Next is bolt 5 of 8, set 10.2 N·m/ })).toBeVisible()
  await settled(page)
  expect((await stage.state(jobId)).runs).toMatchObject([
    { boltCount: 6, turned: 1, dropped: 'Stopped to begin again' },
    { boltCount: 8, turned: 9, dropped: null },
  ])
})

test('an upgrade that does not release is found before it is fitted, air is estimated, a way advised, a rest explained', async ({
  page,
  stage,
}) => {
  const jobId = await stage.openJob({ options: { slave: 'opened' } })
  await view(page, stage, jobId, 'pedal/pedal-geometry')
  await page.getByRole('radio', { name: 'Master and slave' }).click()
  await page.getByLabel(/^Bore of the master/).fill('19')
  await page.getByLabel(/^Bore of the slave/).fill('22')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/It releases with \d+\sin 100 to spare/)).toBeVisible()
  await page.getByLabel(/^Bore of the slave/).fill('33')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/it drags\. A larger master, a smaller slave/)).toBeVisible()
  await page.getByLabel(/^Bore of the slave/).fill('2900')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/^Between 8\smm and 80\smm is possible/).first()).toBeVisible()

  await view(page, stage, jobId, 'pedal/pedal-air')
  await page.getByLabel(/^Travel lost at the pad/).fill('60')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/ml of air are left: .* have to go until reverse goes in/)).toBeVisible()

  await view(page, stage, jobId, 'pedal/advice')
  await page.getByRole('radiogroup', { name: 'A second person' }).getByRole('radio', { name: 'is not' }).click()
  await expect(page.getByTestId('advised')).toContainText('Pump and rest')
  await page.getByLabel('a syringe with a hose').check()
  await expect(page.getByTestId('advised')).toContainText('Reverse, from the slave')
  await expect(
    page
      .getByTestId('bleed-advice')
      .getByRole('listitem')
      .first()
      .getByRole('button', { name: 'Take this way into the plan' }),
  ).toBeVisible()
  await page.getByRole('radio', { name: 'stayed closed' }).click()
  await expect(page.getByTestId('advised')).toContainText('Nothing to bleed')
  await page.getByRole('radio', { name: 'was opened' }).click()
  await page.getByRole('link', { name: 'See why a rest works' }).click()
  await expect(page.getByTestId('bleed-outcome')).toContainText('Firm after')
  await expect(page.getByTestId('ways-compared').getByRole('listitem')).toHaveCount(6)
  await page.getByLabel('It rises by, degrees').fill('0')
  await expect(page.getByTestId('bleed-outcome')).toContainText('air stays where it is')
  await settled(page)
})

test('where the clutch line was opened, the car does not go on the road before its brakes are proved', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'brakes-proved', { slave: 'opened' })
  const { plan, done } = await stage.state(jobId)
  expect(plan!.order.indexOf('brakes-proved')).toBeLessThan(plan!.order.indexOf('road-test'))
  expect(done['road-test']).toBeUndefined()
  await view(page, stage, jobId, 'work')
  await expect(page.getByTestId('step-title')).toContainText('Press the brake pedal hard')
  await page.getByRole('radio', { name: 'soft or sinking' }).click()
  await expect(page.getByText(/Put it right and take the reading again/).first()).toBeVisible()
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).toContainText('Press the brake pedal hard')
})

test('the reservoir is counted down with the strokes, warns, and stops the count at its mark until fluid is poured in', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'bleed-two', { slave: 'opened', bleed: 'two-person' })
  await view(page, stage, jobId, 'pedal')
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  const guard = page.getByTestId('reservoir')
  await page.getByLabel('Stands in it, ml').fill('120')
  await page.getByRole('button', { name: 'Watch the reservoir' }).click()
  await expect(guard).toContainText('3 pulls through to the low mark')
  for (let stroke = 1; stroke <= 3; stroke++) {
    await page.getByTestId('stroke').click()
    await expect(page.getByTestId('strokes')).toHaveText(String(stroke))
  }
  await expect(guard).toContainText('At its low mark')
  await page.getByTestId('stroke').click()
  await expect(page.getByText(/Pour fresh fluid in before the next one/).first()).toBeVisible()
  await expect(page.getByTestId('strokes')).toHaveText('3')
  await page.getByLabel('Poured in, ml').fill('100')
  await page.getByRole('button', { name: 'Poured in' }).click()
  await page.getByTestId('stroke').click()
  await expect(page.getByTestId('strokes')).toHaveText('4')
  await expect(guard).toContainText('the old fluid is gone')
})
