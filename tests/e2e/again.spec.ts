import { expect } from '@playwright/test'
import { admit, stepsLeft } from '../../core/job'
import type { EventPayloads, JobEvent } from '../../core/job'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { garageId, personId } from '../support/requests'
import { nameFigure } from './mechanic'
import { jobUpTo, settled, test, view } from './fixture'

const HOUR_MS = 3_600_000
/** Work that waits for nothing. */
const elsewhere = {
  stepId: 'own-tray',
  title: 'Clean and paint the battery tray',
  phase: 'bench',
  place: 'bench',
  car: 'either',
  minutes: 40,
  tools: [],
  cautions: [],
  takesOff: [],
  after: [],
  before: [],
  refit: null,
  utcOffsetMinutes: 0,
} satisfies Omit<EventPayloads['step-added'], 'at'>

test('a bolt shears in the flywheel at two thirds of the passes: off it comes, away it goes, other work goes on, and the car is handed over', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'flywheel-tighten', { flywheel: 'new' }, mechanic =>
    mechanic.write('step-added', { ...elsewhere, at: new Date().toISOString() }),
  )
  const before = await stage.state(jobId)
  await view(page, stage, jobId, 'bolts/run/flywheel-tighten')
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await nameFigure(page, '64')
  await page.getByRole('button', { name: 'Start the run' }).click()
  await page.getByTestId('turn').waitFor()
  const total = 4 * before.boards['flywheel-bolts']!.bolts.length
  for (let turn = 1; turn <= (total * 2) / 3; turn++) {
    await page.keyboard.press('Space')
    await expect(page.getByText(`${turn} of ${total}`)).toBeVisible()
  }
  await page.getByRole('button', { name: 'Gave way' }).click()
  await page.getByRole('button', { name: 'It has gone: the way out' }).click()
  await page.getByRole('radio', { name: /Take the part to a machine shop/ }).check()
  await page.getByRole('button', { name: 'Write it down and take this way' }).click()

  const dialog = page.getByRole('dialog')
  await expect(dialog.getByTestId('comes-apart')).toContainText('2 steps come off once more')
  await dialog
    .getByLabel('Back, if known')
    .fill(await page.evaluate(() => new Date(Date.now() + 86_400_000).toISOString().slice(0, 16)))
  await dialog.getByRole('button', { name: 'Put it in the plan' }).click()
  await expect(page.getByText(/In the plan: .* anew\. The job takes .* longer/)).toBeVisible()
  await settled(page)
  const planned = await stage.state(jobId)
  expect(planned.plan!.totals.workMinutes - before.plan!.totals.workMinutes).toBeGreaterThan(50)
  expect(planned.plan!.totals.waitMinutes + planned.plan!.totals.closedMinutes).toBeGreaterThan(20 * 60)
  expect(planned.runs.at(-1)!.dropped).not.toBeNull()
  expect(planned.boards['flywheel-bolts']!.bolts.every(bolt => bolt.suspect || bolt.condition === 'sheared')).toBe(true)

  await view(page, stage, jobId, 'work')
  await expect(page.getByTestId('step-title')).toContainText('Once more:')
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).toHaveText(/^Once more: Both hands on the flywheel/)
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).toHaveText('Take it there: Machine shop')
  await page.getByTestId('done').click()
  // Other work goes on meanwhile; the Yard holds up what depends on it, and nothing else.
  await expect(page.getByTestId('step-title')).toHaveText('Clean and paint the battery tray')
  await settled(page)
  await page.goto(stage.app.base)
  await expect(page.locator(`a[href*="${jobId}"]`)).not.toContainText('Waits for')
  await view(page, stage, jobId, 'work')
  await page.getByTestId('done').click()
  await expect(page.getByTestId('step-title')).toHaveText('Fetch it: Machine shop')
  await settled(page)
  await page.goto(stage.app.base)
  await expect(page.locator(`a[href*="${jobId}"]`)).toContainText('Waits for')

  const events = await stage.events(jobId)
  const mechanic = new DemoMechanic(events, personId, Date.now() + 24 * HOUR_MS)
  mechanic.workUntil(null).checksMade()
  await stage.app.setClock({ aheadMs: 30 * HOUR_MS })
  const trouble = planned.troubles.at(-1)!
  mechanic.write('trouble-cleared', { troubleId: trouble.troubleId, how: 'New flywheel thread, new bolts' })
  mechanic.write('handed-over', { to: 'The customer', odometerKm: null }, 1)
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  const end = await stage.state(jobId)
  expect([stepsLeft(end), end.ledger, end.handedOver?.to]).toEqual([[], {}, 'The customer'])
  await stage.app.setClock({})
})

test('a car that arrives apart: what is off is ticked, what nobody has seen does not go back, and the car does not go without it', async ({
  page,
  stage,
}) => {
  const jobId = await stage.openJob()
  await page.setViewportSize({ width: 390, height: 844 })
  await view(page, stage, jobId, 'car/apart')
  await page.getByLabel('Find a thing').fill('fork')
  await page.getByRole('checkbox', { name: /Unclip the fork/ }).check()
  await page.getByLabel('Who took it apart').fill('The owner')
  await page.getByRole('button', { name: /steps done by others/ }).click()
  await expect(page.getByText(/count as done by others: .* less for us/)).toBeVisible()
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.takenOver['release-bearing-off']!.by).toBe('The owner')
  expect(state.ledger).toMatchObject({ 'release-bearing': 1, gearbox: 1 })
  // Nobody takes another's word for what keeps one safe.
  expect(Object.keys(state.done)).not.toContain('battery-off')
  expect(state.told['release-fork']).toEqual({ missing: 0, unknown: 1, until: null })

  await page.getByRole('button', { name: /^All \d+ are here$/ }).click()
  await expect(page.getByRole('heading', { name: 'What came with it is told' })).toBeVisible()
  await page.getByTestId('tell-release-fork').getByRole('radio', { name: 'Not seen' }).click()
  await expect(page.getByRole('heading', { name: '1 thing that nobody has seen' })).toBeVisible()
  // A bag of bolts finds its holes by thread and length.
  await page.getByLabel('Thread').fill('M8')
  await page.getByLabel(/^Length/).fill('no length')
  await page.getByRole('button', { name: 'Find their places' }).click()
  await expect(page.getByRole('region', { name: 'A bag of bolts' }).getByRole('alert')).toBeVisible()
  await page.getByLabel(/^Length/).fill('41 mm')
  await page.getByRole('button', { name: 'Find their places' }).click()
  await expect(page.getByTestId('bag-match')).toContainText('M8×1.25')
  await settled(page)

  const back = state.procedure!.operations.find(({ putsBack }) => putsBack['release-fork'])!
  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.now()).workUntil(back.id)
  await stage.app.setClock({ aheadMs: 30 * HOUR_MS })
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  await page.reload()
  await view(page, stage, jobId, 'work')
  await expect(page.getByRole('note').getByText(/nobody has seen it/)).toBeVisible()
  await expect(page.getByTestId('done')).toBeDisabled()
  await view(page, stage, jobId, 'prove')
  await expect(page.getByText(/nobody has seen it/).first()).toBeVisible()
  expect(
    admit(await stage.state(jobId), handedOver(await stage.events(jobId)), await stage.events(jobId)),
  ).not.toBeNull()

  await view(page, stage, jobId, 'car/apart')
  await page.getByTestId('tell-release-fork').getByRole('radio', { name: 'Here' }).click()
  await settled(page)
  await view(page, stage, jobId, 'work')
  await expect(page.getByRole('note').getByText(/nobody has seen it/)).toHaveCount(0)
  await stage.app.setClock({})
})

const handedOver = (events: JobEvent[]) =>
  ({ ...events.at(-1)!, id: 'out', type: 'handed-over', payload: { to: 'The customer', odometerKm: null } }) as JobEvent
