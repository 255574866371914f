import { expect } from '@playwright/test'
import { jobUpTo, settled, test, view } from './fixture'

test('a box that will not go home because the tool was loose: the gap says so, the cause is ranked, no step is done on it', async ({
  page,
  stage,
}) => {
  const entry = (value: number) => ({ kind: 'number' as const, entry: { entered: String(value), value } })
  const jobId = await jobUpTo(stage, 'pull-box.refit', {}, mechanic =>
    mechanic.fillSheets({ 'tool-fit': { tool: entry(14.1), shaft: entry(15) } }),
  )
  await view(page, stage, jobId, 'work')
  await page.getByRole('link', { name: 'Mating: checks and the gap' }).click()
  await expect(page.getByTestId('check-dowels')).toContainText('right')
  await page.getByTestId('check-lines').getByRole('button', { name: 'one hangs near' }).click()
  await expect(page.getByTestId('check-lines')).toContainText('not right')
  await page.getByTestId('check-lines').getByRole('button', { name: 'tied clear' }).click()
  await page.getByTestId('check-plate').getByRole('button', { name: 'held in its place' }).click()
  await expect(
    page
      .getByTestId('check-plate')
      .getByText('right', { exact: true })
      .or(page.getByTestId('check-plate').getByText('✓ right')),
  ).toBeVisible()
  for (const [place, gap] of [
    ['top', '6'],
    ['right', '6.2'],
    ['bottom', '5.9'],
    ['left', '6'],
  ] as const)
    await page.getByLabel(place, { exact: true }).fill(gap)
  await page.getByRole('button', { name: 'Keep this gap' }).click()
  await expect(page.getByRole('alert')).toContainText('Across which diameter')
  await page.getByLabel('across, mm').fill('360')
  await page.getByRole('button', { name: 'Keep this gap' }).click()
  await expect(page.getByTestId('gap-verdict')).toContainText('it stands off evenly')
  await expect(page.getByTestId('gap-verdict')).toContainText('Do not pull it in with the bolts')
  const likeliest = page.locator('[data-testid^=cause-]').first()
  await expect(likeliest).toContainText('The disc is not centered')
  await expect(likeliest).toContainText('The centering tool was loose.')
  await settled(page)
  await view(page, stage, jobId, 'work')
  await page.getByTestId('done').click()
  await expect(page.getByText(/a gap is left\. A gap means something is in the way/).first()).toBeVisible()
  await view(page, stage, jobId, 'car/mating')
  await page.getByRole('button', { name: 'Take it up its ladder' }).click()
  await page.getByRole('link', { name: 'To the ladder' }).click()
  await expect(page.getByTestId('ladder').getByRole('heading')).toContainText('Stop: no bolt pulls it in')
  await view(page, stage, jobId, 'car/mating')
  for (const place of ['top', 'right', 'bottom', 'left']) await page.getByLabel(place, { exact: true }).fill('0')
  await page.getByRole('button', { name: 'Keep this gap' }).click()
  await expect(page.getByTestId('gap-verdict')).toContainText('The faces meet all round')
  await settled(page)
  await view(page, stage, jobId, 'work')
  const title = await page.getByTestId('step-title').innerText()
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title').filter({ hasText: title })).toHaveCount(0)
})
