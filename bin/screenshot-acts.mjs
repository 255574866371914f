/** What is done on a page before its picture is taken. */
import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import WebSocket from 'ws'

const base = process.env.ELDRIN_URL ?? 'http://127.0.0.1:3000'
const jobs = await (await fetch(`${base}/api/jobs`)).json()

/** The id of a job of the demo. */
export const idOf = number => jobs.find(job => job.number === number).jobId

/** A connector that no layout knows of is in the way: two of them, in the plan at once. */
export async function addStep(page) {
  await page.getByRole('button', { name: 'In the way' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'A connector' }).click()
  await dialog.getByLabel('How many').fill('2')
  await dialog.getByRole('button', { name: 'Put it in the plan' }).click()
  await page.getByText(/In the plan/).waitFor()
}

/** A car that came apart: the box was out, and some of it is not here. */
export async function tellWhatIsOff(page) {
  await page.getByLabel('Find a thing').fill('fork')
  await page.getByRole('checkbox', { name: /fork/ }).first().check()
  await page.getByRole('button', { name: /steps done by others/ }).click()
  await page.getByRole('heading', { name: /nobody has seen/ }).waitFor()
  const rows = page.getByRole('region', { name: 'What is here' }).getByRole('radiogroup')
  for (const [index, answer] of ['Here', 'Here', 'Missing'].entries())
    await rows.nth(index).getByRole('radio', { name: answer }).click()
}

/** The clutch has to come apart once more: what lies over it comes off, and the plan waits for the machine shop. */
export async function sendAway(page) {
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
export async function workWithoutSignal(page) {
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
export async function meetAnother(page) {
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

export async function takeIn(page) {
  await page.getByRole('button', { name: 'Car', exact: true }).click()
  await page.getByRole('option', { name: 'Red Hallux Quenby' }).click()
  await page.getByRole('button', { name: 'Judders' }).click()
  await page.getByRole('radio', { name: 'stays as it is' }).click()
  await page.getByLabel('Strokes').fill('18')
  await page.waitForFunction(() => !document.body.innerText.includes(' …\n'), null, { timeout: 20_000 }).catch(() => {})
  await page.waitForTimeout(2500)
}

export async function askCar(page) {
  await page.getByTestId('week-102').click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

export async function lookUp(page) {
  await page.getByLabel('Look for').fill('kit')
  await page.getByTestId('found').waitFor()
}

/** A hum at a speed, and which part makes it. */
export async function hear(page) {
  await page.getByLabel(/^At, /).fill('95')
  await page.getByLabel('Heard, Hz').fill('52')
}

/** The first page of a paper as it comes out of the printer. */
export function paperPage(kind) {
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
export async function asCustomer(page) {
  const { token } = await (await fetch(`${base}/api/jobs/${idOf(101)}/share`, { method: 'POST' })).json()
  await page.goto(`${base}/s/${token}`)
  await page.getByTestId('stands').waitFor()
}

export async function askPart(page) {
  const seal = page.getByTestId('reach-crank-seal')
  await seal.getByText('$').first().waitFor()
  await seal.getByRole('button').click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

export async function orderFlywheel(page) {
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

export async function askCase(page) {
  await page.getByRole('button', { name: /^Transfer case off/ }).click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

/** A gap that is left evenly all round. */
export async function measureGap(page) {
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
export async function climb(page) {
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
export async function callTheBeat(page) {
  const bleeder = await page
    .context()
    .browser()
    .newPage({ viewport: { width: 1280, height: 800 } })
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
export async function fillChain(page) {
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

export async function askPocket(page) {
  await page.locator('[data-place=first]').click()
}

export async function askBolt(page) {
  await page.getByRole('button', { name: /^bolt 7 at/ }).click()
  await page.evaluate(() => window.scrollTo(0, 0))
}

export async function typeWrongUnit(page) {
  await page.getByRole('button', { name: 'Name another figure' }).click()
  await page.getByLabel('Unit').selectOption('lbf·ft')
  await page.getByLabel('Torque').fill('21')
  await page.getByRole('button', { name: /^Meant 21 N·m/ }).waitFor()
}

/** The first sheet of the card as it comes out of the printer. */
export async function printCard(page, file) {
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
export async function tighten(page) {
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

const PASSWORD = 'a lamp under a van'
const hands = {
  owner: {
    id: '0a7cf6f2-3a0b-4c35-8f43-7c1a0a7d1101',
    name: 'Maren Oduya-Plast',
    signIn: 'maren',
    role: 'owner',
    on: 'Computer',
  },
  mechanic: {
    id: '0a7cf6f2-3a0b-4c35-8f43-7c1a0a7d1102',
    name: 'Tobin Hask',
    signIn: 'tobin',
    role: 'mechanic',
    on: 'Phone',
  },
}
const send = (base, method, path, body, cookie = '') =>
  fetch(base + path, {
    method,
    headers: { 'content-type': 'application/json', cookie },
    ...(body ? { body: JSON.stringify(body) } : {}),
  })

/** Signs a device in as somebody of the demo, who is let in first where they cannot sign in yet. Gives the cookie. */
async function deviceOf(base, { id, name, signIn, role, on }) {
  const device = { deviceId: `pictures-${signIn}`, deviceName: on }
  let answer = await send(base, 'POST', '/api/sign-in', { signIn, password: PASSWORD, ...device })
  if (!answer.ok) {
    const asked = { id: crypto.randomUUID(), kind: 'join', role, name, personId: id, days: 3 }
    const { token } = await (await send(base, 'POST', '/api/invitations', asked)).json()
    answer = await send(base, 'POST', `/api/joins/${token}`, { signIn, password: PASSWORD, ...device })
  }
  return answer.headers.getSetCookie()[0].split(';')[0]
}

/** Maren at the garage's computer, Tobin's phone beside it. */
async function signedIn(page, path) {
  const base = new URL(page.url()).origin
  const tobin = await deviceOf(base, hands.mechanic)
  await send(base, 'PUT', '/api/session/pin', { pin: '2580' }, tobin)
  const [name, value] = (await deviceOf(base, hands.owner)).split('=')
  await page.context().addCookies([{ name, value, url: `${base}/api`, httpOnly: true, sameSite: 'Strict' }])
  await page.goto(base + path)
  await page.locator('#sheet h1').first().waitFor()
  await page.waitForTimeout(800)
}
export async function askPin(page) {
  await signedIn(page, '/who')
  await page.getByRole('button', { name: /Tobin Hask/ }).click()
  for (const digit of '25') await page.getByRole('button', { name: digit, exact: true }).click()
}
export async function whoIsWorking(page) {
  await signedIn(page, '/who')
}
export async function showPeople(page) {
  await signedIn(page, '/library/garage')
  await page.locator('#people-title').evaluate(element => element.scrollIntoView())
}

/** What holds what is heavy, now and with the steps to come. */
export async function askHolds(page) {
  const held = page.getByTestId('held-now')
  await held.getByRole('button').click()
  await held.evaluate(element => element.scrollIntoView())
}
