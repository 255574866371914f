import { expect } from '@playwright/test'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { demoPeople } from '../../server/demo/garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { garageId, personId } from '../support/requests'
import { setBack } from '../support/set-back'
import { settled, test, view } from './fixture'
import type { Stage } from './fixture'
import { doStep } from './mechanic'

/** No signal: the page is there, the server is not. */
const away = (context: BrowserContext) => context.route('**/api/**', route => route.abort())
const back = (context: BrowserContext) => context.unroute('**/api/**')
const title = (page: Page) => page.getByTestId('step-title')
async function doOne(page: Page): Promise<string> {
  const before = await title(page).innerText()
  await page.getByTestId('done').click()
  await expect(title(page)).not.toHaveText(before)
  return before
}
async function note(page: Page, text: string) {
  await page.keyboard.press('n')
  await page.getByRole('dialog').locator('textarea').fill(text)
  await page.getByRole('button', { name: 'Keep the note' }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
}

/** A phone at Work of a new job, with one note that the server has. */
async function atWork(browser: Browser, stage: Stage) {
  const jobId = await stage.openJob()
  const context = await browser.newContext()
  const page = await context.newPage()
  await view(page, stage, jobId, 'work')
  await note(page, 'before')
  await settled(page)
  return { jobId, context, page }
}

test('what is done without signal is on the device: it is there after the page was closed, in every tab, and reaches the log', async ({
  browser,
  stage,
}) => {
  const context = await browser.newContext()
  const jobId = await stage.openJob()
  const page = await context.newPage()
  await view(page, stage, jobId, 'work')
  // What a page is made of is fetched while there is signal.
  await note(page, 'with signal')
  await settled(page)
  await page.getByTestId('sent-mark').click()
  await expect(page.getByTestId('sent-panel')).toContainText('Everything done here is in the log.')
  await expect(page.getByTestId('sent-panel')).toContainText('Last word of the others')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('sent-panel')).toHaveCount(0)
  const known = (await stage.events(jobId)).length
  await away(context)
  await doOne(page)
  await note(page, 'without signal')
  await expect(page.getByTestId('waits')).toContainText('2 waiting to be sent, since')
  await page.getByTestId('sent-mark').click()
  await expect(page.getByTestId('sent-panel').getByRole('listitem')).toHaveText([/^Note/, /./])
  await page.keyboard.press('Escape')

  const tab = await context.newPage()
  await view(tab, stage, jobId, 'work')
  await expect(tab.getByTestId('waits')).toContainText('2 waiting')
  await page.close()
  await note(tab, 'in the other tab')
  await expect(tab.getByTestId('waits')).toContainText('3 waiting')
  await tab.reload()
  await expect(tab.getByTestId('waits')).toContainText('3 waiting')
  expect(await stage.events(jobId)).toHaveLength(known)

  await back(context)
  await settled(tab)
  const { notes } = await stage.state(jobId)
  expect(notes.map(entry => entry.text)).toEqual(['with signal', 'without signal', 'in the other tab'])
  expect((await stage.events(jobId)).length).toBe(known + 3)
  await context.close()
})

test('two people meet after a day without signal: one step counts once, and what cannot count stands aside with its reason', async ({
  browser,
  stage,
}) => {
  const jobId = await stage.openJob()
  const [one, two] = [await browser.newContext(), await browser.newContext()]
  const [mine, theirs] = [await one.newPage(), await two.newPage()]
  for (const page of [mine, theirs]) {
    await view(page, stage, jobId, 'work')
    await note(page, 'morning')
    await settled(page)
  }
  await away(one)
  await away(two)
  const step = await title(mine).innerText()
  await doStep(mine)
  await doStep(mine)
  expect(await title(theirs).innerText()).toBe(step)
  await doStep(theirs)
  await theirs.goto(`${stage.app.base}/jobs/${jobId}/prove`)
  await theirs.getByRole('button', { name: 'Call this job off' }).click()
  await theirs.getByLabel('Why', { exact: true }).fill('The customer came for it')
  await theirs.getByRole('button', { name: 'Call it off' }).click()
  await expect(theirs.getByText('Called off.')).toBeVisible()
  await back(two)
  await settled(theirs)
  await back(one)
  await expect(mine.getByTestId('aside-count')).toHaveText(/^\d\s+set aside$/)
  await settled(mine)

  const state = await stage.state(jobId)
  expect(Object.keys(state.done)).toHaveLength(1)
  const [same, ...others] = state.aside
  expect([same!.act.type, same!.ended?.how]).toEqual(['step-done', 'settled'])
  const last = others.at(-1)!
  expect([last.act.type, last.ended]).toEqual(['step-done', null])
  await mine.getByTestId('sent-mark').click()
  await mine.getByTestId('aside').click()
  await expect(mine.getByTestId('sent-panel')).toHaveCount(0)
  await expect(mine.getByText('nothing left to do')).toBeVisible()
  const line = mine.getByTestId(`aside-${last.act.id}`)
  await expect(line).toContainText('The job is called off.')
  await line.getByRole('button', { name: /^Take it up again/ }).click()
  await expect(line.getByRole('alert')).toContainText('Still not: The job is called off.')
  await line.getByRole('button', { name: /^Put it away/ }).click()
  await expect(line).toHaveCount(0)
  await settled(mine)
  expect((await stage.state(jobId)).aside.at(-1)!.ended).toMatchObject({ how: 'put-away' })
  await one.close()
  await two.close()
})

test('what answers in the server’s place takes nothing: refusals, portals and silence keep every act, and it is sent when the server is back', async ({
  browser,
  stage,
}) => {
  const { jobId, context, page } = await atWork(browser, stage)
  const portal = '<html><body>Sign in to the network of this place</body></html>'
  const answers = [
    { status: 403, body: '{"message":"no"}' },
    { status: 404, body: '{"message":"no such place"}' },
    { status: 429, body: '{"message":"slower"}' },
    { status: 503, body: 'down' },
    { status: 200, contentType: 'text/html', body: portal },
    { status: 401, body: '{"message":"who are you"}' },
  ]
  let asked = 0
  const post = `**/api/jobs/${jobId}/events`
  await context.route(post, (route, request) => {
    if (request.method() !== 'POST') return route.continue()
    const answer = answers[asked++]
    return answer ? route.fulfill(answer) : route.abort()
  })
  await note(page, 'while others answered')
  await doOne(page)
  await expect.poll(() => asked).toBeGreaterThan(answers.length)
  await expect(page.getByTestId('waits')).toBeVisible()
  await expect(page.getByTestId('aside-count')).toHaveCount(0)
  await context.unroute(post)
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.notes.map(entry => entry.text)).toEqual(['before', 'while others answered'])
  expect(Object.keys(state.done)).toHaveLength(1)
  expect(state.aside).toEqual([])
  await context.close()
})

test('the office calls the job off over thirty acts done without signal: all thirty stand set aside', async ({
  browser,
  stage,
}) => {
  const { jobId, context, page } = await atWork(browser, stage)
  await away(context)
  for (let step = 1; step <= 15; step++) {
    await page.keyboard.press('t')
    await doStep(page)
  }
  const mine = Number(/^(\d+) waiting/.exec(await page.getByTestId('waits').innerText())![1])
  expect(mine).toBeGreaterThanOrEqual(30)
  const office = new DemoMechanic(await stage.events(jobId), demoPeople[1]!.id, Date.now())
  await appendEvents(
    stage.database.db,
    garageId,
    jobId,
    office.write('called-off', { reason: 'The car was sold' }).events,
  )
  await back(context)
  await expect(page.getByTestId('aside-count')).toHaveText(new RegExp(`^${mine}\\s+set aside$`))
  await settled(page)
  const { aside } = await stage.state(jobId)
  expect(aside).toHaveLength(mine)
  expect(aside.every(({ ended }) => ended === null)).toBe(true)
  expect(aside.filter(({ act }) => act.type === 'step-done')).toHaveLength(15)

  await page.getByTestId('sent-mark').click()
  await page.getByTestId('aside').click()
  await page.getByRole('button', { name: `Take all ${mine} up again` }).click()
  await expect(page.getByText('Still not: The job is called off.')).toHaveCount(mine)
  await page.keyboard.press('Backspace')
  await expect(page.getByText(/^Undone: .*, which \S+.* did$/)).toBeVisible()
  await page.getByRole('button', { name: `Take all ${mine} up again` }).click()
  await expect(page.getByRole('heading', { name: 'Settled' })).toBeVisible()
  await settled(page)
  expect(Object.keys((await stage.state(jobId)).done)).toHaveLength(15)
  await context.close()
})

test('after the records were set back, a device says what it holds beyond them and gives it back as it was', async ({
  browser,
  stage,
}) => {
  const { jobId, context, page } = await atWork(browser, stage)
  const step = await doOne(page)
  await note(page, 'lost there')
  await settled(page)
  const log = await stage.events(jobId)
  await setBack(stage.database, jobId, log.length - 2)
  await page.reload()
  const parted = page.getByTestId('log-parted')
  await expect(parted).toContainText('This device holds 2 acts that they have no more.')
  await expect(parted.getByRole('listitem')).toHaveCount(2)
  await expect(title(page)).toHaveText(step)
  await parted.getByRole('button', { name: 'Leave it out', exact: true }).click()
  await parted.getByRole('button', { name: 'Keep it for now' }).click()
  await parted.getByRole('button', { name: 'Give it to the server' }).click()
  await expect(parted).toHaveCount(0)
  await expect(title(page)).not.toHaveText(step)
  expect((await stage.events(jobId)).map(({ id, seq }) => [id, seq])).toEqual(log.map(({ id, seq }) => [id, seq]))

  // The job as a whole is gone: all of it is given back.
  await setBack(stage.database, jobId, 0)
  await page.reload()
  await expect(parted).toContainText('The server does not know this job any more.')
  await expect(title(page)).not.toHaveText(step)
  await parted.getByRole('button', { name: 'Give it to the server' }).click()
  await expect(parted).toHaveCount(0)
  expect((await stage.events(jobId)).map(({ id }) => id)).toEqual(log.map(({ id }) => id))
  await note(page, 'and on')
  await settled(page)
  expect((await stage.state(jobId)).notes.map(entry => entry.text)).toEqual(['before', 'lost there', 'and on'])
  await context.close()
})

test('where others went on since the records were set back, what a device holds beyond them is judged anew', async ({
  browser,
  stage,
}) => {
  const { jobId, context, page } = await atWork(browser, stage)
  const kept = (await stage.events(jobId)).length
  const step = await doOne(page)
  await note(page, 'lost there')
  await settled(page)
  const before = await stage.state(jobId)
  await setBack(stage.database, jobId, kept)
  // Somebody else did the same step meanwhile.
  const other = new DemoMechanic(await stage.events(jobId), demoPeople[1]!.id, Date.now())
  const [stepId] = Object.keys(before.done)
  await appendEvents(stage.database.db, garageId, jobId, other.write('step-done', { stepId: stepId! }).events)
  await page.reload()
  await expect(page.getByTestId('log-parted')).toContainText('2 acts')
  await page.getByRole('button', { name: 'Give it to the server' }).click()
  await expect(page.getByTestId('log-parted')).toHaveCount(0)
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.notes.map(entry => entry.text)).toEqual(['before', 'lost there'])
  expect(state.aside.map(({ act, ended }) => [act.type, ended?.how])).toEqual([['step-done', 'settled']])
  expect(step).not.toBe('')
  await context.close()
})

test('what only the server can do waits in a list that can be seen, and is done when there is signal', async ({
  browser,
  stage,
}) => {
  const jobId = await stage.openJob()
  const context = await browser.newContext()
  const page = await context.newPage()
  await page.goto(`${stage.app.base}/`)
  await page.getByTestId('yard-line').first().waitFor()
  await view(page, stage, jobId, 'prove/break-in')
  await expect(page.getByRole('button', { name: 'Make a link' })).toBeVisible()
  await away(context)
  await page.getByRole('button', { name: 'Make a link' }).click()
  await expect(page.getByText('The link is made as soon as there is signal.')).toBeVisible()
  await page.getByTestId('sent-mark').click()
  await expect(page.getByTestId('errand')).toContainText('Make the customer’s link')
  await page.goto(`${stage.app.base}/`)
  await expect(page.getByTestId('yard-waits')).toContainText('No word from the server')
  await expect(page.getByTestId('errand')).toContainText('Make the customer’s link')
  await back(context)
  await expect(page.getByTestId('errand')).toHaveCount(0)
  await view(page, stage, jobId, 'prove/break-in')
  await expect(page.getByTestId('share-link')).toBeVisible()
  await context.close()
})

test('a clock that is three hours wrong breaks neither timer nor order, and both times are kept', async ({
  browser,
  stage,
}) => {
  const jobId = await stage.openJob()
  const context = await browser.newContext()
  await context.addInitScript(() => {
    const Real = Date
    const wrongMs = 3 * 3_600_000
    globalThis.Date = class extends Real {
      constructor(...given: [number]) {
        if (given.length > 0) super(...given)
        else super(Real.now() - wrongMs)
      }
      static override now() {
        return Real.now() - wrongMs
      }
    } as DateConstructor
  })
  const page = await context.newPage()
  await view(page, stage, jobId, 'work')
  await expect.poll(() => page.evaluate(() => localStorage.getItem('eldrin-clock-off'))).not.toBeNull()
  const other = new DemoMechanic(await stage.events(jobId), personId, Date.now())
  const step = (await stage.state(jobId)).plan!.order[0]!
  await appendEvents(stage.database.db, garageId, jobId, other.write('timer-started', { stepId: step }).events)
  // Begun by a clock that is right, it has run for moments and not for three hours less.
  await expect(page.getByRole('button', { name: /Stop timer/ })).toHaveText(/^\s*00:\d\d Stop timer/)
  await away(context)
  await note(page, 'without signal')
  await expect(page.getByTestId('waits')).toContainText('1 waiting')
  await back(context)
  await settled(page)
  const [event] = (await stage.events(jobId)).slice(-1)
  expect(Math.abs(Date.now() - Date.parse(event!.deviceTime))).toBeLessThan(120_000)
  expect(Date.parse(event!.deviceTime) - Date.parse(event!.saidAt!)).toBeGreaterThan(2.9 * 3_600_000)
  await context.close()
})

test('a store that the browser clears away while Eldrin is open is filled again; one that it cleared before begins with what the server has', async ({
  browser,
  stage,
}) => {
  const { jobId, context, page } = await atWork(browser, stage)
  const session = await context.newCDPSession(page)
  const clear = () =>
    session.send('Storage.clearDataForOrigin', { origin: stage.app.base, storageTypes: 'indexeddb,local_storage' })
  await away(context)
  await note(page, 'not sent yet')
  await expect(page.getByTestId('waits')).toContainText('1 waiting')
  await clear()
  await doOne(page)
  await expect(page.getByTestId('waits')).toContainText('2 waiting')
  await page.reload()
  await expect(page.getByTestId('waits')).toContainText('2 waiting')
  await back(context)
  await settled(page)
  await page.goto('about:blank')
  await clear()
  await view(page, stage, jobId, 'work')
  await settled(page)
  const { notes, done } = await stage.state(jobId)
  expect([notes.map(entry => entry.text), Object.keys(done).length]).toEqual([['before', 'not sent yet'], 1])
  await context.close()
})

test('a server of another Eldrin takes nothing and loses nothing, and the page says so', async ({ browser, stage }) => {
  const { jobId, context, page } = await atWork(browser, stage)
  const contract = 'x-eldrin-contract'
  const other = (number: string) =>
    context.route('**/api/**', route =>
      route.fulfill({ status: 426, headers: { [contract]: number }, json: { data: { issues: [] } } }),
    )
  await other('99')
  await note(page, 'while they differed')
  await expect(page.getByTestId('sent-mark')).toContainText('Another Eldrin on the server')
  await expect(page.getByTestId('new-version')).toContainText('The server has a newer Eldrin')
  await expect(page.getByRole('button', { name: 'Fetch it' })).toBeVisible()
  await context.unroute('**/api/**')
  await other('-1')
  await expect(page.getByTestId('new-version')).toContainText('an older Eldrin')
  await context.unroute('**/api/**')
  await settled(page)
  await expect(page.getByTestId('new-version')).toHaveCount(0)
  expect((await stage.state(jobId)).notes.map(entry => entry.text)).toEqual(['before', 'while they differed'])
  await context.close()
})
