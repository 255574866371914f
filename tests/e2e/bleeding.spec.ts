import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'
import { startApp } from '../support/app'
import { setOpenPageClock, setPageClock } from '../support/page-clock'
import { jobUpTo, settled, test, view } from './fixture'
import { doStep } from './mechanic'

const strokes = async (page: Page, count: number) => {
  await expect(page.getByTestId('strokes')).toHaveText('0')
  for (let stroke = 1; stroke <= count; stroke++) {
    await page.getByTestId('stroke').click()
    await expect(page.getByTestId('strokes')).toHaveText(String(stroke))
  }
}

test('soft after two rounds, sent to a rest, firm after it, brakes proved, gears select', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'bleed-clutch', { slave: 'opened' })
  await view(page, stage, jobId, 'pedal')
  await page.getByLabel('Strokes a round').fill('5')
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  for (const lost of ['80', '50']) {
    await strokes(page, 5)
    await page.getByRole('radiogroup', { name: 'Bubbles' }).getByRole('radio', { name: 'many' }).click()
    await page.getByLabel('Travel lost').fill(`${lost} mm`)
    await page.getByRole('button', { name: 'Soft' }).click()
  }
  await expect(page.getByText('many bubbles, 50 mm lost')).toBeVisible()
  await expect(page.getByTestId('air-left')).toContainText(/At this pace \d+.* more rounds?/)
  await expect(page.getByTestId('next-advice')).toContainText('Soft after 2 rounds without a rest')
  await page.getByRole('button', { name: 'Rest now' }).click()
  await expect(page.getByTestId('rest')).toHaveText('1:00:00')
  await settled(page)

  const second = await startApp(stage.database.url)
  await second.setClock({ aheadMs: 90_000 })
  await setPageClock(page, { aheadMs: 90_000 })
  await page.goto(`${second.base}/jobs/${jobId}/pedal`)
  await expect(page.getByTestId('rest')).toHaveText('58:30')
  await page.getByLabel('Travel lost').fill('900')
  await page.getByRole('button', { name: 'Firm' }).click()
  await expect(page.getByText('Travel lost is a number from 0 mm to 200 mm')).toBeVisible()
  await page.getByLabel('Travel lost').fill('6 mm')
  await page.getByRole('button', { name: 'Firm' }).click()
  await page.getByRole('button', { name: 'Step done' }).click()
  const done: string[] = []
  while (!done.some(title => title.startsWith('Engine running, every gear'))) done.push(await doStep(page))
  expect(done.findIndex(title => title.includes('free play at the rod'))).toBeLessThan(
    done.findIndex(title => title.startsWith('Press the pedal ten times')),
  )
  await settled(page)
  await second.kill()
  await stage.app.setClock({ aheadMs: 90_000 })
  const state = await stage.state(jobId)
  expect(state.gears['gears-running']).toMatchObject({ R: 'clean' })
  while (!(await stage.state(jobId)).done['brakes-proved']) {
    await view(page, stage, jobId, 'work')
    await doStep(page)
    await settled(page)
  }
  expect((await stage.state(jobId)).done['road-test']).toBeUndefined()
  await stage.app.setClock({})
})

test('every school counts its own, and switching in the middle keeps the counts', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'bleed-vacuum', { slave: 'opened', bleed: 'vacuum' })
  await view(page, stage, jobId, 'pedal')
  await expect(page.getByText('A collar of grease round the bleeder')).toBeVisible()
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  const guard = page.getByTestId('reservoir')
  await guard.getByRole('button', { name: 'Watch the reservoir' }).click()
  await expect(guard).toContainText('5 cups drawn to the low mark, 200 ml')
  await page.getByTestId('stroke').click()
  await page.getByLabel('One is, ml').fill('30')
  await page.getByTestId('stroke').click()
  await expect(page.getByTestId('strokes')).toHaveText('2')
  await expect(guard).toContainText('50 ml sent through, the old fluid is gone')
  await page.getByRole('radiogroup', { name: 'Fluid' }).getByRole('radio', { name: 'dark' }).click()
  await page.getByRole('button', { name: 'Better' }).click()
  await expect(page.getByText('Round 1: 50 ml; dark fluid')).toBeVisible()

  await page.getByRole('button', { name: 'Go on another way' }).click()
  await page.getByRole('radio', { name: 'Reverse, from the slave' }).click()
  await page.getByRole('button', { name: 'Go on this way' }).click()
  await expect(guard).toContainText('5 pushes of the syringe to the full mark, 150 ml')
  for (let push = 1; push <= 5; push++) {
    await page.getByTestId('stroke').click()
    await expect(page.getByTestId('strokes')).toHaveText(String(push))
  }
  await expect(guard).toContainText('At its full mark')
  await page.getByTestId('stroke').click()
  await expect(page.getByText(/Draw some off before the next push, and say how much/).first()).toBeVisible()
  await page.getByLabel('Drawn off, ml').fill('120')
  await page.getByRole('button', { name: 'Drawn off' }).click()
  await expect(guard).toContainText('130 ml stand in it')

  await page.getByRole('button', { name: 'Go on another way' }).click()
  await page.getByRole('radio', { name: 'Gravity' }).click()
  await page.getByRole('button', { name: 'Go on this way' }).click()
  await page.getByTestId('stroke').click()
  await expect(page.getByText(/bleeder open until/)).toBeVisible()
  await page.getByLabel('in the bottle, ml').fill('140')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(guard).toContainText('It ran dry')
  await page.getByText('Fluid bought').click()
  await page.getByLabel('Bottles').fill('2')
  await page.getByRole('button', { name: 'Bought' }).click()
  await page.getByLabel('Poured in, ml').fill('200')
  await page.getByRole('button', { name: 'Poured in' }).click()
  await expect(page.getByTestId('fluid')).toContainText('1000 ml bought, 200 ml used, 800 ml left')
  await page.getByRole('button', { name: 'Firm' }).click()
  await expect(page.getByRole('list', { name: 'Rounds so far' }).getByRole('listitem')).toHaveText([
    /50 ml, vacuum at the bleeder; dark fluid.*better/,
    /100 ml, reverse, from the slave.*broken off/,
    /140 ml, rested, gravity.*firm/,
  ])
  await settled(page)
  expect((await stage.state(jobId)).reservoirs['bleed-vacuum']).toMatchObject({
    sentMl: 190,
    pushedMl: 100,
    addedMl: 200,
  })
})

test('two people hear the beat on two phones, and the one at the bleeder has the strokes counted', async ({
  page,
  stage,
  browser,
}) => {
  const jobId = await jobUpTo(stage, 'bleed-two', { slave: 'opened', bleed: 'two-person' })
  await view(page, stage, jobId, 'pedal')
  await page.getByLabel('Strokes a round').fill('2')
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  const helper = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await helper.goto(`${stage.app.base}/jobs/${jobId}/pedal/helper`)
  await expect(helper.getByRole('heading', { name: /^At the pedal of/ })).toBeVisible()
  await page.getByRole('button', { name: 'Call the beat' }).click()
  await expect(helper.getByText('3', { exact: true })).toBeVisible()
  const secondsIn = async (seconds: number) => {
    for (const phone of [page, helper]) await setOpenPageClock(phone, { aheadMs: (3 + seconds) * 1000 })
  }
  for (const [seconds, word] of [
    [0.5, 'Press'],
    [3, 'Open'],
    [5.5, 'Close'],
    [7, 'Let up'],
  ] as const) {
    await secondsIn(seconds)
    await expect(page.getByTestId('call')).toHaveText(word)
    await expect(helper.getByTestId('call')).toHaveText(word)
  }
  await secondsIn(10)
  await expect(helper.getByTestId('helper-count')).toHaveText('1')
  await expect(helper.getByText('The other device counts the strokes.')).toBeVisible()
  await secondsIn(19)
  await expect(page.getByTestId('strokes')).toHaveText('2')
  // A full round ends the beat by itself.
  await expect(page.getByRole('button', { name: 'Call the beat' })).toBeVisible()
  await expect(helper.getByText('It begins when it is called at the bleeder.')).toBeVisible()
  await settled(page)
  expect((await stage.state(jobId)).bleeding['bleed-two']).toMatchObject({
    pace: null,
    rounds: [{ way: 'two-person', strokes: 2 }],
  })
  await helper.context().close()
})

test('a rest that is over is told on the page and by the system', async ({ page, context, stage }) => {
  await context.grantPermissions(['notifications'], { origin: stage.app.base })
  await page.addInitScript(() => {
    const told: string[] = []
    Object.assign(window, {
      told,
      Notification: Object.assign(
        function (_title: string, { body }: { body: string }) {
          told.push(body)
        },
        { permission: 'granted' },
      ),
    })
  })
  const jobId = await jobUpTo(stage, 'bleed-filled', { slave: 'opened', bleed: 'pre-filled' })
  await page.clock.install()
  await view(page, stage, jobId, 'pedal')
  await expect(page.getByText('The strap stays on until the slave is home')).toBeVisible()
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  await page.getByTestId('stroke').click()
  await page.getByRole('button', { name: 'Rest', exact: true }).click()
  await expect(page.getByTestId('rest')).toBeVisible()
  await settled(page)
  await view(page, stage, jobId, 'car')
  await page.getByTestId('rest-bell').waitFor({ state: 'attached' })
  await page.clock.fastForward('05:10')
  await expect(page.getByText(/The rest is over: judge the pedal/)).toBeVisible()
  expect(await page.evaluate(() => (window as unknown as { told: string[] }).told)).toHaveLength(1)
})

test('the advised way goes into the plan, or into the bleeding that is open', async ({ page, stage }) => {
  const jobId = await stage.openJob({ options: { slave: 'opened' } })
  await view(page, stage, jobId, 'pedal/advice')
  await page.getByLabel('a pressure bottle that fits').check()
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Pressure at the reservoir' })
    .getByRole('button', { name: 'Take this way into the plan' })
    .click()
  await expect(page.getByRole('heading', { name: /^Press fluid through from the reservoir/ })).toBeVisible()
  await settled(page)
  expect((await stage.state(jobId)).procedure!.options).toMatchObject({ bleed: 'pressure' })

  const open = await jobUpTo(stage, 'bleed-clutch', { slave: 'opened' })
  await view(page, stage, open, 'pedal')
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  await page.getByTestId('stroke').click()
  await settled(page)
  await view(page, stage, open, 'pedal/advice')
  await page.getByLabel('a syringe with a hose').check()
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Reverse, from the slave' })
    .getByRole('button', { name: 'Go on this way' })
    .click()
  await expect(page.getByRole('heading', { name: 'Reverse, from the slave' }).first()).toBeVisible()
  await expect(page.getByText('Round 1: 1 stroke, pump and rest')).toBeVisible()
})
