import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { expect } from '@playwright/test'
import type { Browser, Page } from '@playwright/test'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { newJobRequest } from '../support/requests'
import { settled, test as base } from './fixture'

/** A garage's own server: nobody is let in who is not signed in. */
const test = base.extend<object, { door: { app: RunningApp; database: TestDatabase } }>({
  door: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const database = await freshDatabase()
      const app = await startApp(database.url, undefined, { ELDRIN_DEMO: '' })
      await use({ app, database })
      await app.kill()
      await database.drop()
    },
    { scope: 'worker' },
  ],
})

const PASSWORD = 'a lamp under a van'
/** The link that the command prints. */
async function firstLink({ app, database }: { app: RunningApp; database: TestDatabase }): Promise<string> {
  const { stdout } = await promisify(execFile)(
    'npx',
    ['--no-install', 'tsx', 'server/who/first-owner-cli.ts', '--address', app.base],
    { env: { ...process.env, DATABASE_URL: database.url } },
  )
  return /http\S+/.exec(stdout)![0]
}
async function comeIn(page: Page, link: string, signIn: string, name: string, garage?: string): Promise<void> {
  await page.goto(link)
  if (garage) {
    await page.getByLabel('What the garage is called').fill(garage)
    await page.getByLabel('Town').fill('Nether Sallow')
  }
  await page.getByLabel('Your name, as it signs the work').fill(name)
  await page.getByLabel('A short name to sign in by').fill(signIn)
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await page.getByRole('button', { name: 'Come in' }).click()
  await page.getByRole('heading', { name: 'Yard' }).waitFor()
}
async function signIn(page: Page, name: string): Promise<void> {
  await page.getByLabel('Your name here').fill(name)
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
}
async function invite(page: Page, base: string, name: string, role: string): Promise<string> {
  await page.goto(`${base}/library/garage`)
  await page.getByLabel('Somebody new').fill(name)
  await page.getByLabel('As', { exact: true }).selectOption({ label: role })
  await page.getByRole('button', { name: 'Add' }).click()
  await page.getByRole('button', { name: new RegExp(`^Let in.*${name}`) }).click()
  await page.getByRole('button', { name: 'Make the link' }).click()
  const link = await page.getByLabel('The link', { exact: true }).inputValue()
  await expect(page.getByRole('img', { name: /code for a phone/ })).toBeVisible()
  return link
}
const another = async (browser: Browser) => (await browser.newContext({ serviceWorkers: 'block' })).newPage()

/** A garage with its owner signed in on `page`. */
async function begin(page: Page, door: { app: RunningApp; database: TestDatabase }, owner: string) {
  await comeIn(page, await firstLink(door), owner, 'Runa Velthorpe', 'Sallow Lane Gearboxes')
}
/** A car and its job, taken in over the wire by who is signed in on the page. */
async function jobOn(page: Page, base: string): Promise<string> {
  const { me } = (await (await page.request.get(`${base}/api/garage`)).json()) as { me: { personId: string } }
  const deviceId = await page.evaluate(() => localStorage.getItem('eldrin-device')!)
  const vehicle = {
    id: crypto.randomUUID(),
    name: 'Teal Orbeline Pellibo',
    make: 'Orbeline',
    model: 'Pellibo 1.4',
    year: 2014,
    customer: 'Hesper Quillane',
    gears: ['1', '2', 'R'],
  }
  expect((await page.request.post(`${base}/api/vehicles`, { data: vehicle })).status()).toBe(201)
  const job = newJobRequest({ vehicleId: vehicle.id, personId: me.personId, deviceId })
  const answer = await page.request.post(`${base}/api/jobs`, { data: job })
  expect(answer.status(), await answer.text()).toBe(201)
  return job.id
}

test('the first owner, somebody invited on a second device, a lost phone', async ({ page, browser, door }) => {
  const { app, database } = door
  await page.goto(app.base)
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await begin(page, door, 'runa')
  await expect(page.getByText('Sallow Lane Gearboxes, Nether Sallow')).toBeVisible()

  const link = await invite(page, app.base, 'Isolde Marrick', 'Mechanic')
  const phone = await another(browser)
  await comeIn(phone, link, 'isolde', 'Isolde Marrick')
  await phone.goto(link)
  await expect(phone.getByText('leads nowhere, or not any more')).toBeVisible()
  const jobId = await jobOn(phone, app.base)
  await phone.goto(`${app.base}/jobs/${jobId}/work`)
  await phone.getByRole('heading', { level: 1 }).first().waitFor()

  await page.goto(`${app.base}/library/garage`)
  await page.getByRole('button', { name: /^Lost/ }).click()
  await page.getByRole('button', { name: 'Sign it out and wipe it' }).click()
  await expect(page.getByRole('button', { name: /^Lost/ })).toHaveCount(0)
  await phone.goto(`${app.base}/`)
  await phone.waitForURL(/sign-in\?lost/)
  await expect(phone.getByText('This device was reported lost.')).toBeVisible()
  expect(
    await phone.evaluate(async () => [(await indexedDB.databases()).map(({ name }) => name), localStorage.length]),
  ).toEqual([[], 0])
  const [{ events } = { events: 0 }] = await database.sql<{
    events: number
  }>`select count(*)::int as events from job_event where job_id = ${jobId}`
  expect(events).toBeGreaterThan(1)
})

test('what is done after a session has lapsed is kept, and sent once somebody has signed in', async ({
  page,
  browser,
  door,
}) => {
  const { app, database } = door
  await begin(page, door, 'runa-two')
  const link = await invite(page, app.base, 'Bors Tennick', 'Mechanic')
  const phone = await another(browser)
  await comeIn(phone, link, 'bors', 'Bors Tennick')
  const jobId = await jobOn(phone, app.base)
  await phone.goto(`${app.base}/jobs/${jobId}/work`)
  await phone.getByRole('button', { name: 'Note' }).first().waitFor()
  await database.sql`update device set ended_at = now() where name <> '' and person_id in (select id from person where name = 'Bors Tennick')`
  // Every process has heard of it by then.
  await expect.poll(async () => (await phone.request.get(`${app.base}/api/garage`)).status()).toBe(401)
  await phone.getByRole('button', { name: 'Note' }).first().click()
  await phone.getByRole('dialog').getByRole('textbox').fill('Seal weeps at the lower edge')
  await phone.getByRole('dialog').getByRole('button', { name: 'Keep the note' }).click()
  await expect(phone.getByText('This device is not signed in.')).toBeVisible()
  await phone.getByRole('link', { name: 'Sign in' }).click()
  await signIn(phone, 'bors')
  await phone.waitForURL(url => url.pathname.includes(jobId))
  await settled(phone)
  await expect
    .poll(
      async () =>
        (
          await database.sql<{
            n: number
          }>`select count(*)::int as n from job_event where job_id = ${jobId} and payload->>'text' like 'Seal weeps%'`
        )[0]!.n,
    )
    .toBe(1)
})

test('a garage’s phone passes from hand to hand: by a PIN, and a helper sees no customer and no money', async ({
  page,
  browser,
  door,
}) => {
  const { app } = door
  await begin(page, door, 'runa-three')
  const link = await invite(page, app.base, 'Wim Aldercote', 'Helper')
  const own = await another(browser)
  await comeIn(own, link, 'wim', 'Wim Aldercote')
  await own.goto(`${app.base}/library/garage`)
  await own.getByLabel('A PIN, four digits').fill('2580')
  await own.getByRole('button', { name: 'Keep this PIN' }).click()
  await expect(own.getByText('The PIN is kept.')).toBeVisible()

  const jobId = await jobOn(page, app.base)
  await page.goto(`${app.base}/jobs/${jobId}/prove/money`)
  await expect(page.getByText(/Labou?r/).first()).toBeVisible()
  await page.goto(`${app.base}/jobs/${jobId}/work`)
  const step = await page.getByRole('heading', { level: 1 }).first().innerText()
  await page.getByRole('button', { name: 'Hand on', exact: true }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Hand on' }).click()
  await expect(page.getByTestId('handed')).toContainText('With Wim Aldercote')
  await settled(page)
  await page.goto(`${app.base}/who?to=/jobs/${jobId}/work`)
  await page.getByRole('button', { name: /Wim Aldercote/ }).click()
  for (const digit of '1111') await page.getByRole('button', { name: digit, exact: true }).click()
  await expect(page.getByText('This is not the PIN.')).toBeVisible()
  await page.keyboard.type('2580')
  await page.waitForURL(url => url.pathname.endsWith(`${jobId}/work`))
  await expect(page.getByTestId('handed')).toHaveText('Handed to you.')
  await expect(page.getByRole('heading', { level: 1 }).first()).toHaveText(step)
  for (const gone of ['Trouble', 'Hand on', 'In the way'])
    await expect(page.getByRole('button', { name: gone })).toHaveCount(0)
  const done = page.getByTestId('done')
  if ((await done.innerText()) !== 'Done') await done.click()
  await expect(done).toHaveText('Done')
  await done.click()
  await expect(page.getByText('Nothing is handed to you yet.')).toBeVisible()
  await expect(done).toBeDisabled()
  await settled(page)
  await page.goto(`${app.base}/jobs/${jobId}/plan`)
  await expect(page.getByTestId('reads-only')).toBeVisible()
  const pressed = page.locator('main').getByRole('button')
  await expect(pressed.first()).toBeDisabled()
  for (const button of await pressed.all()) await expect(button).toBeDisabled()
  await page.goto(`${app.base}/jobs/${jobId}/prove/money`)
  await expect(page.getByRole('heading', { name: 'Not for a helper' })).toBeVisible()
  await page.getByRole('link', { name: 'To the Yard' }).click()
  await expect(page.getByText('Teal Orbeline Pellibo')).toBeVisible()
  await expect(page.getByText('Hesper Quillane')).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Take a car in' })).toHaveCount(0)
})

test('a passkey in place of the password', async ({ page, browser, door }) => {
  const { app } = door
  await begin(page, door, 'runa-four')
  // A passkey belongs to a name, not to a number.
  const base = app.base.replace('127.0.0.1', 'localhost')
  const own = await another(browser)
  const line = await own.context().newCDPSession(own)
  await line.send('WebAuthn.enable')
  await line.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
  await own.goto(`${base}/sign-in`)
  await signIn(own, 'runa-four')
  await own.getByRole('heading', { name: 'Yard' }).waitFor()
  await own.goto(`${base}/library/garage`)
  await own.getByLabel('Your password, once more').fill('not the password')
  await own.getByRole('button', { name: 'Make a passkey' }).click()
  await expect(own.getByText('This is not the password.')).toBeVisible()
  await own.getByLabel('Your password, once more').fill(PASSWORD)
  await own.getByRole('button', { name: 'Make a passkey' }).click()
  await expect(own.getByText('The passkey is kept.')).toBeVisible()
  await own.getByRole('button', { name: 'Sign out' }).click()
  await own.waitForURL(url => url.pathname === '/sign-in')
  await own.getByRole('button', { name: 'Sign in with a passkey' }).click()
  await own.getByRole('heading', { name: 'Yard' }).waitFor()
  await own.goto(`${base}/library/garage`)
  await own.getByRole('button', { name: /^Take away/ }).click()
  await expect(own.getByRole('button', { name: /^Take away/ })).toHaveCount(0)
  await own.getByRole('button', { name: 'Sign out' }).click()
  await own.waitForURL(url => url.pathname === '/sign-in')
  await own.getByRole('button', { name: 'Sign in with a passkey' }).click()
  await expect(own.getByText('This passkey is not known here.')).toBeVisible()
})

test('without signal a phone passes to somebody who sees the same, and the server hears of it before their acts', async ({
  page,
  door,
}) => {
  const { app, database } = door
  await begin(page, door, 'runa-five')
  await page.goto(`${app.base}/library/garage`)
  await page.getByLabel('Somebody new').fill('Perrin Oake')
  await page.getByLabel('As', { exact: true }).selectOption({ label: 'Mechanic' })
  await page.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByText('Perrin Oake').first()).toBeVisible()
  const jobId = await jobOn(page, app.base)
  await page.goto(`${app.base}/jobs/${jobId}/work`)
  await page.getByRole('button', { name: 'Note' }).first().waitFor()
  await page.route('**/api/**', route => route.abort())
  await page.goto(`${app.base}/who?to=/jobs/${jobId}/work`)
  await page.getByRole('button', { name: /Perrin Oake/ }).click()
  await page.waitForURL(url => url.pathname.endsWith(`${jobId}/work`))
  await page.getByRole('button', { name: 'Note' }).first().click()
  await page.getByRole('dialog').getByRole('textbox').fill('Dowel sits tight')
  await page.getByRole('dialog').getByRole('button', { name: 'Keep the note' }).click()
  await expect(page.getByText('Dowel sits tight')).toBeVisible()
  await page.unroute('**/api/**')
  await page.reload()
  await settled(page)
  const whose = async () =>
    (
      await database.sql<{
        name: string
      }>`select person.name from job_event join person on person.id = job_event.person_id and person.garage_id = job_event.garage_id where job_event.job_id = ${jobId} and payload->>'text' = 'Dowel sits tight'`
    ).map(({ name }) => name)
  await expect.poll(whose).toEqual(['Perrin Oake'])
})
