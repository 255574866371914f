import { expect } from '@playwright/test'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { withNewerVersion } from '../support/newer-version'
import { jobUpTo, settled, test, view } from './fixture'
import { addCar, doStep, nameFigure, turnPasses } from './mechanic'
import { shellKept } from '../support/kept'
import { newPhone } from '../support/phone'

test('without a server the job starts from any address, goes on, and is exactly there after the browser was killed in the middle of a pass', async ({
  emptyStage: stage,
}) => {
  const jobId = await jobUpTo(stage, 'cover-tighten')
  const { base } = stage.app
  const phone = newPhone()
  let server: RunningApp | undefined
  try {
    const first = await phone.start()
    await view(first, stage, jobId, 'work')
    await shellKept(first)
    await settled(first)
    const known = (await stage.events(jobId)).length
    await stage.app.kill()

    // Views that were never opened with signal, and one that starts cold.
    for (const name of ['car', 'plan', 'bench', 'pedal', 'prove']) {
      await first.goto(`${base}/jobs/${jobId}/${name}`)
      await expect(first.locator('#sheet h1').first()).toBeVisible()
    }
    await first.goto(`${base}/jobs/${jobId}/bolts`)
    await first.getByRole('button', { name: 'Name it with its source' }).click()
    await nameFigure(first, '21')
    await first.getByRole('button', { name: 'Start the run' }).click()
    for (let turn = 1; turn <= 5; turn++) {
      await first.getByTestId('turn').click()
      await expect(first.getByText(`${turn} of 24`)).toBeVisible()
    }
    await phone.kill()

    const again = await phone.start()
    await again.goto(`${base}/jobs/last`)
    await expect(again).toHaveURL(`${base}/jobs/${jobId}/work`)
    await again.goto(`${base}/jobs/${jobId}/bolts`)
    await expect(again.getByText('5 of 24')).toBeVisible()
    await expect(again.getByTestId('waits')).toContainText('7 waiting to be sent')
    await again.getByTestId('turn').click()
    await expect(again.getByText('6 of 24')).toBeVisible()

    server = await startApp(stage.database.url, Number(new URL(base).port))
    await settled(again)
    expect(await stage.events(jobId)).toHaveLength(known + 8)
    const { runs } = await stage.state(jobId)
    expect(runs.find(run => run.group === 'cover-bolts')).toMatchObject({ turned: 6, figure: { torqueNm: 21 } })
  } finally {
    await server?.kill()
    await phone.end()
  }
})

test('a new car is taken in without a server, planned another way and worked on; the server takes it all when it is back', async ({
  emptyStage: stage,
}) => {
  const { base } = stage.app
  const phone = newPhone()
  let server: RunningApp | undefined
  try {
    const page = await phone.start()
    await page.goto(`${base}/`)
    await shellKept(page)
    await page.waitForFunction(() => localStorage.getItem('eldrin-basics-at') !== null)
    await stage.app.kill()

    await page.goto(`${base}/jobs/new`)
    await page.getByRole('button', { name: 'Add a car' }).click()
    await addCar(page, {
      'How you call it': 'Grey Tavisk Hallend',
      Customer: 'Oren Fallowmere',
      Make: 'Tavisk',
      Model: 'Hallend 1.6',
      Year: '2011',
    })
    // A page that dies now has forgotten what was chosen, but not the car.
    await expect(page.getByText('Grey Tavisk Hallend')).toBeVisible()
    await page.reload()
    await page.getByRole('button', { name: 'Car', exact: true }).click()
    await page.getByRole('option', { name: /Grey Tavisk Hallend/ }).click()
    await page.getByLabel('Odometer').fill('120500')
    await page.getByRole('button', { name: 'Slips' }).click()
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await page.waitForURL('**/plan')
    const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!
    await page.goto(`${base}/`)
    await expect(page.getByTestId('yard-line')).toContainText('Grey Tavisk Hallend')

    await page.goto(`${base}/jobs/${jobId}/plan`)
    // The heading is drawn anew by itself; what the steps add up to changes with the plan alone.
    const sum = page.getByTestId('adds-up')
    const before = await sum.innerText()
    await page.getByRole('tab', { name: 'How' }).click()
    await page
      .getByRole('radiogroup', { name: 'The flywheel is …' })
      .getByRole('radio', { name: /^renewed/ })
      .click()
    await expect(sum).not.toHaveText(before)
    await page.goto(`${base}/jobs/${jobId}/work`)
    const done = [await doStep(page), await doStep(page)]
    expect(done).toHaveLength(2)
    await phone.kill()

    const again = await phone.start()
    await again.goto(`${base}/jobs/${jobId}/work`)
    await expect(again.getByTestId('waits')).toContainText('waiting to be sent')
    server = await startApp(stage.database.url, Number(new URL(base).port))
    await settled(again)
    const state = await stage.state(jobId)
    expect(state).toMatchObject({
      vehicle: { name: 'Grey Tavisk Hallend' },
      procedure: { options: { flywheel: 'new' } },
      aside: [],
    })
    expect(state.number).toBeGreaterThan(0)
    expect(Object.keys(state.done)).toHaveLength(2)
    await expect(again.getByText(`${state.number}Grey Tavisk Hallend`)).toBeVisible()
  } finally {
    await server?.kill()
    await phone.end()
  }
})

test('a car that the server does not take in says why, and goes on without the reading that was wrong', async ({
  emptyStage: stage,
}) => {
  await stage.openJob({ odometerKm: 90_000 })
  const { base } = stage.app
  const phone = newPhone()
  let server: RunningApp | undefined
  try {
    const page = await phone.start()
    await page.goto(`${base}/`)
    await shellKept(page)
    await page.waitForFunction(() => localStorage.getItem('eldrin-basics-at') !== null)
    await stage.app.kill()
    await page.goto(`${base}/jobs/new`)
    await page.getByRole('button', { name: 'Car', exact: true }).click()
    await page.getByRole('option', { name: /Silver Orbeline/ }).click()
    await page.getByLabel('Odometer').fill('80000')
    await page.getByRole('button', { name: 'Slips' }).click()
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await page.waitForURL('**/plan')
    const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!
    await page.goto(`${base}/jobs/${jobId}/work`)
    await doStep(page)

    server = await startApp(stage.database.url, Number(new URL(base).port))
    const refused = page.getByRole('alert').filter({ hasText: 'The server does not take this car in.' })
    await expect(refused).toContainText('it cannot stand at')
    await page.reload()
    await expect(refused).toBeVisible()
    await refused.getByRole('button', { name: 'Ask again' }).click()
    await expect(refused).toContainText('it cannot stand at')
    await refused.getByRole('button', { name: 'Ask without the odometer' }).click()
    await expect(refused).toHaveCount(0)
    await settled(page)
    const state = await stage.state(jobId)
    expect([state.odometerKm, Object.keys(state.done).length, state.aside]).toEqual([null, 1, []])
  } finally {
    await server?.kill()
    await phone.end()
  }
})

test('a car added before the list of cars came stays the one that is chosen', async ({ page, emptyStage: stage }) => {
  let come = () => {}
  const added = new Promise<void>(resolve => (come = resolve))
  await page.route('**/api/vehicles', async route => {
    if (route.request().method() === 'POST') return route.continue()
    // The list as it was before the car was added, told after it.
    const answer = await route.fetch()
    await added
    await route.fulfill({ response: answer })
  })
  await page.goto(`${stage.app.base}/jobs/new`)
  await page.getByRole('button', { name: 'Add a car' }).click()
  await addCar(page, {
    'How you call it': 'Teal Pellworth',
    Customer: 'Ines Harrowgate-Bloom',
    Make: 'Pellworth',
    Model: 'Ardenne',
    Year: '2012',
  })
  await expect(page.getByRole('dialog')).toHaveCount(0)
  const car = page.getByRole('button', { name: 'Car', exact: true })
  await expect(car).toContainText('Teal Pellworth')
  come()
  // The layouts are there when all lists are.
  await expect(page.getByRole('radiogroup', { name: 'Layout' })).toBeVisible()
  await expect(car).toContainText('Teal Pellworth')
})

test('a newer version waits until the run is over, says so, and then the page begins anew with it', async ({
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'cover-tighten')
  const door = await withNewerVersion(stage.app.base)
  const phone = newPhone()
  try {
    const page = await phone.start()
    await page.goto(`${door.base}/jobs/${jobId}/bolts`)
    await page.getByRole('button', { name: 'Name it with its source' }).click()
    await nameFigure(page, '21')
    await page.getByRole('button', { name: 'Start the run' }).click()
    await page.getByTestId('turn').click()
    await expect(page.getByText('1 of 24')).toBeVisible()
    await shellKept(page)
    door.renew()
    await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()))
    const offer = page.getByTestId('new-version')
    await expect(offer).toContainText('A newer Eldrin is here.')
    await offer.getByRole('button', { name: 'Begin with it' }).click()
    await expect(offer).toContainText('It waits until the run is over')
    await page.getByTestId('turn').click()
    await expect(page.getByText('2 of 24')).toBeVisible()

    await turnPasses(page)
    await expect(page.getByText('Every bolt is at its figure and checked.')).toBeVisible()
    await settled(page)
    const begun = page.waitForEvent('load')
    await offer.getByRole('button', { name: 'Begin with it' }).click()
    await begun
    await expect(page.getByTestId('new-version')).toHaveCount(0)
    await expect(page.getByText('Every bolt is at its figure and checked.')).toBeVisible()
    expect(
      await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting ?? null),
    ).toBeNull()
  } finally {
    await phone.end()
    await door.close()
  }
})
