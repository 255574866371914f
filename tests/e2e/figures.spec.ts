import { expect } from '@playwright/test'
import { jobUpTo, settled, test, view } from './fixture'
import { nameFigure } from './mechanic'

test('a figure typed in the wrong unit is caught and put right', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'bolts/cover-bolts')
  await page.getByRole('button', { name: 'Say what the bolts are' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Thread', { exact: true }).fill('M8x7')
  await form.getByLabel('Class on the head').selectOption('8.8')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(form.getByRole('alert')).toHaveText('M8 has no pitch of 7 mm; its coarse pitch is 1.25 mm.')
  await form.getByLabel('Thread', { exact: true }).fill('M8')
  await form.getByLabel(/^Thread engaged/).fill('-4')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(form.getByRole('alert')).toContainText('above zero')
  await form.getByLabel(/^Thread engaged/).fill('')
  await form.getByRole('button', { name: 'Keep' }).click()

  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await page.getByLabel('Unit').selectOption('lbf·ft')
  await page.getByLabel('Torque').fill('25')
  await expect(form.getByTestId('judgement')).toContainText('Beyond yield')
  await form.getByRole('button', { name: /^Meant 25 N·m/ }).click()
  await expect(form.getByTestId('judgement')).toContainText('Plausible')
  await nameFigure(page, '25')
  await expect(page.getByTestId('judgement')).toContainText('of what makes it yield')
  await settled(page)
  expect((await stage.state(jobId)).figures['cover-bolts']).toMatchObject([{ torqueNm: 25, sourceKind: 'kit-sheet' }])
})

test('two sources stand side by side, and a missing figure is taken under a name', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'bolts/cover-bolts')
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await nameFigure(page, '25', 'Vehicle book', 'Book, sheet 30-4')
  await page.getByRole('button', { name: 'Name another figure' }).click()
  await nameFigure(page, '20')
  await expect(page.getByText('Another source says')).toContainText('+25 %')

  await page.getByLabel('Board').selectOption('bell-bolts')
  await expect(page.getByTestId('ceiling')).toContainText('Computed, not a specification')
  await page.getByRole('button', { name: 'Take a figure in it, under my name' }).click()
  await page.getByLabel('Torque').fill('70')
  await page.getByLabel('Who takes it, and on what ground').fill('Maren: no book to be had, checked thread')
  await page.getByRole('button', { name: 'Name this figure' }).click()
  await expect(page.getByText('above the ceiling of what the fastener stands')).toBeVisible()
  await page.getByLabel('Torque').fill('34')
  await page.getByRole('button', { name: 'Name this figure' }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
  await settled(page)
  await page.goto(`${stage.app.base}/jobs/${jobId}/handover`)
  await expect(page.getByRole('row', { name: /Bell bolts/ })).toContainText(
    'No specification was found. Computed, not a specification: Maren: no book to be had',
  )
})

test('a figure far beyond what such fasteners have is asked about, and the bolts can be told where it is not judged', async ({
  page,
  stage,
}) => {
  const jobId = await stage.openJob()
  await view(page, stage, jobId, 'bolts/cover-bolts')
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Torque').fill('250')
  await dialog.getByRole('radio', { name: 'Kit sheet', exact: true }).click()
  await dialog.getByLabel('Which book, sheet or person').fill('Fitting sheet of the kit')
  await dialog.getByRole('button', { name: 'Name this figure' }).click()
  await expect(dialog.getByText('Look again.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Say what the bolts are' }).click()
  await expect(dialog.getByLabel('Class on the head')).toBeVisible()
  await dialog.getByRole('button', { name: 'Back to the figure' }).click()
  await dialog.getByRole('button', { name: 'The source says so' }).click()
  await expect(dialog).toHaveCount(0)
  await settled(page)
  expect((await stage.state(jobId)).figures['cover-bolts']).toMatchObject([{ torqueNm: 250 }])
})
