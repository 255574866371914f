import type { Page } from '@playwright/test'
import { expect } from '@playwright/test'
import { forGarage } from '../../server/db/for-garage'
import { shelf } from '../support/packs'
import { garageId, personId } from '../support/requests'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { settled } from './fixture'
import type { Stage } from './fixture'
import { addCar } from './mechanic'

/** Takes a car in on a layout, as somebody who has never seen it would; returns the id of its job. */
export async function takeIn(page: Page, stage: Stage, packId: string, symptom: string): Promise<string> {
  const pack = shelf.packs.get(packId)!
  await page.goto(`${stage.app.base}/jobs/new`)
  await page.getByRole('button', { name: 'Add a car' }).click()
  await addCar(page, {
    'How you call it': `Teal Pellworth ${packId}`,
    Customer: 'Ines Harrowgate-Bloom',
    Make: 'Pellworth',
    Model: 'Ardenne',
    Year: '2012',
  })
  const name = { name: new RegExp(`Teal Pellworth ${packId}`) }
  await expect(page.getByRole('button', { name: 'Car', exact: true })).toContainText('Teal Pellworth')
  const { vehicles } = forGarage(stage.database.db, garageId)
  await expect.poll(async () => (await vehicles.list()).some(vehicle => name.name.test(vehicle.name))).toBe(true)
  const { id } = (await vehicles.list()).find(vehicle => name.name.test(vehicle.name))!
  for (const { id: group, usualNm, safety } of pack.modules.flatMap(module => module.groups))
    if (safety)
      await vehicles.keepFigure(
        id,
        { group, torqueNm: usualNm![0] + 10, sourceKind: 'vehicle-book', reference: 'Book of the car' },
        personId,
      )
  // The pedal is asked about until the layout has none.
  await expect(page.getByText('Pumped 15 to 20 times')).toBeVisible()
  await page
    .getByRole('radiogroup', { name: 'Layout' })
    .getByRole('radio', { name: pack.title.replace(/\{.*?\}/g, ''), exact: false })
    .click()
  await expect(page.getByText('Pumped 15 to 20 times')).toHaveCount(0)
  await page.getByRole('button', { name: symptom }).click()
  await expect(page.getByRole('heading', { name: 'What it may be' })).toBeVisible()
  await page.getByRole('button', { name: 'Make the plan' }).click()
  await page.waitForURL('**/plan')
  await settled(page)
  return /jobs\/([^/]+)/.exec(page.url())![1]!
}

/** How long before now somebody else began. */
const BEGUN_MS = 6 * 3_600_000

/** Has somebody else work on the job up to a step, on a device of their own, and opens Work on it. */
export async function workedByAnother(page: Page, stage: Stage, jobId: string, stepId: string): Promise<void> {
  const mechanic = new DemoMechanic(await stage.events(jobId), personId, Date.now() - BEGUN_MS).workUntil(stepId)
  await appendEvents(stage.database.db, garageId, jobId, mechanic.events)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${stage.app.base}/jobs/${jobId}/work`)
  // The page begins with what this device knew of the job.
  const { title } = (await stage.state(jobId)).procedure!.operations.find(operation => operation.id === stepId)!
  await expect(page.getByTestId('step-title')).toContainText(title.split('{')[0]!)
}
