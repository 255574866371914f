import { expect } from '@playwright/test'
import { demoPeople } from '../../server/demo/garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import type { IncomingEvent } from '../../server/jobs/append'
import { garageId, incoming, personId } from '../support/requests'
import { atWork, away, back, note, title } from './away'
import { settled, test, view } from './fixture'
import { doStep } from './mechanic'

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
  // In whichever order they were told: what both did is settled, what nobody else did stands.
  const steps = state.aside.filter(({ act }) => act.type === 'step-done')
  const last = steps.find(({ ended }) => ended === null)!
  expect(steps.map(({ ended }) => ended?.how ?? null).sort()).toEqual([null, 'settled'])
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
  const { aside } = await stage.state(jobId)
  expect(aside.find(({ act }) => act.id === last.act.id)!.ended).toMatchObject({ how: 'put-away' })
  await one.close()
  await two.close()
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

test('what somebody did before they left is told apart from the rest, and counts', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  const note = incoming('note-added', { stepId: null, text: 'Done on the last day' })
  await appendEvents(
    stage.database.db,
    garageId,
    jobId,
    [note as IncomingEvent],
    undefined,
    new Map([[personId, new Date()]]),
  )
  await view(page, stage, jobId, 'work')
  await page.getByTestId('sent-mark').click()
  await page.getByTestId('late').click()
  await expect(page.getByTestId('late-acts').getByRole('listitem')).toContainText(`Note, ${demoPeople[0]!.name}`)
  await expect(page.getByTestId('late-acts').getByRole('listitem')).toHaveCount(1)
})
