import { expect } from '@playwright/test'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { garageId, personId } from '../support/requests'
import { jobUpTo, settled, test, view } from './fixture'
import { doStep } from './mechanic'

const HOUR = 3_600_000

test('two days later: what is off, loose and open, what holds it, and on with the work', async ({ page, stage }) => {
  const jobId = await stage.openJob()
  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.now() - 56 * HOUR).workUntil(
    'last-bell-bolts',
  )
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  const state = await stage.state(jobId)
  await view(page, stage, jobId, 'car')
  const panel = page.getByTestId('return-panel')
  await expect(panel).toContainText('2 days ago')
  await expect(panel).toContainText('Before you go under')
  for (const held of ['Engine support beam', 'Jack and strap under the box', 'Jack stands under the car'])
    await expect(panel).toContainText(held)
  await expect(panel).toContainText('No stroke of the pedal')
  await expect(panel).toContainText('Take the last two bell bolts out')

  const side = page.locator('svg[data-view=side]')
  await expect(side.locator('[data-thing=wheels]')).toHaveAttribute('data-stand', 'off')
  await expect(side.locator('[data-thing=gearbox]')).toHaveAttribute('data-stand', 'loose')
  await expect(side.locator('[data-thing=box-jack]')).toHaveAttribute('data-stand', 'held')
  await expect(page.getByTestId('carried-engine-and-box')).toContainText('Jack and strap under the box')
  await page
    .getByTestId('carried-engine-and-box')
    .getByRole('button', { name: /Step by step/ })
    .click()
  await expect(page.getByRole('row', { name: /Draw the box/ })).toBeVisible()

  await page.getByRole('button', { name: /^Transmission/ }).click()
  const story = page.getByTestId('thing-story')
  await expect(story).toContainText('Upper bell bolts')
  await expect(story).toContainText('Lies: bolt board')
  await expect(story).toContainText('6 of 8 out')
  await story.getByRole('link', { name: /^Board/ }).click()
  await expect(page.getByTestId('board-count')).toHaveText('2 are still in, 6 of 8 out.')

  await view(page, stage, jobId, 'car')
  await page.getByRole('link', { name: 'Go on with the work' }).click()
  const before = Object.keys(state.done).length
  await doStep(page)
  await settled(page)
  expect(Object.keys((await stage.state(jobId)).done)).toHaveLength(before + 1)
})

// A stage of its own: the book figures of a car go with it from job to job.
test('what came off is listed by kind, found, settled; a part used once goes back only as a new one', async ({
  page,
  emptyStage: stage,
}) => {
  const jobId = await jobUpTo(stage, 'ball-joints-part.refit')
  await view(page, stage, jobId, 'car/ledger')
  const lines = page.locator('[data-testid^=line-]')
  const all = await lines.count()
  await page.getByRole('radio', { name: /^Holds/ }).click()
  await expect(page.getByTestId('line-support-stands')).toBeVisible()
  expect(await lines.count()).toBeLessThan(all)
  await page.getByRole('radio', { name: /^All/ }).click()
  await page.getByLabel('Find a thing, a bag or a board').fill('bag W3')
  await expect(lines).toHaveCount(1)
  await lines.click()
  await expect(page.getByTestId('entry-story')).toContainText('A new one goes in. The locking nut grips once.')

  await view(page, stage, jobId, 'work')
  await expect(page.getByText('✓ new', { exact: true })).toBeVisible()
  await page.getByTestId('done').click()
  await expect(page.getByText(/no figure is named\. Somebody drives on them/).first()).toBeVisible()
  await doStep(page)
  await settled(page)
  await view(page, stage, jobId, 'car/ledger')
  await page.getByRole('radio', { name: /^Settled/ }).click()
  await expect(page.getByTestId('line-ball-joint-bolt')).toContainText('new in its place')
  await page.getByRole('radio', { name: /^Still off/ }).click()
  await page.getByTestId('line-undertray-screws').click()
  await page.getByRole('button', { name: 'Set aside, with a reason' }).click()
  await page.getByLabel('Why it stays off').fill('Two are gone; ordered.')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByTestId('line-undertray-screws')).toHaveCount(0)
  await settled(page)
  expect((await stage.state(jobId)).leftOpen).toMatchObject({
    'item:undertray-screws': { reason: 'Two are gone; ordered.', personId },
  })
  await view(page, stage, jobId, 'car/refit')
  await page.getByRole('button', { name: /^All \d+/ }).click()
  await expect(
    page.getByText('Mounts stay loose until all are started; one tightened early pulls the others out of line.'),
  ).toBeVisible()
})

test('refitted to the last entry: the ledger is at zero and the car whole', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, null)
  await view(page, stage, jobId, 'car')
  await expect(page.getByRole('heading', { name: 'The car is whole' })).toBeVisible()
  await expect(page.locator('[data-view=side] [data-stand]:not([data-stand=whole])')).toHaveCount(0)
  await view(page, stage, jobId, 'car/ledger')
  await expect(page.getByRole('radio', { name: /^Still off 0/ })).toBeVisible()
  await page.getByRole('radio', { name: /^Both/ }).click()
  expect(await page.locator('[data-testid^=line-]').count()).toBeGreaterThan(40)
})

test('a serious caution is read once for the job, and undo takes the reading back', async ({ page, stage }) => {
  const jobId = await stage.openJob({ packId: 'fwd-transverse', options: { lift: 'stands' } })
  const state = await stage.state(jobId)
  const raise = state.plan!.steps.find(step => step.kind === 'raise')!.id
  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.now() - HOUR).workUntil(raise)
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  await view(page, stage, jobId, 'work')
  const read = page.getByTestId('caution-ask')
  await expect(read).toContainText('Rated supports on the maker')
  await page.keyboard.press('Space')
  await expect(read).toHaveCount(0)
  await expect(page.getByTestId('done')).toHaveText('Done')
  await page.keyboard.press('Backspace')
  await expect(page.getByTestId('done')).toHaveText('Read and understood')
  await page.keyboard.press('Space')
  await doStep(page)
  await settled(page)
  expect(Object.keys((await stage.state(jobId)).acknowledged)).toContain('car-support')
})

test('what hangs stands in the strip until it is cured, Car says what lacks, and Work what holds then', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'box-jack-under', {}, mechanic => {
    const { bolts } = mechanic.state.boards['bell-bolts']!
    const boltIds = bolts.filter(({ stand }) => stand !== 'out').map(({ id }) => id)
    mechanic.write('bolts-in', { group: 'bell-bolts', boltIds, stand: 'snug' })
  })
  await view(page, stage, jobId, 'work')
  await expect(page.getByTestId('hangs')).toHaveText(/hangs/)
  await expect(page.getByTestId('held-then')).toContainText('held by jack and strap under the box')
  await page.getByTestId('hangs').click()
  await expect(page.getByTestId('held-now')).toContainText('Jack and strap under the box: away.')
  await expect(page.getByTestId('held-now')).toContainText(/Since (yesterday )?\d\d:\d\d\./)
  await page.keyboard.press('Backspace')
  await expect(page.getByTestId('hangs')).toHaveCount(0)
  await expect(page.getByTestId('held-now')).toContainText('held by')
})
