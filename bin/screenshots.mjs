/**
 * Takes the pictures in docs/screenshots from a demo that has just been started afresh:
 * bin/demo --reset, then npm run screenshots [name …]. ELDRIN_URL and SHOTS_TO change where from and where to.
 * ELDRIN_DEMO_NOW, given to both, is the moment the pictures show.
 */
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromium } from '@playwright/test'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const folder = process.env.SHOTS_TO ?? 'docs/screenshots'
const wanted = process.argv.slice(2)
mkdirSync(folder, { recursive: true })

const jobs = await (await fetch(`${base}/api/jobs`)).json()
const idOf = number => jobs.find(job => job.number === number).jobId
const desk = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

const shots = {
  'yard': { size: desk, path: '/' },
  'take-in': { size: desk, path: '/jobs/new', act: takeIn },
  'plan-front-drive': { size: desk, path: `/jobs/${idOf(105)}/plan` },
  'plan-four-wheel': { size: desk, path: `/jobs/${idOf(106)}/plan` },
  'plan-why': { size: desk, path: `/jobs/${idOf(106)}/plan`, act: page => page.locator('[data-step="rear-mount-off"]').click() },
  'plan-options': { size: desk, path: `/jobs/${idOf(106)}/plan`, act: comparing },
  'plan-phone': { size: phone, path: `/jobs/${idOf(106)}/plan`, act: page => page.evaluate(() => window.scrollTo(0, 330)) },
  'library': { size: desk, path: '/library' },
  'library-editor': { size: desk, path: '/library', act: edit },
  'work': { size: desk, path: `/jobs/${idOf(104)}/work` },
  'work-phone': { size: phone, path: `/jobs/${idOf(104)}/work` },
  'work-night': { size: desk, path: `/jobs/${idOf(104)}/work`, scheme: 'dark' },
  'car': { size: desk, path: `/jobs/${idOf(103)}/car` },
  'tightening-run': { size: desk, path: `/jobs/${idOf(103)}/bolts?step=cover-tighten`, act: tighten },
  'tightening-phone': { size: phone, path: `/jobs/${idOf(103)}/bolts?step=cover-tighten` },
  'prove': { size: desk, path: `/jobs/${idOf(101)}/prove` },
  'hand-over': { size: desk, path: `/jobs/${idOf(101)}/handover` },
}

async function takeIn(page) {
  await page.getByRole('button', { name: 'Car', exact: true }).click()
  await page.getByRole('option', { name: 'Red Hallux Dart' }).click()
  await page.getByRole('button', { name: 'Judders' }).click()
  await page.getByRole('radio', { name: 'stays as it is' }).click()
  await page.getByLabel('Strokes').fill('18')
  await page.waitForFunction(() => !document.body.innerText.includes(' …\n'), null, { timeout: 20_000 }).catch(() => {})
  await page.waitForTimeout(2500)
}

async function comparing(page) {
  await page.getByRole('tab', { name: 'How' }).click()
  await page.getByText(/, bled|used again if known good/).first().waitFor()
  await page.waitForTimeout(6000)
  await page.getByText('The exhaust …').scrollIntoViewIfNeeded()
  await page.evaluate(() => window.scrollBy(0, 420))
}

async function edit(page) {
  await page.getByRole('button', { name: /Duplicate Rear drive, driveshaft, slave outside/ }).click()
  await page.getByText('Sound under every choice of options').waitFor()
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+f')
  await page.keyboard.type('upper-bolts-cracked, kind')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Escape')
  await page.keyboard.type('upper-bolts-crakced, kind')
  await page.getByText('1 thing is wrong').waitFor()
}

async function tighten(page) {
  if (await page.getByTestId('turn').count() > 0) return
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await page.getByLabel('Torque').fill('21')
  await page.getByRole('radio', { name: 'Kit sheet' }).click()
  await page.getByLabel('Which book, sheet or person').fill('Brindle clutch kit BK-4471, fitting sheet')
  await page.getByRole('button', { name: 'Name this figure' }).click()
  await page.getByRole('button', { name: 'Start the run' }).click()
  for (let bolt = 0; bolt < 9; bolt++) await page.getByTestId('turn').click()
  await page.getByRole('status').filter({ hasText: 'waiting' }).waitFor({ state: 'detached' }).catch(() => {})
}

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
for (const [name, { size, path, act, scheme = 'light' }] of Object.entries(shots)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  const page = await browser.newPage({ viewport: size, colorScheme: scheme })
  if (process.env.ELDRIN_DEMO_NOW) await page.clock.install({ time: process.env.ELDRIN_DEMO_NOW })
  page.on('pageerror', error => console.error(name, error.message))
  await page.goto(base + path)
  await page.locator('#sheet h1').first().waitFor()
  await page.waitForTimeout(1200)
  await act?.(page)
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await page.close()
}
await browser.close()
