import { expect } from '@playwright/test'
import { operationOrder } from '../../core/sequence'
import { jobUpTo, settled, test, view } from './fixture'
import { nameFigure } from './mechanic'

test('the whole flow by keyboard: done, undo, measure, timer, note, trouble, why, keys', async ({ page, stage }) => {
  const jobId = await stage.openJob({ options: { slave: 'aside' } })
  await view(page, stage, jobId, 'work')
  const title = page.getByTestId('step-title')
  const first = await title.innerText()

  await page.keyboard.press('m')
  await page.getByLabel('Slave travel, mm').fill('0.55 in')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: '13.97 mm' })).toBeVisible()
  await page.keyboard.press('t')
  await expect(page.getByRole('button', { name: 'Stop timer' })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(title).not.toHaveText(first)
  await page.keyboard.press('Backspace')
  await expect(title).toHaveText(first)
  await expect(page.getByText(`Undone: ${first}`)).toBeVisible()
  await page.keyboard.press('Space')

  await page.keyboard.press('x')
  await page.getByLabel('What will not go').fill('Gear lever is loose')
  await page.getByRole('radio', { name: 'Yes, it waits' }).click()
  await page.getByRole('textbox', { name: 'It waits for' }).fill('New bush')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Waits for New bush')).toBeVisible()
  await settled(page)
  await page.goto(stage.app.base)
  await expect(page.locator(`a[href*="${jobId}"]`)).toContainText('Waits for New bush')

  await view(page, stage, jobId, 'work')
  await page.getByRole('button', { name: 'It is solved' }).click()
  await page.getByLabel('How it was solved').fill('Bush fitted')
  await page.getByRole('button', { name: 'Cleared' }).click()
  await expect(page.getByText('Waits for New bush')).toHaveCount(0)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('Backspace')
  await page.keyboard.press('Escape')
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.readings).toMatchObject([{ readingId: 'slave-travel', value: 13.97, unit: 'mm' }])
  expect(state.troubles).toMatchObject([{ waitsFor: 'New bush', cleared: { how: 'Bush fitted' } }])
})

test('a forbidden step says why; an allowed one can be taken first', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'work')
  await page.getByRole('button', { name: 'Another step' }).click()
  await expect(page.getByRole('dialog')).toContainText('Negative first, so that a slipped wrench')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Crack the front lug bolts/ })
    .click()
  await expect(page.getByTestId('step-title')).toContainText('Crack the front lug bolts')
  await page.getByTestId('done').click()
  await settled(page)
  expect((await stage.state(jobId)).ledger).toEqual({ 'wheel-bolts-slack': 10 })
})

// A stage of its own: the book figures of a car go with it from job to job.
test('a figure wants its source, and an absurd one is refused at the field', async ({ page, emptyStage: stage }) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'bolts')
  await page.getByRole('button', { name: 'Name it with its source' }).first().click()
  const submit = page.getByRole('button', { name: 'Name this figure' })
  await submit.click()
  await expect(page.getByText('"" is not a number')).toBeVisible()
  await page.getByLabel('Torque').fill('-5')
  await expect(page.getByText('A torque is a number above zero.')).toBeVisible()
  await page.getByLabel('Torque').fill('900')
  await expect(page.getByText('Check the unit.')).toBeVisible()
  await page.getByLabel('Torque').fill('40 lbf·ft')
  await expect(page.getByText('Say where the figure comes from.')).toBeVisible()
  await page.getByRole('radio', { name: 'Vehicle book' }).click()
  await submit.click()
  await expect(page.getByText('Name the book, the sheet or the person')).toBeVisible()
  await nameFigure(page, '40 lbf·ft', 'Vehicle book', 'Book of the car, page 12')
  await expect(page.getByText('54.2 N·m')).toBeVisible()
  await settled(page)
  expect(Object.values((await stage.state(jobId)).figures).flat()).toMatchObject([
    { torqueNm: 54.23, reference: 'Book of the car, page 12' },
  ])
})

test('a bolt told out on the board alone holds the hand-over up: with a reason where nobody drives on it, else until it is in', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, null, {}, mechanic => mechanic.checksMade())
  const takeOut = async (group: string) => {
    await view(page, stage, jobId, `bolts/${group}`)
    await page.getByRole('list', { name: 'Bolts' }).getByRole('button').first().click()
    await page.getByRole('button', { name: 'good', exact: true }).click()
    await expect(page.getByText('1 off')).toBeVisible()
  }
  const hand = page.getByRole('button', { name: 'Hand the car over' })
  await takeOut('wheel-bolts')
  await settled(page)
  await view(page, stage, jobId, 'prove')
  await expect(page.getByTestId('check-ledger')).not.toContainText(', done')
  await expect(hand).toBeDisabled()
  await expect(page.getByRole('button', { name: 'Leave it, with a reason' })).toHaveCount(0)
  await view(page, stage, jobId, 'bolts/wheel-bolts')
  await page.getByRole('list', { name: 'Bolts' }).getByRole('button').first().click()
  await page.getByRole('button', { name: 'at its figure', exact: true }).click()
  await expect(page.getByText('nothing off')).toBeVisible()

  await takeOut('bell-bolts')
  await settled(page)
  await view(page, stage, jobId, 'prove')
  await expect(hand).toBeDisabled()
  const closed = page.locator('details:not([open]) > summary')
  while ((await closed.count()) > 0) await closed.first().click()
  await page.getByRole('button', { name: 'Leave it, with a reason' }).click()
  await page.getByLabel('Why it stays so').fill('The thread is gone; insert ordered')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(hand).toBeEnabled()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(hand).toBeDisabled()
  await page.getByRole('button', { name: 'Leave it, with a reason' }).click()
  await page.getByLabel('Why it stays so').fill('The thread is gone; insert ordered')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await page.getByLabel('Odometer, km').fill('1000')
  await hand.click()
  await expect(page.getByRole('heading', { name: /^Handed over to/ })).toBeVisible()
  await page.getByRole('link', { name: 'Hand-over page' }).click()
  await expect(page.getByText(/^Upper bell bolts: The thread is gone; insert ordered/i)).toBeVisible()
  await expect(page.getByRole('row', { name: /Bell bolts/ })).toContainText('1 out')
})

test('a dialog opens in its field, says inside what it refuses, goes with the browser’s back, and leaves the keyboard its place', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'prove')
  await page.getByRole('button', { name: 'Call this job off' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Why')).toBeFocused()
  await dialog.getByLabel('Why').fill('The customer thought better of it')
  await dialog.getByRole('button', { name: 'Call it off' }).click()
  await expect(dialog.getByRole('alert')).toContainText(/reason/)
  await expect(dialog.getByLabel('Why')).toBeFocused()
  await page.keyboard.press('Escape')

  await page.getByRole('link', { name: 'Work', exact: true }).click()
  const note = page.getByRole('button', { name: 'Note', exact: true })
  await note.click()
  await expect(dialog.getByLabel('Note')).toBeFocused()
  await page.goBack()
  await expect(dialog).toHaveCount(0)
  await expect(page).toHaveURL(/\/work$/)
  await expect(note).toBeFocused()
  await page.getByRole('button', { name: /out and good$/ }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('3 of 3')).toBeVisible()
  await expect.poll(() => page.evaluate(() => document.activeElement?.tagName)).not.toBe('BODY')
})

test('words and units follow the garage', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'plan')
  await expect(page.getByText('Take the splash shield off')).toBeVisible()
  await page.getByRole('button', { name: 'Settings' }).click()
  await page.getByRole('menuitem', { name: 'UK' }).click()
  await expect(page.getByText('Take the undertray off')).toBeVisible()
  await page.getByRole('button', { name: 'Settings' }).click()
  await page.getByRole('menuitem', { name: 'US', exact: true }).click()
  await expect(page.getByText('Take the splash shield off')).toBeVisible()
})

test('an address that leads nowhere has a proper page', async ({ page, stage }) => {
  await page.goto(`${stage.app.base}/jobs/${crypto.randomUUID()}/work`)
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  await page.goto(`${stage.app.base}/nowhere`)
  await page.getByRole('button', { name: 'Back to the yard' }).click()
  await expect(page.getByRole('heading', { name: 'Yard' })).toBeVisible()
})

test('a job taken in by mistake is called off, and taken back', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'prove')
  await page.getByRole('button', { name: 'Call this job off' }).click()
  await page.getByLabel('Why').fill('Wrong car chosen')
  await page.getByRole('button', { name: 'Call it off' }).click()
  await expect(page.getByRole('heading', { name: 'Called off' })).toBeVisible()
  await settled(page)
  await page.goto(stage.app.base)
  await expect(page.getByTestId('yard-line').filter({ has: page.locator(`[href*="${jobId}"]`) })).toHaveCount(0)
  await page.locator(`a[href*="${jobId}"]`).click()
  await expect(page.getByText('Wrong car chosen')).toBeVisible()
  await page.getByRole('link', { name: 'Back' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Call this job off' })).toBeVisible()
})

test('a bolt that will not turn is taken up its ladder, hot work only with its precautions ticked', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'work')
  await page.keyboard.press('x')
  await page.getByRole('button', { name: /A bolt will not turn/ }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^bolt 1 at/ })
    .first()
    .click()
  const ladder = page.getByTestId('ladder')
  await expect(ladder).toContainText('rung 1 of 6')
  await expect(ladder).toContainText('bolt 1 at')
  for (const rung of ['Clean the head', 'Soak it', 'Tighten it a hair', 'Short blows']) {
    await expect(ladder.getByRole('heading')).toContainText(rung)
    await ladder.getByRole('button', { name: /^Try it/ }).click()
    await expect(ladder.getByRole('timer')).toBeVisible()
    await ladder.getByRole('button', { name: /It did not/ }).click()
  }
  await expect(ladder.getByRole('heading')).toContainText('Warm what it goes into')
  await expect(ladder.getByRole('button', { name: /^Try it/ })).toBeDisabled()
  for (const box of await ladder.getByRole('checkbox').all()) await box.check()
  await ladder.getByRole('button', { name: /^Try it/ }).click()
  await settled(page)
  await page.reload()
  await expect(ladder.getByRole('timer')).toBeVisible()
  await ladder.getByRole('button', { name: 'It worked' }).click()
  await expect(ladder).toHaveCount(0)
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.ladderRuns[0]).toMatchObject({
    solvedBy: 'heat',
    tries: [
      { outcome: 'failed' },
      { outcome: 'failed' },
      { outcome: 'failed' },
      { outcome: 'failed' },
      { outcome: 'worked' },
    ],
  })
  expect(state.addedParts.map(part => part.name)).toEqual(['New bolt of the same class and length'])
})

test('a browser that keeps nothing, or a full one, is said so; the work goes on', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  await page.addInitScript(() =>
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('denied', 'SecurityError')
      },
    }),
  )
  await view(page, stage, jobId, 'work')
  await expect(page.getByText('forbids Eldrin to keep anything')).toBeVisible()
  await page.getByRole('button', { name: 'I see' }).click()
  await expect(page.getByText('forbids Eldrin to keep anything')).toHaveCount(0)
  const before = (await stage.state(jobId)).lastSeq
  await page.keyboard.press('t')
  await settled(page)
  expect((await stage.state(jobId)).lastSeq).toBe(before + 1)
})

test('something that no layout knows is in the way: it is in the plan in three taps, comes off, goes back, and undo takes it out again', async ({
  page,
  stage,
}) => {
  const jobId = await stage.openJob()
  await page.setViewportSize({ width: 390, height: 844 })
  await view(page, stage, jobId, 'work')
  const { plan } = await stage.state(jobId)
  const first = await page.getByTestId('step-title').innerText()
  await page.getByRole('button', { name: 'In the way' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radio', { name: 'A connector' }).click()
  await dialog.getByLabel('How many').fill('0')
  await dialog.getByRole('button', { name: 'Put it in the plan' }).click()
  await expect(dialog.getByText('A whole number from 1 up.')).toBeVisible()
  await dialog.getByLabel('How many').fill('2')
  await dialog.getByLabel('Minutes').fill('14')
  await dialog.getByRole('button', { name: 'Put it in the plan' }).click()
  await expect(page.getByText(/In the plan: Unplug the connector\. The job takes 28 min longer/)).toBeVisible()
  await expect(page.getByTestId('step-title')).toHaveText('Unplug the connector')
  await settled(page)
  const state = await stage.state(jobId)
  const added = state.added[0]!.stepId
  expect(state.plan!.order[0]).toBe(added)
  expect(state.plan!.totals.minutes - plan!.totals.minutes).toBeCloseTo(28)
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).toHaveText(first)
  await settled(page)
  expect((await stage.state(jobId)).ledger).toEqual({ [`${added}-thing`]: 2 })
  await view(page, stage, jobId, 'car/ledger')
  await expect(page.getByText('connector', { exact: true }).first()).toBeVisible()
  await view(page, stage, jobId, 'work')
  for (const name of ['Undone: Unplug the connector', 'Undone: Step added: Unplug the connector']) {
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await expect(page.getByText(name)).toBeVisible()
  }
  await settled(page)
  const back = await stage.state(jobId)
  expect([back.added, back.ledger, back.plan!.order]).toEqual([[], {}, plan!.order])

  // And a step that this car has no use for leaves the plan, with its reason.
  await page.getByRole('button', { name: 'Not for us' }).click()
  await dialog.getByRole('radio', { name: 'This car has none' }).click()
  await dialog.getByRole('button', { name: 'Leave it out' }).click()
  await expect(page.getByText(/^Left out: /)).toBeVisible()
  await expect(page.getByTestId('step-title')).not.toHaveText(first)
  await settled(page)
  expect((await stage.state(jobId)).leftOut).toMatchObject([{ stepId: plan!.order[0], reason: 'This car has none' }])
  await page.setViewportSize({ width: 1280, height: 800 })
  await view(page, stage, jobId, 'plan')
  await expect(page.getByRole('region', { name: 'Beyond the layout' })).toContainText(first)
})

test('what is found bad is renewed by work of its own: its minutes are told, its steps stand in the plan, and that deals with it', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'shaft-seals-look')
  await view(page, stage, jobId, 'work')
  await page.getByRole('radio', { name: 'one wept' }).click()
  const finding = page.getByTestId('finding-shaft-seals')
  const before = (await stage.state(jobId)).plan!.totals.minutes
  await finding.getByRole('button', { name: /Renew it: Axle seals.*\+11 min/ }).click()
  await expect(finding).toContainText('It is renewed.')
  await settled(page)
  const renewed = await stage.state(jobId)
  expect(renewed.renewals['axle-seals']).toMatchObject({ decision: 'renew', because: 'Shaft seals: one wept' })
  expect(renewed.plan!.totals.minutes - before).toBeGreaterThan(10)
  expect(operationOrder(renewed.plan!)).toEqual(expect.arrayContaining(['axle-seals-out', 'axle-seals-in']))
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(finding.getByRole('button', { name: /Renew it: Axle seals/ })).toBeVisible()
  await settled(page)
  expect((await stage.state(jobId)).renewals).toEqual({})
})
