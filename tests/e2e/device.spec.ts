import { expect } from '@playwright/test'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { setPageClock } from '../support/page-clock'
import { garageId, personId } from '../support/requests'
import { atWork, away, back, closeAway, doOne, note } from './away'
import { settled, test, view } from './fixture'

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
  await closeAway(page)
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
  await expect(page.getByText('It leads there as soon as there is signal.')).toBeVisible()
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
  await setPageClock(context, { aheadMs: -3 * 3_600_000 })
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
  expect(event).toMatchObject({
    deviceTime: new Date().toISOString(),
    saidAt: new Date(Date.now() - 3 * 3_600_000).toISOString(),
  })
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
  // Put over the first one: with none in between the note would get through.
  await other('-1')
  await expect(page.getByTestId('new-version')).toContainText('an older Eldrin')
  await context.unroute('**/api/**')
  await settled(page)
  await expect(page.getByTestId('new-version')).toHaveCount(0)
  expect((await stage.state(jobId)).notes.map(entry => entry.text)).toEqual(['before', 'while they differed'])
  await context.close()
})
