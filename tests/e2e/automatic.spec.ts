import type { Page } from '@playwright/test'
import { expect } from '@playwright/test'
import { WebSocket } from 'ws'
import { startReader } from '../../stand-ins/reader/server'
import { jobUpTo, settled, test, view } from './fixture'
import type { Stage } from './fixture'
import { goodSheets, workToTheEnd } from './mechanic'
import { takeIn, workedByAnother } from './take-in'

/** Works it off from a step on, closes it and hands it over; the words of a pedal are nowhere. */
async function toHandOver(page: Page, stage: Stage, jobId: string, from: string): Promise<void> {
  await workedByAnother(page, stage, jobId, from)
  await workToTheEnd(page)
  await page.getByRole('link', { name: 'Lever', exact: true }).click()
  await expect(page.getByText('Nothing forbids it now.')).toBeVisible()
  await page.getByRole('link', { name: 'Prove', exact: true }).click()
  for (const check of ['selector', 'park', 'fluid', 'positions'])
    await expect(page.getByTestId(`check-${check}`)).toContainText('done')
  for (const check of ['lamps', 'resets']) await page.getByTestId(`check-${check}`).getByRole('button').first().click()
  await expect(page.getByRole('heading', { name: 'Ready to be handed over' })).toBeVisible()
  await page.getByRole('button', { name: 'Go on to the hand-over' }).click()
  await page.getByRole('button', { name: 'Hand the car over' }).click()
  await expect(page.getByRole('heading', { name: 'Handed over to Ines Harrowgate-Bloom' })).toBeVisible()
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.ledger).toEqual({})
  expect(Object.values(state.codes)).toHaveLength(2)
  await page.goto(`${stage.app.base}/jobs/${jobId}/handover`)
  await expect(page.getByText('Nothing. All that was taken off is back on.')).toBeVisible()
  await expect(page.getByText('A light foot and every speed once')).toBeVisible()
  await expect(page.locator('main')).not.toContainText(/pedal|clutch/i)
}

test('an automatic with a converter, from take-in to hand-over', async ({ page, emptyStage: stage }) => {
  const jobId = await takeIn(page, stage, 'automatic-longitudinal', 'Shudders at a steady speed')
  await toHandOver(page, stage, jobId, 'converter-pushed-back')
  const { procedure, done } = await stage.state(jobId)
  expect(Object.keys(done)).toEqual(expect.arrayContaining(procedure!.operations.map(operation => operation.id)))
})

test('a valve body in the car, from take-in to hand-over', async ({ page, emptyStage: stage }) => {
  const jobId = await takeIn(page, stage, 'automatic-valve-body', 'Bangs into gear')
  await toHandOver(page, stage, jobId, 'body-bolts-out')
  const { bodies } = await stage.state(jobId)
  expect(Object.values(bodies.body!.plugs).every(stand => stand === 'tugged')).toBe(true)
  expect(Object.values(bodies.body!.pieces).every(stand => stand === 'confirmed')).toBe(true)
})

test('a converter one drop short is caught before any bell bolt, and again where it is found out late', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'seat-measured', {}, undefined, 'automatic-longitudinal')
  await view(page, stage, jobId, 'work')
  await page.getByTestId('done').click()
  await page.waitForURL('**/bench/converter-seat')
  const seat = async (depth: string) => {
    const field = page.getByLabel('Face of the bell to the pads, place first pad', { exact: true })
    await field.fill(depth)
    await field.press('Tab')
  }
  const stand = page.getByLabel('Face of the engine to the flexplate, place first pad', { exact: true })
  await stand.fill('19')
  await stand.press('Tab')
  await seat('3.3')
  await expect(page.getByText('no bolt draws it in')).toBeVisible()
  await settled(page)
  // Neither the step nor anything behind it goes on.
  await page.getByRole('link', { name: 'Work', exact: true }).click()
  await expect(page.getByTestId('done')).toHaveText('To the sheet')
  await page.goto(`${stage.app.base}/jobs/${jobId}/work?step=pull-box.refit`)
  await expect(page.getByText(/no bolt ever draws it in/).first()).toBeVisible()
  await expect(page.getByTestId('done')).toBeDisabled()
  // Home it goes on; measured anew and found short, it holds what comes next though the step was done.
  await page.goto(`${stage.app.base}/jobs/${jobId}/bench/converter-seat`)
  await seat('22.2')
  await expect(page.getByText('It is home')).toBeVisible()
  await settled(page)
  await page.goto(`${stage.app.base}/jobs/${jobId}/work`)
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).not.toContainText('is the converter home')
  await settled(page)
  await page.goto(`${stage.app.base}/jobs/${jobId}/bench/converter-seat`)
  await seat('3.3')
  await settled(page)
  await page.goto(`${stage.app.base}/jobs/${jobId}/work?step=pull-box.refit`)
  await expect(page.getByText(/It is not home/).first()).toBeVisible()
  await expect(page.getByTestId('done')).toBeDisabled()
})

test('a manual valve beside its lever holds the bolts, and a plug that was forgotten holds the pan', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'body-lowered.refit', { lift: 'lift' }, undefined, 'automatic-valve-body')
  await view(page, stage, jobId, 'work')
  const done = page.getByTestId('done')
  if ((await done.innerText()) === 'Read and understood') await done.click()
  await page.getByRole('radio', { name: 'it lies beside the lever' }).click()
  await expect(page.getByText(/No bolt goes in before/).first()).toBeVisible()
  await done.click()
  await expect(page.getByTestId('step-title')).toContainText('hook its manual valve into the lever')
  await page.getByRole('radio', { name: 'its pin is in the lever' }).click()
  await expect(done).toHaveText('Done')
  await done.click()
  await expect(page.getByTestId('step-title')).not.toContainText('hook its manual valve into the lever')

  const later = await jobUpTo(stage, 'plugs-tugged', { lift: 'lift' }, undefined, 'automatic-valve-body')
  await view(page, stage, later, 'bolts/pieces/body')
  await page.getByRole('button', { name: 'Every plug on' }).click()
  for (const plug of await page.locator('[data-place]:has(rect)').all()) {
    if (/Lock-up/.test((await plug.getAttribute('aria-label'))!)) continue
    await plug.click()
    await page.getByRole('button', { name: 'tugged at', exact: true }).click()
    await expect(plug).toHaveAttribute('aria-label', /tugged at/)
  }
  await expect(page.getByTestId('piece-asked')).toContainText('1 of 9 plugs have not been tugged at: Lock-up solenoid')
  await settled(page)
  await page.goto(`${stage.app.base}/jobs/${later}/work?step=pan-off.refit`)
  await expect(page.getByText(/Behind the pan a plug that hangs/).first()).toBeVisible()
  await expect(page.getByTestId('done')).toBeDisabled()
})

test('springs are told by wire and length, and what fell finds its pocket; the board is printed at one to one', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'springs-measured', { lift: 'lift' }, undefined, 'automatic-valve-body')
  await view(page, stage, jobId, 'bolts/pieces/body')
  await page.getByRole('button', { name: 'Every piece out' }).click()
  await expect(page.getByTestId('piece-count')).toContainText('18 of 18 pieces out')
  await page.locator('[data-place=third]').click()
  const measure = page.getByRole('button', { name: 'Measure the old one' })
  await measure.click()
  await page.getByLabel('Wire, mm').fill('thin')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('“thin” is no measure of a spring.')).toBeVisible()
  await page.getByLabel('Wire, mm').fill('1.8')
  await page.getByLabel('Coil, middle to middle, mm').fill('14')
  await page.getByLabel('Turns that give').fill('8')
  await page.getByLabel('Free length, mm').fill('41')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByTestId('spring-third-spring-old')).toContainText('It has set: 3.0 mm shorter')
  await page.getByRole('button', { name: 'Something lies there' }).click()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Say what it is')).toBeVisible()
  await page.getByLabel('What it is').fill('Tiny spring')
  await page.locator('#loose-wireMm').fill('0.5')
  await page.locator('#loose-freeLengthMm').fill('21.8')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByTestId('loose-match')).toContainText('Check ball at the front, light spring')
  await page.getByRole('button', { name: 'It goes in there' }).click()
  await expect(page.getByTestId('piece-count')).toContainText('17 of 18 pieces out')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.getByTestId('piece-count')).toContainText('1 lying loose')
  await page.getByRole('button', { name: 'Print' }).click()
  const [card] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Card, SVG' }).click(),
  ])
  expect(card.suggestedFilename()).toMatch(/body-card\.svg$/)
})

test('the level is set inside its window alone', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'level-overflow', { lift: 'lift' }, undefined, 'automatic-valve-body')
  await view(page, stage, jobId, 'control/level')
  const temperature = page.getByLabel('Temperature of the fluid now')
  await temperature.fill('22')
  await temperature.press('Tab')
  await expect(page.getByText(/it is too cold to be set/)).toBeVisible()
  await temperature.fill(goodSheets.level!['Temperature of the fluid now']!)
  await temperature.press('Tab')
  await expect(page.getByText(/It is in its window/)).toBeVisible()
})

test('a reader that speaks tells its codes, clears none that is not kept, and says why it will not be taught', async ({
  page,
  stage,
}) => {
  const reader = await startReader({ port: 0, seed: 4, stepMs: 100 })
  const hand = new WebSocket(`ws://127.0.0.1:${reader.port}/hand`)
  await new Promise<void>((resolve, reject) => hand.once('open', () => resolve()).once('error', reject))
  const supply = (voltageV: number) => hand.send(JSON.stringify({ type: 'set', change: { voltageV } }))
  const connect = async () => {
    await page.getByText('A reader that speaks').click()
    await page.getByLabel('Its address').fill(`ws://127.0.0.1:${reader.port}/reader`)
    await page.getByRole('button', { name: 'Connect' }).click()
    await expect(page.getByText('Simulated reader speaks.')).toBeVisible()
  }
  supply(11.4)
  const first = await stage.openJob({ packId: 'automatic-longitudinal' })
  await view(page, stage, first, 'work?step=codes-before')
  await connect()
  await expect(page.getByText('Supply too low')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Clear them' })).toBeDisabled()
  await page.getByRole('button', { name: 'Keep these in the log' }).click()
  await expect(page.getByRole('button', { name: 'Clear them' })).toBeEnabled()
  await settled(page)
  expect((await stage.state(first)).codes['codes-before']!.codes).toEqual([
    { code: 'A21', text: 'Supply too low (active)' },
  ])

  const later = await jobUpTo(stage, 'adaptation-reset', {}, undefined, 'automatic-longitudinal')
  await view(page, stage, later, 'work')
  const done = page.getByTestId('done')
  if ((await done.innerText()) === 'Read and understood') await done.click()
  await connect()
  await page.getByRole('button', { name: 'Begin its learning anew' }).click()
  await expect(page.getByText('Supply too low: 11.4 V, 12 V at least')).toBeVisible()
  supply(12.6)
  await page.getByRole('button', { name: 'Begin its learning anew' }).click()
  await expect(page.getByText('Run through to its end.')).toBeVisible()
  await settled(page)
  expect((await stage.state(later)).routines['adaptation-reset']).toMatchObject({ outcome: 'done' })
  hand.close()
  await reader.close()
})

test('an ordinary clutch without a pedal, from take-in to hand-over', async ({ page, emptyStage: stage }) => {
  const jobId = await takeIn(page, stage, 'automated-single-clutch', 'Slips')
  await workedByAnother(page, stage, jobId, 'pull-box')
  await workToTheEnd(page)
  await page.getByRole('link', { name: 'Travel', exact: true }).click()
  await expect(page.getByText('Nothing forbids it now.')).toBeVisible()
  await page.getByRole('link', { name: 'Prove', exact: true }).click()
  for (const check of ['taught', 'gears-on', 'tested', 'memory'])
    await expect(page.getByTestId(`check-${check}`)).toContainText('done')
  for (const check of ['lamps', 'resets']) await page.getByTestId(`check-${check}`).getByRole('button').first().click()
  await expect(page.getByRole('heading', { name: 'Ready to be handed over' })).toBeVisible()
  await page.getByRole('button', { name: 'Go on to the hand-over' }).click()
  await page.getByRole('button', { name: 'Hand the car over' }).click()
  await expect(page.getByRole('heading', { name: 'Handed over to Ines Harrowgate-Bloom' })).toBeVisible()
  await settled(page)
  const { ledger, done, procedure, routines } = await stage.state(jobId)
  expect(ledger).toEqual({})
  expect(Object.keys(done)).toEqual(expect.arrayContaining(procedure!.operations.map(operation => operation.id)))
  expect(Object.keys(routines)).toEqual(['pressure-down', 'travel-taught', 'bite-taught', 'gears-taught', 'short-test'])
})
