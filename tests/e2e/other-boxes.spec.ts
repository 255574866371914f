import { expect } from '@playwright/test'
import { settled, test } from './fixture'
import { workToTheEnd } from './mechanic'
import { takeIn, workedByAnother } from './take-in'

/** From take-in to hand-over on a phone, the strip by somebody else: the layout, a complaint in its words, the step it is taken over at, what its fifth view is called, closing checks of its own. */
for (const [packId, symptom, from, control, checks, byHand] of [
  [
    'dual-clutch-in-car',
    'Only odd or only even gears',
    'module-off',
    'Lever',
    ['positions', 'fluid', 'taught'],
    ['lamps', 'resets'],
  ],
  [
    'transaxle-torque-tube',
    'Rattles at idle',
    'last-flange-screws',
    'Lever',
    ['positions', 'fluid', 'taught'],
    ['lamps', 'resets'],
  ],
  [
    'tractor-two-stage',
    'Gears grate',
    'last-split-bolts',
    'Pedal',
    ['gaps', 'pedal', 'drive', 'brake'],
    ['lamps', 'guard'],
  ],
] as const)
  test(`${packId}, from take-in to hand-over`, async ({ page, emptyStage: stage }) => {
    const jobId = await takeIn(page, stage, packId, symptom)
    await workedByAnother(page, stage, jobId, from)
    await workToTheEnd(page)
    await page.getByRole('link', { name: control, exact: true }).click()
    await expect(page.getByText('Nothing forbids it now.')).toBeVisible()
    await page.getByRole('link', { name: 'Prove', exact: true }).click()
    for (const check of checks) await expect(page.getByTestId(`check-${check}`)).toContainText('done')
    for (const check of byHand) await page.getByTestId(`check-${check}`).getByRole('button').first().click()
    await expect(page.getByRole('heading', { name: 'Ready to be handed over' })).toBeVisible()
    await page.getByRole('button', { name: 'Go on to the hand-over' }).click()
    await page.getByRole('button', { name: 'Hand the car over' }).click()
    await expect(page.getByRole('heading', { name: 'Handed over to Ines Harrowgate-Bloom' })).toBeVisible()
    await settled(page)
    const { ledger, done, procedure } = await stage.state(jobId)
    expect(ledger).toEqual({})
    expect(Object.keys(done)).toEqual(expect.arrayContaining(procedure!.operations.map(operation => operation.id)))
  })
