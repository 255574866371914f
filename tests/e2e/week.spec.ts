import { expect } from '@playwright/test'
import { settled, test, view } from './fixture'

test('the days ahead hold every car, move one by drag, keys and buttons within what is allowed, and say why not beyond', async ({
  page,
  emptyStage: stage,
}) => {
  // A Monday morning, for the page and for the server it goes by.
  const now = Date.parse('2026-03-02T08:05:00Z')
  await page.clock.install({ time: now })
  await stage.app.setClock({ aheadMs: now - Date.now() })
  const first = await stage.openJob({ at: '2026-03-02T07:00:00.000Z' })
  const second = await stage.openJob({
    at: '2026-03-02T07:10:00.000Z',
    vehicleId: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0002',
  })
  const { base } = stage.app
  await page.goto(base)
  await page.getByRole('link', { name: 'Days ahead' }).click()
  await expect(page.getByTestId('week-says')).toContainText('All promises hold')
  const rows = page.getByRole('list', { name: 'Cars of these days' }).getByRole('listitem')
  await expect(rows).toHaveCount(2)
  await page.getByTestId('week-101').click()
  await page.getByRole('button', { name: 'A day later' }).click()
  await expect(page.getByTestId('week-101')).toContainText('from Wed 4 Mar 08:00')
  await expect
    .poll(async () => (await stage.state(first)).site)
    .toMatchObject({ site: 'bay', notBefore: '2026-03-04T08:00:00.000Z' })
  await page.locator('body').click({ position: { x: 5, y: 300 } })
  await page.keyboard.press('ArrowRight')
  await expect(page.getByTestId('week-101')).toContainText('from Thu 5 Mar 08:00')
  await page.getByRole('radio', { name: 'at the customer’s' }).click()
  await page.getByLabel('Minutes away').fill('25')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('25 min on the road').first()).toBeVisible()
  await page.getByRole('button', { name: 'As soon as it can' }).click()
  await expect(page.getByTestId('week-101')).not.toContainText('Thu 5 Mar 08:00')

  // The second was promised for tomorrow evening: it cannot be put off beyond what keeps that.
  await view(page, stage, second, 'plan')
  await page.evaluate(
    async ([id, promise]) => {
      await fetch(`/api/jobs/${id}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          events: [
            {
              id: crypto.randomUUID(),
              deviceId: 'd',
              deviceTime: '2026-03-02T08:10:00.000Z',
              personId: '0a7cf6f2-3a0b-4c35-8f43-7c1a0a7d1101',
              type: 'promised',
              payload: { at: promise },
            },
          ],
        }),
      })
    },
    [second, '2026-03-03T18:00:00.000Z'],
  )
  await page.goto(`${base}/week`)
  const picture = page.getByRole('img', { name: /^Days ahead: / })
  await picture.waitFor()
  // What this device kept of it knows of no promise yet.
  await page.getByTestId('week-102').click()
  await expect(
    page
      .locator('aside, #sheet')
      .getByText(/, promised /)
      .first(),
  ).toBeVisible()
  const car = picture.locator(`[data-job="${second}"] rect`).first()
  const from = (await car.boundingBox())!
  await page.mouse.move(from.x + 6, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(from.x + 380, from.y + 12, { steps: 8 })
  await page.mouse.up()
  await expect(page.getByText('Then it is not done when it was promised.')).toBeVisible()
  expect((await stage.state(second)).site.notBefore).toBeNull()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'These days for a calendar' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('days-ahead.ics')
  await settled(page)
})
