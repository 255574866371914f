import { expect } from '@playwright/test'
import { jobUpTo, test, view } from './fixture'

test('every view inside a view has an address: back and forth, links kept from before, and ones that lead nowhere', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'disc-in')
  const at = (path: string) => `${stage.app.base}/jobs/${jobId}/${path}`
  const subNav = page.getByRole('navigation', { name: 'Of the car' })
  await view(page, stage, jobId, 'car')
  await subNav.getByRole('link', { name: 'Way back' }).click()
  await expect(page).toHaveURL(at('car/refit'))
  await expect(subNav.getByRole('link', { name: 'Way back' })).toHaveAttribute('aria-current', 'page')
  await expect(
    page.getByRole('navigation', { name: 'Views of this job' }).getByRole('link', { name: 'Car' }),
  ).toHaveAttribute('aria-current', 'page')

  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await page.getByTestId('sheet-flywheel').click()
  await expect(page).toHaveURL(at('bench/flywheel'))
  await page.keyboard.press(']')
  await expect(page).not.toHaveURL(at('bench/flywheel'))
  await page.goBack()
  await expect(page).toHaveURL(at('bench/flywheel'))
  await page.goBack()
  await expect(page).toHaveURL(at('bench'))
  await page.goBack()
  await expect(subNav.getByRole('link', { name: 'Way back' })).toHaveAttribute('aria-current', 'page')

  await page.goto(at('bench?at=ways&sheet=flywheel'))
  await expect(page).toHaveURL(at('bench/flywheel/ways'))
  await page.goto(at('bolts?group=bell-bolts'))
  await expect(page).toHaveURL(at('bolts/bell-bolts'))
  await page.goto(at('bolts'))
  await expect(page).toHaveURL(/\/bolts\/.+/)

  await page.goto(at('bench/no-such-sheet'))
  await expect(page.getByRole('heading', { name: 'This job has no such sheet' })).toBeVisible()
  await page.getByRole('link', { name: 'To Work' }).click()
  await expect(page).toHaveURL(at('work'))
})
