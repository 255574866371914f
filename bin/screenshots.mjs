/**
 * Takes the pictures in docs/screenshots from a demo that has just been started afresh:
 * bin/demo --reset, then npm run screenshots [name …]. ELDRIN_URL and SHOTS_TO change where from and where to.
 * ELDRIN_DEMO_NOW, given to both, is the moment the pictures show.
 */
import { execFileSync, spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import WebSocket from 'ws'
import { chromiumPath, quietArgs } from '../tests/support/chromium.ts'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const folder = process.env.SHOTS_TO ?? 'docs/screenshots'
const wanted = process.argv.slice(2)
mkdirSync(folder, { recursive: true })

const jobs = await (await fetch(`${base}/api/jobs`)).json()
const idOf = number => jobs.find(job => job.number === number).jobId
const desk = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

const shots = {
  yard: {
    below: [
      { size: desk, path: '/' },
      { size: desk, path: '/week', act: askCar },
    ],
  },
  'take-in': { size: { width: 1280, height: 1500 }, path: '/jobs/new', act: takeIn },
  'plan-front-drive': { size: desk, path: `/jobs/${idOf(105)}/plan` },
  library: {
    below: [
      { size: desk, path: '/library' },
      { size: desk, path: '/library/cars', act: lookUp },
      { size: desk, path: '/library/learned' },
    ],
  },
  work: {
    below: [
      { size: desk, path: `/jobs/${idOf(104)}/work` },
      { size: desk, path: `/jobs/${idOf(104)}/work`, act: climb },
    ],
  },
  phones: {
    beside: [
      { size: phone, path: `/jobs/${idOf(104)}/work` },
      { size: phone, path: `/jobs/${idOf(104)}/car` },
      { size: phone, path: `/jobs/${idOf(103)}/bolts/run/cover-tighten`, scheme: 'dark' },
    ],
  },
  car: {
    below: [
      { size: desk, path: `/jobs/${idOf(104)}/car` },
      { size: desk, path: `/jobs/${idOf(106)}/car`, act: askCase },
    ],
  },
  handling: {
    below: [
      { size: desk, path: `/jobs/${idOf(106)}/bench/lift-box` },
      { size: desk, path: `/jobs/${idOf(106)}/bench/drive-angles` },
    ],
  },
  mating: { size: desk, path: `/jobs/${idOf(103)}/car/mating`, act: measureGap },
  bolts: {
    beside: [
      { size: desk, path: `/jobs/${idOf(104)}/bolts/bell-bolts`, act: askBolt },
      { size: desk, path: `/jobs/${idOf(104)}/bolts/bell-bolts`, act: printCard },
    ],
  },
  tightening: {
    below: [
      { size: { width: 1280, height: 900 }, path: `/jobs/${idOf(103)}/bolts/cover-bolts`, act: typeWrongUnit },
      { size: desk, path: `/jobs/${idOf(103)}/bolts/run/cover-tighten`, act: tighten },
    ],
  },
  bench: {
    below: [
      { size: desk, path: `/jobs/${idOf(102)}/bench/disc` },
      { size: desk, path: `/jobs/${idOf(103)}/bench/tool-fit` },
      { size: { width: 1280, height: 1100 }, path: `/jobs/${idOf(102)}/bench/flywheel` },
    ],
  },
  pedal: {
    below: [
      { size: desk, path: `/jobs/${idOf(105)}/pedal/pedal-geometry`, act: fillChain },
      { size: desk, path: `/jobs/${idOf(107)}/pedal/pedal-air` },
      { size: { width: 1280, height: 1300 }, path: `/jobs/${idOf(105)}/pedal/learn` },
      { size: { width: 1280, height: 1000 }, path: `/jobs/${idOf(101)}/pedal/pedal-test` },
    ],
  },
  bleeding: {
    beside: [
      { size: desk, path: `/jobs/${idOf(107)}/pedal` },
      { size: phone, path: `/jobs/${idOf(107)}/pedal`, scheme: 'dark' },
      { size: phone, path: `/jobs/${idOf(107)}/pedal/helper`, act: callTheBeat },
    ],
  },
  'bench-decide': {
    below: [
      { size: desk, path: `/jobs/${idOf(102)}/bench/open`, act: askPart },
      { size: desk, path: `/jobs/${idOf(102)}/bench/parts`, act: orderFlywheel },
    ],
  },
  prove: {
    below: [
      { size: desk, path: `/jobs/${idOf(107)}/prove` },
      { size: desk, path: `/jobs/${idOf(107)}/prove/road`, act: hear },
      { size: desk, path: `/jobs/${idOf(101)}/prove/break-in` },
      { size: desk, path: `/jobs/${idOf(101)}/prove/money` },
    ],
  },
  papers: {
    beside: [
      { size: desk, path: `/jobs/${idOf(101)}/prove/papers`, act: paperPage('hand-over') },
      { size: desk, path: `/jobs/${idOf(101)}/prove/papers`, act: paperPage('invoice') },
      { size: phone, path: `/jobs/${idOf(101)}/prove/break-in`, act: asCustomer },
    ],
  },
}

// These two last, since they leave acts behind.
shots.unforeseen = {
  beside: [
    { size: phone, path: `/jobs/${idOf(105)}/work`, act: addStep },
    { size: phone, path: `/jobs/${idOf(105)}/car/apart`, act: tellWhatIsOff },
    { size: desk, path: `/jobs/${idOf(107)}/plan`, act: sendAway },
  ],
}
shots.signal = {
  beside: [
    { size: desk, path: `/jobs/${idOf(105)}/work`, act: workWithoutSignal },
    { size: phone, path: `/jobs/${idOf(105)}/work`, act: workWithoutSignal },
    { size: desk, path: `/jobs/${idOf(105)}/work`, act: meetAnother },
    { size: phone, path: `/jobs/${idOf(105)}/aside` },
  ],
}

/** A connector that no layout knows of is in the way: two of them, in the plan at once. */
async function addStep(page) {
  await page.getByRole('button', { name: 'In the way' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'A connector' }).click()
  await dialog.getByLabel('How many').fill('2')
  await dialog.getByRole('button', { name: 'Put it in the plan' }).click()
  await page.getByText(/In the plan/).waitFor()
}

/** A car that came apart: the box was out, and some of it is not here. */
async function tellWhatIsOff(page) {
  await page.getByLabel('Find a thing').fill('fork')
  await page.getByRole('checkbox', { name: /fork/ }).first().check()
  await page.getByRole('button', { name: /steps done by others/ }).click()
  await page.getByRole('heading', { name: /nobody has seen/ }).waitFor()
  const rows = page.getByRole('region', { name: 'What is here' }).getByRole('radiogroup')
  for (const [index, answer] of ['Here', 'Here', 'Missing'].entries())
    await rows.nth(index).getByRole('radio', { name: answer }).click()
}

/** The clutch has to come apart once more: what lies over it comes off, and the plan waits for the machine shop. */
async function sendAway(page) {
  await page.getByTestId('row-cover-tighten').click()
  await page.getByRole('button', { name: 'Do it anew' }).click()
  await page.getByRole('dialog').getByLabel('Why').fill('It slips: oil on the disc, the flywheel is cut once more')
  await page.getByRole('radio', { name: 'Somebody elsewhere' }).click()
  await page.getByLabel('Back, if known').fill('2026-03-04T09:00')
  await page.getByRole('button', { name: 'Put it in the plan' }).click()
  await page.getByText(/In the plan/).waitFor()
  await page.getByTestId('row-cover-tighten').click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

/** Some work, and something that the server alone can do, while nobody answers. */
async function workWithoutSignal(page) {
  await page.route('**/api/**', route => route.abort())
  await page.keyboard.press('t')
  await keepNote(page, 'Exhaust clamp by the tunnel is welded on')
  await page.keyboard.press('t')
  await page.getByTestId('waits').filter({ hasText: '3 waiting' }).waitFor()
  await page.getByTestId('sent-mark').click()
  await page.getByTestId('sent-panel').waitFor()
}
async function keepNote(page, text) {
  await page.keyboard.press('n')
  await page.getByRole('dialog').locator('textarea').fill(text)
  await page.getByRole('button', { name: 'Keep the note' }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
}

/** Acts that arrive after somebody else's: the server, as it is heard here, has the step already. */
async function meetAnother(page) {
  let refusals = 1
  await page.route('**/api/jobs/*/events', (route, request) =>
    request.method() === 'POST' && refusals-- > 0
      ? route.fulfill({
          status: 409,
          json: {
            data: { issues: [{ path: 'events[0].payload', reason: 'The plan went another way before this arrived.' }] },
          },
        })
      : route.continue(),
  )
  await page.keyboard.press('t')
  await keepNote(page, 'Clip of the loom is broken')
  await page.getByTestId('aside-count').waitFor()
  await page.getByText(/waiting to be sent|being kept/).waitFor({ state: 'detached' })
  await page.getByTestId('sent-mark').click()
  await page.getByTestId('aside').click()
  await page.getByRole('heading', { name: 'Set aside' }).waitFor()
}

async function takeIn(page) {
  await page.getByRole('button', { name: 'Car', exact: true }).click()
  await page.getByRole('option', { name: 'Red Hallux Quenby' }).click()
  await page.getByRole('button', { name: 'Judders' }).click()
  await page.getByRole('radio', { name: 'stays as it is' }).click()
  await page.getByLabel('Strokes').fill('18')
  await page.waitForFunction(() => !document.body.innerText.includes(' …\n'), null, { timeout: 20_000 }).catch(() => {})
  await page.waitForTimeout(2500)
}

async function askCar(page) {
  await page.getByTestId('week-102').click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

async function lookUp(page) {
  await page.getByLabel('Look for').fill('kit')
  await page.getByTestId('found').waitFor()
}

/** A hum at a speed, and which part makes it. */
async function hear(page) {
  await page.getByLabel(/^At, /).fill('95')
  await page.getByLabel('Heard, Hz').fill('52')
}

/** The first page of a paper as it comes out of the printer. */
function paperPage(kind) {
  return async (page, file) => {
    const address = new URL(await page.locator(`a[href*="papers/${kind}?as=pdf"]`).getAttribute('href'), page.url())
    const into = mkdtempSync(join(tmpdir(), 'eldrin-paper-'))
    writeFileSync(join(into, 'paper.pdf'), Buffer.from(await (await fetch(address)).arrayBuffer()))
    execFileSync('pdftoppm', [
      '-png',
      '-r',
      '90',
      '-f',
      '1',
      '-singlefile',
      join(into, 'paper.pdf'),
      file.replace(/\.png$/, ''),
    ])
    rmSync(into, { recursive: true })
    return 'taken'
  }
}

/** What the customer sees through the link. */
async function asCustomer(page) {
  const { token } = await (await fetch(`${base}/api/jobs/${idOf(101)}/share`, { method: 'POST' })).json()
  await page.goto(`${base}/s/${token}`)
  await page.getByTestId('stands').waitFor()
}

async function askPart(page) {
  const seal = page.getByTestId('reach-crank-seal')
  await seal.getByText('$').first().waitFor()
  await seal.getByRole('button').click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

async function orderFlywheel(page) {
  const part = page.getByTestId('part-flywheel')
  if ((await part.getByRole('button', { name: /^Order/ }).count()) > 0)
    await part.getByRole('button', { name: /^Order/ }).click()
  await part.getByText(/due/).waitFor()
  await part.scrollIntoViewIfNeeded()
  await page
    .getByText('Ordered. Its day')
    .waitFor({ state: 'detached' })
    .catch(() => {})
  await page.evaluate(() => window.scrollBy(0, 200))
}

async function askCase(page) {
  await page.getByRole('button', { name: /^Transfer case off/ }).click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

/** A gap that is left evenly all round. */
async function measureGap(page) {
  if ((await page.getByTestId('gap-verdict').count()) === 0) await keepGap(page)
  await page.getByRole('heading', { name: 'The gap round the bell' }).evaluate(heading => heading.scrollIntoView())
}

async function keepGap(page) {
  for (const [place, gap] of [
    ['top', '6'],
    ['right', '6.4'],
    ['bottom', '5.7'],
    ['left', '6.1'],
  ])
    await page.getByLabel(place, { exact: true }).fill(gap)
  await page.getByLabel('across, mm').fill('370')
  await page.getByRole('button', { name: 'Keep this gap' }).click()
  await page.getByTestId('gap-verdict').waitFor()
}

/** A bolt that will not turn, on the second rung of its ladder. */
async function climb(page) {
  if ((await page.getByTestId('ladder').count()) > 0) return
  await page.keyboard.press('x')
  await page.getByRole('button', { name: /A bolt will not turn/ }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^bolt 5/ })
    .click()
  await page.getByTestId('ladder').waitFor()
}

/** The helper's phone while the beat is called from the bleeder. */
async function callTheBeat(page) {
  const bleeder = await browser.newPage({ viewport: desk })
  if (process.env.ELDRIN_DEMO_NOW) await bleeder.clock.install({ time: process.env.ELDRIN_DEMO_NOW })
  await bleeder.goto(page.url().replace('/helper', ''))
  await bleeder.getByRole('button', { name: 'Call the beat' }).click()
  await page.getByTestId('call').filter({ hasText: 'Open' }).waitFor()
  await bleeder.getByRole('button', { name: 'Stop the beat' }).waitFor()
  return async () => {
    await bleeder.getByRole('button', { name: 'Stop the beat' }).click()
    await bleeder.close()
  }
}

/** Bores of master and slave; the rest by rule of thumb. */
async function fillChain(page) {
  if ((await page.getByText('to spare').count()) > 0) return
  await page.getByRole('radio', { name: 'Master and slave' }).click()
  for (const [field, bore] of [
    [/^Bore of the master/, '19'],
    [/^Bore of the slave/, '22'],
  ])
    await page.getByLabel(field).fill(bore)
  await page.keyboard.press('Tab')
  await page.getByText('to spare').waitFor()
  await page.evaluate(() => window.scrollTo(0, 0))
}

async function askBolt(page) {
  await page.getByRole('button', { name: /^bolt 7 at/ }).click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

async function typeWrongUnit(page) {
  await page.getByRole('button', { name: 'Name another figure' }).click()
  await page.getByLabel('Unit').selectOption('lbf·ft')
  await page.getByLabel('Torque').fill('21')
  await page.getByRole('button', { name: /^Meant 21 N·m/ }).waitFor()
}

/** The first sheet of the card as it comes out of the printer. */
async function printCard(page, file) {
  await page.getByRole('button', { name: 'Print' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Card at 1:1, PDF' }).click(),
  ])
  const into = mkdtempSync(join(tmpdir(), 'eldrin-card-'))
  await download.saveAs(join(into, 'card.pdf'))
  execFileSync('pdftoppm', [
    '-png',
    '-r',
    '72',
    '-f',
    '1',
    '-singlefile',
    join(into, 'card.pdf'),
    file.replace(/\.png$/, ''),
  ])
  rmSync(into, { recursive: true })
  return 'taken'
}

/** A run with the simulated wrench: some bolts done, the next half way up. The wrench stays until the picture is taken. */
async function tighten(page) {
  if ((await page.getByTestId('turn').count()) > 0) return
  const wrench = spawn('npx', ['tsx', 'stand-ins/wrench/start.ts'], {
    env: { ...process.env, WRENCH_PORT: '3399', WRENCH_SEED: '4' },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  })
  try {
    await new Promise(resolve => wrench.stdout.once('data', resolve))
    const hand = new WebSocket('ws://127.0.0.1:3399/hand')
    await new Promise(resolve => hand.once('open', resolve))
    const pull = degrees => hand.send(JSON.stringify({ type: 'pull', degrees }))
    await page.getByRole('button', { name: 'Start the run' }).click()
    await page.getByRole('button', { name: 'A wrench that speaks' }).click()
    await page.getByLabel('Its address').fill('ws://127.0.0.1:3399/wrench')
    await page.getByRole('button', { name: 'Connect' }).click()
    await page.getByText('Simulated wrench speaks.').waitFor()
    for (let turn = 1; turn <= 16; turn++) {
      pull(1500)
      await page.getByText(`${turn} of 24`).waitFor()
    }
    pull(21)
    await page
      .getByRole('status')
      .filter({ hasText: 'waiting' })
      .waitFor({ state: 'detached' })
      .catch(() => {})
    await page.waitForTimeout(500)
    hand.terminate()
    return () => process.kill(-wrench.pid)
  } catch (error) {
    process.kill(-wrench.pid)
    throw error
  }
}

const browser = await chromium.launch({
  executablePath: chromiumPath,
  args: quietArgs,
})

async function shoot({ size, path, act, scheme = 'light' }, file) {
  const page = await browser.newPage({ viewport: size, colorScheme: scheme })
  if (process.env.ELDRIN_DEMO_NOW) {
    await page.clock.install({ time: process.env.ELDRIN_DEMO_NOW })
    // The moment of the pictures is not the server's.
    await page.route('**/api/clock', route => route.abort())
  }
  page.on('pageerror', error => console.error(file, error.message))
  await page.goto(base + path)
  await page.locator('#sheet h1').first().waitFor()
  await page.waitForTimeout(1200)
  const done = await act?.(page, file)
  await page.waitForTimeout(400)
  if (done !== 'taken') await page.screenshot({ path: file })
  if (typeof done === 'function') await done()
  await page.close()
}

/** Several pictures as one. */
async function together(files, direction, file) {
  const page = await browser.newPage({ viewport: { width: 2600, height: 2600 } })
  const images = files.map(each => `<img src="data:image/png;base64,${readFileSync(each, 'base64')}">`).join('')
  await page.setContent(
    `<div style="display:inline-flex;flex-direction:${direction};align-items:flex-start;gap:16px;background:#7d7a70">${images}</div>`,
  )
  await page.locator('div').screenshot({ path: file })
  await page.close()
}

for (const [name, shot] of Object.entries(shots)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  const file = join(folder, `${name}.png`)
  const parts = shot.beside ?? shot.below
  if (!parts) {
    await shoot(shot, file)
    continue
  }
  const into = mkdtempSync(join(tmpdir(), 'eldrin-shots-'))
  const files = parts.map((_, index) => join(into, `${index}.png`))
  for (const [index, part] of parts.entries()) await shoot(part, files[index])
  await together(files, shot.beside ? 'row' : 'column', file)
  rmSync(into, { recursive: true })
}
await browser.close()
