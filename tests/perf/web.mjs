/**
 * Size and time of the first load of Work: JavaScript over the wire, and load time on a throttled phone-class processor.
 * Needs a running demo (bin/demo). ELDRIN_URL names another address, ELDRIN_JOB the number of a job. Where a step hangs on a sheet
 * or a board of pieces, the computations of the bench come with it.
 */
import { chromium } from '@playwright/test'
import { chromiumPath, quietArgs } from '../support/chromium.ts'
import { shellKept } from '../support/kept.ts'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const RUNS = 5
const TAPS = 3
const SLOWDOWN = 4
const LIMIT_KB = 170

const jobs = await (await fetch(`${base}/api/jobs`)).json()
// The first that was taken in and is in work, whatever else the demo has; ELDRIN_JOB names another by its number.
const inWork = jobs.filter(each => each.status === 'in-work').sort((a, b) => a.number - b.number)
const job = jobs.find(each => each.number === Number(process.env.ELDRIN_JOB)) ?? inWork[0] ?? jobs[0]
const browser = await chromium.launch({
  executablePath: chromiumPath,
  args: quietArgs,
})

let script = 0
let everything = 0
const cold = []
const cached = []
const taps = []
const address = `${base}/jobs/${job.jobId}/work`

/** A page of a phone: its processor slowed, and what it fetches counted. */
async function slowPage(context) {
  const page = await context.newPage()
  const client = await context.newCDPSession(page)
  await client.send('Network.enable')
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN })
  return { page, client }
}
/** From the start of the navigation until the step on the screen is painted, by the page's own clock. */
async function untilStepStands(page) {
  await page.addInitScript(() => {
    const watcher = new MutationObserver(() => {
      if (!document.querySelector('[data-testid=step-title]')) return
      watcher.disconnect()
      requestAnimationFrame(() =>
        setTimeout(() => {
          self.stepStoodAt = performance.now()
        }),
      )
    })
    watcher.observe(document, { childList: true, subtree: true })
  })
  await page.goto(address)
  return (await page.waitForFunction(() => self.stepStoodAt, undefined, { polling: 500 })).jsonValue()
}

/** Starts or stops the timer of the step on the screen. @returns ms until it shows */
const untilTapShows = page =>
  page.evaluate(async () => {
    const button = [...document.querySelectorAll('button')].find(
      each => each.textContent.includes('Timer') || each.textContent.includes('Stop timer'),
    )
    const before = button.textContent.includes('Stop')
    const tapped = performance.now()
    button.click()
    while (button.textContent.includes('Stop') === before) await new Promise(resolve => requestAnimationFrame(resolve))
    return performance.now() - tapped
  })

for (let run = 0; run < RUNS; run++) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const { page, client } = await slowPage(context)
  const kinds = new Map()
  script = everything = 0
  let counts = true
  client.on('Network.responseReceived', ({ requestId, type, response }) =>
    kinds.set(requestId, { type, url: response.url }),
  )
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (!counts) return
    everything += encodedDataLength
    if (kinds.get(requestId)?.type === 'Script' || kinds.get(requestId)?.url.endsWith('.js'))
      script += encodedDataLength
  })
  cold.push(await untilStepStands(page))
  await page.waitForTimeout(500)
  counts = false

  // Again, from what is on the device, once all of it is there; then at work.
  await shellKept(page)
  await page.close()
  const again = await slowPage(context)
  cached.push(await untilStepStands(again.page))
  for (let tap = 0; tap < TAPS; tap++) {
    await again.page.waitForTimeout(1000)
    taps.push(await untilTapShows(again.page))
  }
  await context.close()
}
await browser.close()
const middle = values => Math.round([...values].sort((a, b) => a - b)[Math.floor(values.length / 2)])
console.log(
  `Work, first load: ${(script / 1024).toFixed(1)} kB JavaScript compressed (limit ${LIMIT_KB}), ${(everything / 1024).toFixed(1)} kB in all`,
)
console.log(
  `step on the screen after ${middle(cold)} ms cold and ${middle(cached)} ms from the device, a tap shows after ${middle(taps)} ms (medians of ${RUNS}, of taps of ${taps.length}; processor slowed ${SLOWDOWN} times)`,
)
process.exitCode = script / 1024 < LIMIT_KB ? 0 : 1
