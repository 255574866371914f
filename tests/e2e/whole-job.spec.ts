import { expect } from '@playwright/test'
import { fasteners, packs } from '../../core'
import { forGarage } from '../../server/db/for-garage'
import { shelf } from '../support/packs'
import { garageId, personId } from '../support/requests'
import { settled, test } from './fixture'
import { addCar, countHand, workToTheEnd } from './mechanic'

test('a job from take-in to hand-over, read back from PostgreSQL', async ({ page, emptyStage: stage }) => {
  const hand = await countHand(page)
  await page.setViewportSize({ width: 390, height: 844 })
  const posted = new Map<string, { type: string; payload: unknown }>()
  page.on('request', request => {
    if (request.method() !== 'POST' || !request.url().endsWith('/events')) return
    for (const event of (request.postDataJSON() as { events: { id: string; type: string; payload: unknown }[] }).events)
      posted.set(event.id, event)
  })

  const procedure = packs.expandPack(shelf.packs.get('fwd-transverse')!, { slave: 'opened', flywheel: 'new' })

  await test.step('add a car, and what its book says', async () => {
    await page.goto(stage.app.base)
    await expect(page.getByText('No car is waiting.')).toBeVisible()
    await page.getByRole('link', { name: 'Take a car in' }).first().click()
    await page.getByRole('button', { name: 'Add a car' }).click()
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText('This cannot be empty.').first()).toBeVisible()
    await addCar(page, {
      'How you call it': 'Yellow Tavisk Wrenick',
      Customer: 'Ines Harrowgate-Bloom',
      Make: 'Tavisk',
      Model: 'Wrenick 1.3',
      Year: '2013',
    })
    await expect(page.getByRole('button', { name: 'Car', exact: true })).toContainText('Yellow Tavisk Wrenick')
    const { vehicles } = forGarage(stage.database.db, garageId)
    const { id } = (await vehicles.list()).find(vehicle => vehicle.name === 'Yellow Tavisk Wrenick')!
    for (const { id: group, usualNm } of procedure.groups.filter(group => group.safety)) {
      await vehicles.keepFigure(
        id,
        { group, torqueNm: usualNm![0] + 10, sourceKind: 'vehicle-book', reference: 'Book of the car' },
        personId,
      )
    }
  })

  const before = await hand()
  await test.step('take the car in that the garage knows', async () => {
    await page.goto(stage.app.base)
    await page.getByRole('link', { name: 'Take a car in' }).first().click()
    await page.getByRole('button', { name: 'Car', exact: true }).click()
    await page.getByRole('option', { name: /Yellow Tavisk Wrenick/ }).click()
    await page.getByLabel('Odometer').fill('120500')
    await page.getByRole('button', { name: 'Slips' }).click()
    await page.getByRole('radio', { name: 'stays as it is' }).click()
    await page.getByLabel('Strokes').fill('18')
    await expect(page.getByText('the hydraulics hold')).toBeVisible()
    await page.getByRole('radio', { name: 'Front drive, transmission beside the engine' }).click()
    await page.getByRole('radio', { name: 'taken off with its line opened' }).click()
    await page
      .getByRole('radiogroup', { name: 'The flywheel is …' })
      .getByRole('radio', { name: /^renewed/ })
      .click()
    await expect(page.getByText(`${procedure.operations.length} pieces of work`)).toBeAttached()
    await page.getByRole('button', { name: 'Make the plan' }).click()
    await page.waitForURL('**/plan')
    await settled(page)
  })

  const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!
  const opened = await stage.state(jobId)

  await test.step('ask the plan why, at the desk', async () => {
    await page.setViewportSize({ width: 1280, height: 800 })
    await expect(page.getByRole('heading', { name: 'About this plan' })).toBeVisible()
    await page.getByRole('button', { name: /Take the lower torque strut off/ }).click()
    await expect(page.getByTestId('why')).toContainText('closes the room round the lowest bell bolts')
    await expect(page.getByTestId('why')).toContainText('It is held before')
  })

  const titles = await test.step('work it off, beside the car', async () => {
    await page.getByRole('link', { name: 'Work', exact: true }).click()
    await page.getByTestId('step-title').waitFor()
    await page.setViewportSize({ width: 390, height: 844 })
    return workToTheEnd(page)
  })

  await test.step('hand it over and break it in', async () => {
    await page.getByRole('link', { name: 'To the hand-over' }).click()
    await expect(page.getByTestId('check-ledger')).toContainText('done')
    for (const check of ['lamps', 'resets'])
      await page.getByTestId(`check-${check}`).getByRole('button').first().click()
    await expect(page.getByRole('heading', { name: 'Ready to be handed over' })).toBeVisible()
    await page.getByRole('link', { name: 'Break-in', exact: true }).click()
    await page.getByLabel('Gentle use for').fill('400')
    await page.getByLabel('Which sheet').fill('Fitting sheet of the kit')
    await page.getByLabel('Odometer at hand-over').fill('120512')
    await page.getByRole('button', { name: 'Set the break-in' }).click()
    await expect(page.getByText('Kilometres or miles?')).toBeVisible()
    await page.getByRole('radio', { name: 'miles' }).click()
    await page.getByRole('button', { name: 'Set the break-in' }).click()
    await expect(page.getByText('644 km')).toBeVisible()
    await page.getByRole('link', { name: 'Closing checks' }).click()
    await page.getByRole('button', { name: 'Go on to the hand-over' }).click()
    await page.getByRole('button', { name: 'Hand the car over' }).click()
    await expect(page.getByRole('heading', { name: 'Handed over to Ines Harrowgate-Bloom' })).toBeVisible()
    const after = await hand()
    const taps = after.taps - before.taps
    const typed = after.typed - before.typed
    console.info(`a whole front-drive job: ${taps} taps, ${typed} typed fields`)
    expect(taps).toBeLessThan(170)
    expect(typed).toBeLessThanOrEqual(12)
    await page.getByRole('link', { name: 'Break-in', exact: true }).click()
    await page.getByLabel('Odometer now').fill('120612')
    await page.getByRole('button', { name: 'Read' }).click()
    await expect(page.getByText('544 km')).toBeVisible()
    await settled(page)
    await page.getByRole('link', { name: 'Closing checks' }).click()
    await page.getByRole('button', { name: 'Hand-over', exact: true }).click()
    await page.getByRole('link', { name: 'Hand-over page' }).click()
    await expect(page.getByText('Nothing. All that was taken off is back on.')).toBeVisible()
    await expect(page.getByRole('row', { name: /Pressure plate bolts/ })).toContainText('21 N·m')
    await expect(page.getByRole('row', { name: /Lug bolts/ })).toContainText('at their figure')
    await expect(page.getByRole('row', { name: /Pressure plate bolts/ })).toContainText(
      'Kit sheet: Fitting sheet of the kit',
    )
  })

  await test.step('read it back', async () => {
    const log = await stage.events(jobId)
    const state = await stage.state(jobId)
    const fromHere = log.filter(
      event => event.type !== 'job-opened' && event.type !== 'plan-made' && posted.has(event.id),
    )
    expect(
      log
        .filter(event => !posted.has(event.id))
        .map(event => event.type)
        .filter(type => type !== 'figure-named'),
    ).toEqual(['job-opened', 'plan-made'])
    expect(new Map(fromHere.map(event => [event.id, { type: event.type, payload: event.payload }]))).toEqual(
      new Map([...posted].map(([id, { type, payload }]) => [id, { type, payload }])),
    )
    expect(log.map(event => event.seq)).toEqual(log.map((_, index) => index + 1))
    expect(opened.procedure).toEqual(JSON.parse(JSON.stringify(procedure)))
    const done = log.flatMap(event => (event.type === 'step-done' ? [event.payload.stepId] : []))
    expect(done).toEqual(state.plan!.order)
    expect(titles).toHaveLength(done.length)
    expect(state.ledger).toEqual({})
    expect(state.vehicle!.name).toBe('Yellow Tavisk Wrenick')
    expect(state.readings.find(reading => reading.readingId === 'disc-thickness')).toMatchObject({
      value: 5.6,
      unit: 'mm',
    })
    const cover = state.runs.find(run => run.group === 'cover-bolts')!
    expect(cover.passes[0]!.order).toEqual(fasteners.crossPattern(6))
    expect(log.filter(event => event.type === 'pass-turned' && event.payload.runId === cover.runId)).toHaveLength(
      cover.passes.length,
    )
    expect(cover.turned).toBe(fasteners.runLength(cover))
    expect(state.bleeding['bleed-clutch']!.rounds).toMatchObject([
      { strokes: 25, feel: 'better' },
      { strokes: 1, feel: 'firm' },
    ])
    expect(
      Object.values(state.gears)
        .flatMap(results => Object.values(results))
        .every(result => result === 'clean'),
    ).toBe(true)
    expect(state.breakIn).toMatchObject({ writtenAs: '400 mi', startKm: 120512, lastKm: 120612 })
    expect(state.handedOver!.to).toBe('Ines Harrowgate-Bloom')
  })
})
