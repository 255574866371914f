/**
 * Size and time of the first load of Work: JavaScript over the wire, and load time on a throttled phone-class processor.
 * Needs a running demo (bin/demo). ELDRIN_URL names another address.
 */
import { chromium } from '@playwright/test'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const RUNS = 5
const SLOWDOWN = 4
const LIMIT_KB = 170

const jobs = await (await fetch(`${base}/api/jobs`)).json()
const job = jobs.find(each => each.status === 'in-work') ?? jobs[0]
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })

let script = 0
let everything = 0
const times = []
const taps = []
for (let run = 0; run < RUNS; run++) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const page = await context.newPage()
  const client = await context.newCDPSession(page)
  await client.send('Network.enable')
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN })
  const kinds = new Map()
  script = everything = 0
  client.on('Network.responseReceived', ({ requestId, type, response }) => kinds.set(requestId, { type, url: response.url }))
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    everything += encodedDataLength
    if (kinds.get(requestId)?.type === 'Script' || kinds.get(requestId)?.url.endsWith('.js')) script += encodedDataLength
  })
  const started = performance.now()
  await page.goto(`${base}/jobs/${job.jobId}/work`, { waitUntil: 'commit' })
  await page.getByTestId('step-title').waitFor()
  times.push(performance.now() - started)
  taps.push(await page.evaluate(async () => {
    const button = [...document.querySelectorAll('button')].find(each => each.textContent.includes('Timer') || each.textContent.includes('Stop timer'))
    const before = button.textContent
    const tapped = performance.now()
    button.click()
    while (button.textContent === before) await new Promise(resolve => requestAnimationFrame(resolve))
    const shown = performance.now() - tapped
    button.click()
    return shown
  }))
  await page.waitForTimeout(500)
  await context.close()
}
await browser.close()
const middle = values => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
console.log(`Work, first load: ${(script / 1024).toFixed(1)} kB JavaScript compressed (limit ${LIMIT_KB}), ${(everything / 1024).toFixed(1)} kB in all`)
console.log(`step on the screen after ${Math.round(middle(times))} ms, a tap shows after ${Math.round(middle(taps))} ms (median of ${RUNS}, processor slowed ${SLOWDOWN} times)`)
process.exitCode = script / 1024 < LIMIT_KB ? 0 : 1
