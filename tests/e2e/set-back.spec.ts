import { expect } from '@playwright/test'
import { demoPeople } from '../../server/demo/garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { setBack } from '../support/set-back'
import { garageId } from '../support/requests'
import { atWork, doOne, note, title } from './away'
import { settled, test } from './fixture'

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
