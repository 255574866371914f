import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import { writePack } from '../../contracts/write-pack'
import { coverAndPart } from '../support/small-pack'
import { shelf } from '../support/packs'
import { test } from './fixture'

test('a layout is duplicated, edited with its faults shown, kept, chosen at take-in and removed', async ({
  page,
  emptyStage: stage,
}) => {
  await page.goto(`${stage.app.base}/library`)
  await page.getByRole('button', { name: /Duplicate Rear drive, driveshaft, slave outside/ }).click()
  await page.waitForURL('**/library/packs/rwd-longitudinal-own')
  const verdict = page.getByTestId('verdict')
  await expect(verdict).toHaveText('Sound under every choice of options')
  await expect(page.getByText(/pieces of work in \d+ trips/)).toBeVisible()

  const content = page.locator('.cm-content')
  await content.click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('End')
  await page.keyboard.type(' zzzzz')
  await expect(verdict).toHaveText('1 thing is wrong')
  await expect(page.getByTestId('problems')).toContainText('line 3, version')
  await expect(page.getByRole('button', { name: 'Keep it' })).toBeDisabled()
  expect(await (await fetch(`${stage.app.base}/api/packs/rwd-longitudinal-own/file`)).text()).not.toContain('zzzzz')
  for (let stroke = 0; stroke < 6; stroke++) await page.keyboard.press('Backspace')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('End')
  await page.keyboard.type(', with care')
  await expect(verdict).toHaveText('Sound under every choice of options')
  await page.keyboard.press('Control+s')
  await expect(page.getByText('Kept. Jobs planned from now on use it.')).toBeVisible()

  await page.goto(`${stage.app.base}/jobs/new`)
  await page.getByRole('radio', { name: 'Rear drive, driveshaft, slave outside, ours, with care' }).click()
  await expect(page.getByText(/pieces of work in \d+ trips/)).toBeVisible()

  await page.goto(`${stage.app.base}/library/packs/rwd-longitudinal-own`)
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await page.getByRole('button', { name: 'Remove rwd-longitudinal-own' }).click()
  await page.waitForURL('**/library')
  await expect(page.getByTestId('pack-rwd-longitudinal')).toBeVisible()
  await expect(page.getByTestId('pack-rwd-longitudinal-own')).toHaveCount(0)
})

test('a bad file is refused with path and reason and leaves the layouts as they were; a good one is taken in and given out equal', async ({
  page,
  emptyStage: stage,
}) => {
  const good = writePack(coverAndPart())
  const before = await (await fetch(`${stage.app.base}/api/packs`)).text()
  await page.goto(`${stage.app.base}/library`)
  await page.getByTestId('pack-manual-swap').waitFor()
  const take = (name: string, text: string) =>
    page.getByLabel('Pack file').setInputFiles({ name, mimeType: 'application/yaml', buffer: Buffer.from(text) })
  await take('cycle.yaml', good.replace('before: look, after: part-off.refit', 'before: look, after: cover-off'))
  await expect(page.getByRole('alert')).toContainText('Nothing was changed')
  await expect(page.getByRole('alert')).toContainText(/cycle\.yaml: .*the links form a cycle: .* → /)
  await take('reason.yaml', good.replace(/, because: cover-off[^}]*/, ' '))
  await expect(page.getByRole('alert')).toContainText(
    /modules\[only\]\.links\[0\]\.because, line \d+: a sentence is wanted/,
  )
  expect(await (await fetch(`${stage.app.base}/api/packs`)).text()).toBe(before)

  await take('small.yaml', good)
  await page.waitForURL('**/library/packs/small')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('small.yaml')
  expect(await readFile(await download.path(), 'utf8')).toBe(good)
})

test('the layouts can be checked, and the garage keeps its own side where the trade disagrees', async ({
  page,
  emptyStage: stage,
}) => {
  await page.goto(`${stage.app.base}/library`)
  await page.getByRole('button', { name: 'Check every layout' }).click()
  // One after the other; all of them are looked through by every build (`bin/check-packs.ts`).
  for (const id of [...shelf.packs.keys()].slice(0, 3))
    await expect(page.getByTestId(`pack-${id}`)).toContainText('sound under every choice')
  await page
    .getByRole('radiogroup', { name: 'The crank seal is …' })
    .getByRole('radio', { name: 'always renewed, with its carrier' })
    .click()
  await page.getByRole('link', { name: 'The garage' }).click()
  await page.getByLabel('Degrees north').fill('95')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Degrees' })).toContainText('from -90 to 90')
  await page.getByLabel('Degrees north').fill('40')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText('Kept.')).toBeVisible()
  await page.goto(`${stage.app.base}/jobs/new`)
  await expect(
    page
      .getByRole('radiogroup', { name: 'The crank seal is …' })
      .getByRole('radio', { name: 'always renewed, with its carrier' }),
  ).toBeChecked()
})
