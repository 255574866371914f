import { expect } from '@playwright/test'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { demoPeople } from '../../server/demo/garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { garageId } from '../support/requests'
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
