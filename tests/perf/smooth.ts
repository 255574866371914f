/**
 * How long a task keeps the page busy while a plan of some 140 steps is moved about and worked out again.
 * Needs a running demo (bin/demo). ELDRIN_URL names another address. The job it opens is called off at the end.
 */
import { chromium } from '@playwright/test'
import { chromiumPath, quietArgs } from '../support/chromium'
import { incoming, newJobRequest } from '../support/requests'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const RUNS = 3
const LIMIT_MS = 200

async function post(path: string, body: unknown) {
  const response = await fetch(`${base}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!response.ok) throw new Error(`${path}: ${await response.text()}`)
}

const job = newJobRequest({
  packId: 'fwd-subframe',
  options: { slave: 'opened', flywheel: 'machined', 'crank-seal': 'renewed', cover: 'self-adjusting' },
})
await post('/api/jobs', job)
const browser = await chromium.launch({ executablePath: chromiumPath, args: quietArgs })
const longest: number[] = []
let steps = 0
try {
  for (let run = 0; run < RUNS; run++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.addInitScript(() => {
      const long: number[] = []
      Object.assign(window, { longTasks: long })
      new PerformanceObserver(list => long.push(...list.getEntries().map(entry => entry.duration))).observe({
        type: 'longtask',
      })
    })
    await page.goto(`${base}/jobs/${job.id}/plan`)
    await page.getByTestId('finish-odds').getByText('eight in ten').waitFor()
    await page.evaluate(() => {
      ;(window as unknown as { longTasks: number[] }).longTasks.length = 0
    })
    await page.getByRole('button', { name: 'Close up' }).click()
    const rows = await page
      .locator('[data-testid^="row-"]')
      .evaluateAll(found => found.map(each => each.getAttribute('data-testid')!))
    steps = rows.length
    for (const row of rows.filter((_, index) => index % 17 === 0)) {
      await page.getByTestId(row).click()
      await page.keyboard.press('Alt+ArrowDown')
    }
    for (const tab of ['How', 'Tools', 'Order']) await page.getByRole('tab', { name: tab }).click()
    await page.getByRole('button', { name: 'Work the order out again' }).click()
    await page.getByText(/waiting to be sent|being kept/).waitFor({ state: 'detached' })
    longest.push(await page.evaluate(() => Math.max(0, ...(window as unknown as { longTasks: number[] }).longTasks)))
    await page.close()
  }
} finally {
  await browser.close()
  await post(`/api/jobs/${job.id}/events`, { events: [incoming('called-off', { reason: 'Opened by a benchmark' })] })
}
const middle = [...longest].sort((a, b) => a - b)[Math.floor(RUNS / 2)]!
console.log(
  `a plan of ${steps} steps: the longest task keeps the page busy for ${Math.round(middle)} ms (median of ${RUNS}, limit ${LIMIT_MS})`,
)
process.exitCode = middle < LIMIT_MS ? 0 : 1
