/**
 * Takes the pictures in docs/screenshots from a demo that has just been started afresh:
 * bin/demo --reset, then npm run screenshots [name …]. ELDRIN_URL and SHOTS_TO change where from and where to.
 * ELDRIN_DEMO_NOW, given to both, is the moment the pictures show.
 */
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { chromiumPath, quietArgs } from '../tests/support/chromium.ts'
import {
  addStep,
  tellWhatIsOff,
  sendAway,
  workWithoutSignal,
  meetAnother,
  takeIn,
  askCar,
  lookUp,
  hear,
  paperPage,
  asCustomer,
  askPart,
  orderFlywheel,
  askCase,
  measureGap,
  climb,
  callTheBeat,
  fillChain,
  askPocket,
  idOf,
  askBolt,
  typeWrongUnit,
  askPin,
  askHolds,
  whoIsWorking,
  showPeople,
  printCard,
  tighten,
} from './screenshot-acts.mjs'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const folder = process.env.SHOTS_TO ?? 'docs/screenshots'
const wanted = process.argv.slice(2)
mkdirSync(folder, { recursive: true })

const desk = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

const shots = {
  yard: {
    below: [
      { size: desk, path: '/' },
      { size: desk, path: '/week', act: askCar },
    ],
  },
  'take-in': { size: { width: 1280, height: 2100 }, path: '/jobs/new', act: takeIn },
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
      { size: desk, path: `/jobs/${idOf(106)}/car`, act: askHolds },
      { size: desk, path: `/jobs/${idOf(108)}/car` },
      { size: desk, path: `/jobs/${idOf(109)}/car` },
    ],
  },
  handling: {
    below: [
      { size: desk, path: `/jobs/${idOf(106)}/bench/lift-box` },
      { size: desk, path: `/jobs/${idOf(106)}/bench/drive-angles` },
      { size: desk, path: `/jobs/${idOf(103)}/car/mating`, act: measureGap },
    ],
  },
  boxes: {
    beside: [
      { size: desk, path: `/jobs/${idOf(113)}/car` },
      { size: desk, path: `/jobs/${idOf(112)}/car` },
      { size: phone, path: `/jobs/${idOf(111)}/control/pistons` },
      { size: phone, path: `/jobs/${idOf(110)}/control/automated-travel` },
      { size: phone, path: `/jobs/${idOf(113)}/work` },
    ],
  },
  bolts: {
    below: [
      { size: desk, path: `/jobs/${idOf(104)}/bolts/bell-bolts`, act: askBolt },
      { size: desk, path: `/jobs/${idOf(104)}/bolts/bell-bolts`, act: printCard },
      { size: { width: 1280, height: 1000 }, path: `/jobs/${idOf(109)}/bolts/pieces/body`, act: askPocket },
      { size: { width: 1280, height: 900 }, path: `/jobs/${idOf(103)}/bolts/cover-bolts`, act: typeWrongUnit },
      { size: desk, path: `/jobs/${idOf(103)}/bolts/run/cover-tighten`, act: tighten },
    ],
  },
  bench: {
    below: [
      { size: desk, path: `/jobs/${idOf(102)}/bench/disc` },
      { size: desk, path: `/jobs/${idOf(103)}/bench/tool-fit` },
      { size: { width: 1280, height: 1060 }, path: `/jobs/${idOf(108)}/bench/converter-seat` },
      { size: { width: 1280, height: 1100 }, path: `/jobs/${idOf(102)}/bench/flywheel` },
    ],
  },
  pedal: {
    below: [
      { size: desk, path: `/jobs/${idOf(105)}/pedal/pedal-geometry`, act: fillChain },
      { size: desk, path: `/jobs/${idOf(107)}/pedal/pedal-air` },
      { size: { width: 1280, height: 1300 }, path: `/jobs/${idOf(105)}/pedal/learn` },
      { size: { width: 1280, height: 1000 }, path: `/jobs/${idOf(101)}/pedal/pedal-test` },
      { size: desk, path: `/jobs/${idOf(108)}/control` },
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
      { size: desk, path: `/jobs/${idOf(102)}/bench/capacity/beside` },
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

shots.people = {
  beside: [
    { size: phone, path: '/sign-in' },
    { size: phone, path: '/who', act: whoIsWorking },
    { size: phone, path: '/who', act: askPin, scheme: 'dark' },
    { size: { width: 1280, height: 844 }, path: '/library/garage', act: showPeople },
  ],
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
