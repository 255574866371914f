import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'
import { reduceJob } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import { startApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { garageId, personId } from '../support/requests'
import { settled, test, view } from './fixture'
import { workToTheEnd } from './mechanic'

/** When the story begins; page and server keep the same time from then on. */
const BEGINS = '2026-03-02T08:00:00Z'

/** Reads the odometer some days later. */
async function drive(page: Page, letPass: (days: number) => Promise<void>, days: number, miles: number) {
  await letPass(days)
  await page.getByLabel('Odometer now').fill(String(miles))
  await page.getByLabel('Stop-and-go since').fill('80')
  await page.getByRole('button', { name: 'Read', exact: true }).click()
}

test('from the complaint to a paid job, 500 miles broken in, exported and taken in elsewhere as the same job', async ({
  page,
  emptyStage: stage,
}) => {
  let aheadMs = Date.parse(BEGINS) - Date.now()
  await page.clock.install({ time: new Date(BEGINS) })
  await stage.app.setClock({ aheadMs })
  const letPass = async (days: number) => {
    aheadMs += days * 86_400_000
    await stage.app.setClock({ aheadMs })
    await page.clock.fastForward(days * 86_400_000)
  }
  const { base } = stage.app
  await test.step('complaint in, causes out', async () => {
    await page.goto(`${base}/jobs/new`)
    await page.getByRole('button', { name: 'Car', exact: true }).click()
    await page.getByRole('option', { name: 'Red Hallux Quenby' }).click()
    await page.getByLabel('Odometer').fill('900')
    await expect(page.getByTestId('causes').getByRole('listitem').first()).toContainText('Worn disc')
    await page.getByRole('button', { name: 'Judders' }).click()
    await expect(page.getByTestId('causes').getByRole('listitem').first()).toContainText('Flywheel warped')
    await expect(page.getByTestId('box-out')).toContainText(/\d+ in 100 of what it may be want it out/)
    await page.getByRole('button', { name: /^All \d+ tests/ }).click()
    await page
      .getByRole('group', { name: 'Smell after pulling away' })
      .getByRole('button', { name: /^burnt/ })
      .click()
    await expect(page.getByText('Smell after pulling away: burnt')).toBeVisible()
    await page.getByRole('group', { name: 'Below the bell' }).getByRole('button', { name: /^oil/ }).click()
    await expect(page.getByTestId('causes').getByRole('listitem').first()).toContainText('Oil on the disc')
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await page.waitForURL('**/plan')
    await settled(page)
  })
  const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!
  expect((await stage.state(jobId)).findings).toEqual({ pedal: { smell: 'burnt', drip: 'oil' } })

  await test.step('what is missing opens the very step', async () => {
    await page.goto(`${base}/jobs/${jobId}/prove`)
    await page.getByTestId('check-leaks').getByRole('link').click()
    await expect(page.getByTestId('step-title')).toContainText('Look underneath for oil or fluid')
  })

  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.parse('2026-03-02T08:30:00Z')).workUntil(
    'after-road',
  )
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  const worked = jobId
  await test.step('what it was, the road test, the last checks', async () => {
    await view(page, stage, worked, 'prove/cause')
    await page.getByLabel('It was', { exact: true }).selectOption('Oil on the disc')
    await page.getByLabel('In words').fill('Crank seal, wet all round')
    await page.getByRole('button', { name: 'Keep it as found' }).click()
    await expect(page.getByTestId('cause-found')).toContainText('Crank seal, wet all round')
    await page.getByRole('link', { name: 'Road test' }).click()
    await expect(page.getByRole('heading', { name: 'Road test' })).toBeVisible()
    await page.getByTestId('road-hill').getByRole('button', { name: 'Right', exact: true }).click()
    await page.getByTestId('road-steady').getByRole('button', { name: 'Not right' }).click()
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByText('Say what was heard or felt.')).toBeVisible()
    await page.getByLabel('What was heard or felt').fill('A hum at 60')
    await page.getByLabel('At, km/h').first().fill('96')
    await page.getByLabel('Gear', { exact: true }).selectOption('4')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByTestId('road-steady')).toContainText('A hum at 60')
    await expect(page.getByTestId('noise')).toContainText('Wheel, first')
    await settled(page)
    await view(page, stage, worked, 'work')
    await workToTheEnd(page)
    await page.getByRole('link', { name: 'To the hand-over' }).click()
    await page.getByTestId('check-lamps').getByRole('button', { name: 'one stays' }).click()
    await expect(page.getByRole('button', { name: 'Hand the car over' })).toBeDisabled()
    for (const check of ['lamps', 'resets'])
      await page.getByTestId(`check-${check}`).getByRole('button').first().click()
    await expect(page.getByRole('button', { name: 'Hand the car over' })).toBeDisabled()
    const closed = page.locator('details:not([open]) > summary')
    while ((await closed.count()) > 0) await closed.first().click()
    await page.getByRole('button', { name: 'I answer for it' }).click()
    await page.getByLabel('Why it stays so').fill('The hum is the rear tires')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'Ready to be handed over' })).toBeVisible()
  })

  await test.step('rates, papers, hand-over', async () => {
    await settled(page)
    await page.goto(`${base}/library/garage`)
    await page.getByLabel('Tax, in 100').fill('20')
    await page.getByLabel('Coming out').fill('35')
    await page.getByRole('button', { name: 'Keep this rate' }).click()
    await expect(page.getByText('Kept.')).toBeVisible()
    await view(page, stage, worked, 'prove/break-in')
    await page.getByLabel('Gentle use for').fill('500')
    await page.getByRole('radio', { name: 'miles' }).click()
    await page.getByLabel('Which sheet').fill('Fitting sheet of the kit')
    await page.getByLabel('Odometer at hand-over').fill('1000')
    await page.getByRole('button', { name: 'Set the break-in' }).click()
    await page.getByRole('link', { name: 'Closing checks' }).click()
    await page.getByRole('button', { name: 'Hand the car over' }).click()
    await settled(page)
    await page.getByRole('link', { name: 'Papers', exact: true }).click()
    await page.getByRole('button', { name: /^Issue it.*Invoice/ }).click()
    await page.getByRole('button', { name: 'Not yet' }).click()
    expect((await stage.state(worked)).issuedPapers).toEqual([])
    await page.getByRole('button', { name: /^Issue it.*Invoice/ }).click()
    await page.getByRole('button', { name: 'Issue it now' }).click()
    await expect(page.getByRole('link', { name: 'Invoice 1 as PDF' })).toBeVisible()
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Invoice' })
      .getByRole('link', { name: 'Look at it' })
      .first()
      .click()
    await expect(page.getByRole('row', { name: /^Tax, 20 in 100/ })).toBeVisible()
    await expect(page.getByRole('row', { name: /^Call-out \$35.00/ })).toBeVisible()
    await expect(page.getByText('Red Hallux Quenby').first()).toBeVisible()
  })

  await test.step('paid', async () => {
    await view(page, stage, worked, 'prove/money')
    await expect(page.getByTestId('to-pay')).toContainText('still to pay')
    await page.getByLabel('Came in').fill('100')
    await page.getByRole('button', { name: 'Write the payment down' }).click()
    await expect(page.getByText('How was it paid?')).toBeVisible()
    await page.getByLabel('How', { exact: true }).fill('cash')
    await page.getByRole('button', { name: 'Write the payment down' }).click()
    await page.getByLabel('How', { exact: true }).fill('card')
    await page.getByRole('button', { name: 'Write the payment down' }).click()
    await expect(page.getByTestId('to-pay')).toHaveText('All is paid.')
    await settled(page)
  })

  await test.step('500 miles, seen by the customer without an account', async () => {
    await view(page, stage, worked, 'prove/break-in')
    await drive(page, letPass, 5, 1300)
    await expect(page.getByTestId('forecast')).toContainText(/By its pace of \d+ km a day it is over about/)
    await expect(page.getByTestId('break-in-chart')).toBeVisible()
    await page.getByRole('button', { name: 'Make a link' }).click()
    const link = await page.getByTestId('share-link').getAttribute('href')
    const customer = await page.context().newPage()
    await customer.goto(link!)
    await expect(customer.getByTestId('stands')).toContainText('Handed over on')
    await expect(customer.getByText('to go of 500 mi')).toBeVisible()
    await drive(page, letPass, 6, 1820)
    await expect(page.getByTestId('forecast')).toContainText('Broken in')
    await settled(page)
    await page.getByRole('button', { name: 'End it' }).click()
    await expect(page.getByRole('button', { name: 'Make a link' })).toBeVisible()
    // What led somewhere is believed for a moment.
    await expect(async () => {
      await customer.reload()
      await expect(customer.getByRole('heading', { name: 'This page is not there' })).toBeVisible({ timeout: 5_000 })
    }).toPass()
  })

  await test.step('exported, and the same job elsewhere', async () => {
    await view(page, stage, worked, 'prove/papers')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'This job as a file' }).click(),
    ])
    const file = await download.path()
    const database = await freshDatabase()
    const elsewhere = await startApp(database.url)
    try {
      await page.goto(`${elsewhere.base}/library/cars`)
      await page.getByLabel('A job file').setInputFiles({
        name: 'broken.json',
        mimeType: 'application/json',
        buffer: Buffer.from(readFileSync(file, 'utf8').replace('"seq":5,', '"seq":6,')),
      })
      await expect(page.getByText(/events\[4\]\.seq/)).toBeVisible()
      await page
        .getByLabel('A job file')
        .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: readFileSync(file) })
      await expect(page.getByText(/Job \d+ is here now/)).toBeVisible()
      await page
        .getByLabel('A job file')
        .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: readFileSync(file) })
      await expect(page.getByText('It was here already, nothing has changed.')).toBeVisible()
      expect(reduceJob(await forGarage(database.db, garageId).jobs.events(worked))).toEqual(await stage.state(worked))
      await page.getByLabel('Look for').fill('crank seal')
      await expect(page.getByTestId('found').getByRole('listitem').first()).toContainText('Red Hallux Quenby')
    } finally {
      await elsewhere.kill()
      await database.drop()
    }
  })
})
