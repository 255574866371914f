import { expect } from '@playwright/test'
import { settled, test, view } from './fixture'

test('a plan of 140 steps stays smooth', async ({ page, stage }) => {
  await page.addInitScript(() => {
    const long: number[] = []
    Object.assign(window, { longTasks: long })
    new PerformanceObserver(list => long.push(...list.getEntries().map(entry => entry.duration))).observe({ type: 'longtask' })
  })
  const jobId = await stage.openJob({ packId: 'fwd-subframe', options: { 'slave': 'opened', 'flywheel': 'machined', 'crank-seal': 'renewed', 'cover': 'self-adjusting' } })
  const { plan } = await stage.state(jobId)
  expect(plan!.steps.length).toBeGreaterThanOrEqual(140)
  await view(page, stage, jobId, 'plan')
  await expect(page.getByTestId('finish-odds')).toContainText('eight in ten')
  await page.evaluate(() => { (window as unknown as { longTasks: number[] }).longTasks.length = 0 })
  await page.getByRole('button', { name: 'Close up' }).click()
  for (const id of plan!.order.filter((_, index) => index % 17 === 0)) {
    await page.getByTestId(`row-${id}`).click()
    await page.keyboard.press('Alt+ArrowDown')
  }
  await page.getByRole('tab', { name: 'How' }).click()
  await page.getByRole('tab', { name: 'Tools' }).click()
  await page.getByRole('tab', { name: 'Order' }).click()
  await page.getByRole('button', { name: 'Work the order out again' }).click()
  await expect(page.getByRole('button', { name: 'Work the order out again' })).toBeVisible()
  await settled(page)
  const longest = await page.evaluate(() => Math.max(0, ...(window as unknown as { longTasks: number[] }).longTasks))
  expect(longest).toBeLessThan(200)
})
