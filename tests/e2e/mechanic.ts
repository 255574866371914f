import type { Page } from '@playwright/test'
import { expect } from '@playwright/test'

/** What the mechanic of the tests reads off the gauges, by reading id. */
const gauges: Record<string, string> = { 'free-play': '8', 'slave-travel': '14.5', 'oil-out': '1650', 'oil-in': '1900', 'disc-thickness': '5.6', 'rivet-depth': '0.2' }

/** Takes every reading of the step in the open dialog: the first answer of each choice. */
async function takeReadings(page: Page): Promise<void> {
  const dialog = page.getByRole('dialog')
  for (const input of await dialog.locator('input').all()) await input.fill(gauges[(await input.getAttribute('id'))!.replace('reading-', '')]!)
  for (const group of await dialog.getByRole('radiogroup').all()) await group.getByRole('radio').first().click()
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await dialog.waitFor({ state: 'detached' })
}

/** Names a figure with its source in the open form. */
export async function nameFigure(page: Page, torque: string, source = 'Kit sheet', reference = 'Fitting sheet of the kit'): Promise<void> {
  await page.getByLabel('Torque').fill(torque)
  await page.getByRole('radio', { name: source, exact: true }).click()
  await page.getByLabel('Which book, sheet or person').fill(reference)
  await page.getByRole('button', { name: 'Name this figure' }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
}

async function tighten(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: 'No figure, no run' })).toBeDisabled()
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await nameFigure(page, '21')
  await page.getByRole('button', { name: 'Start the run' }).click()
  const button = page.getByTestId('turn')
  for (let turn = 0; turn < 24; turn++) {
    await expect(button).toHaveText(/Bolt \d+ done/)
    await page.keyboard.press('Space')
    await expect(page.getByText(`${turn + 1} of 24`)).toBeVisible()
  }
  await expect(button).toHaveText('Step done')
  await button.click()
}

async function bleed(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  for (let stroke = 1; stroke <= 25; stroke++) {
    await page.getByTestId('stroke').click()
    await expect(page.getByTestId('strokes')).toHaveText(String(stroke))
  }
  await page.getByRole('button', { name: 'Better' }).click()
  await page.getByTestId('stroke').click()
  await page.getByRole('button', { name: 'Firm' }).click()
  await page.getByRole('button', { name: 'Step done' }).click()
}

/** Does the step on the screen, whatever it asks for. Returns its title. */
export async function doStep(page: Page): Promise<string> {
  const title = page.getByTestId('step-title')
  const done = page.getByTestId('done')
  const before = await title.innerText()
  if (await done.innerText() === 'Read and understood') {
    await done.click()
    await expect(done).not.toHaveText('Read and understood')
  }
  for (const button of await page.getByRole('button', { name: /^New ones are going in/ }).all()) await button.click()
  if (await page.getByRole('button', { name: 'Wanted' }).count() > 0) {
    await page.getByRole('button', { name: 'Wanted' }).first().click()
    await takeReadings(page)
  }
  for (const gear of await page.getByRole('group', { name: /^Gear / }).all()) await gear.getByRole('button', { name: 'Clean' }).click()
  const label = await done.innerText()
  await done.click()
  if (label === 'To the tightening run') await tighten(page)
  else if (label === 'To the bleeding') await bleed(page)
  else expect(label).toBe('Done')
  await expect(page.getByTestId('step-title').filter({ hasText: before })).toHaveCount(0)
  return before
}

/** Works the job off from the step on the screen to the end of the plan. Returns the titles in the order they were done. */
export async function workToTheEnd(page: Page): Promise<string[]> {
  const titles: string[] = []
  const end = page.getByRole('heading', { name: 'Every step of the plan is done' })
  while (!await end.isVisible()) {
    titles.push(await doStep(page))
    await expect(end.or(page.getByTestId('step-title'))).toBeVisible()
  }
  return titles
}
