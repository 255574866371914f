import type { Locator, Page } from '@playwright/test'
import { expect } from '@playwright/test'
import { shelf } from '../support/packs'

/** What the mechanic of the tests reads off the gauges, by reading id. */
const gauges: Record<string, string> = {
  'free-play': '8',
  'slave-travel': '14.5',
  'oil-out': '1650',
  'oil-in': '1900',
  'disc-thickness': '5.6',
  'rivet-depth': '0.2',
  'fluid-out': '6100',
  'converter-took': '1900',
  'fluid-first': '5200',
  'bulkhead-gap': '45',
  supply: '12.6',
  'travel-now': '13.5',
  'travel-taught': '11',
  'travel-open': '30.5',
  store: '44',
  'taught-closed': '11.2',
  'axle-out': '1100',
  'axle-in': '1150',
  'free-play-was': '31',
  'rear-out': '31000',
  'rear-in': '31500',
  'pilot-depth': '2',
  'pilot-depth-new': '2',
}

/** The first answer that is good, by the name of what is asked; layouts may ask the same with other answers. */
const goodAnswers = new Map<string, string[]>()
for (const pack of shelf.packs.values())
  for (const { operations } of pack.modules)
    for (const spec of operations.flatMap(operation => operation.readings)) {
      if (spec.kind !== 'choice') continue
      const good = spec.choices.find(choice => !(choice in (spec.bad ?? {})))!
      goodAnswers.set(spec.name, [...(goodAnswers.get(spec.name) ?? []), good])
    }

const PISTONS = ['odd gears, first rod', 'odd gears, second rod', 'even gears, first rod', 'even gears and reverse']
/** A measure at several places, by the label of each. */
function byPlace(field: string, places: string[], values: string[]): Record<string, string> {
  return Object.fromEntries(places.map((place, index) => [`${field}, place ${place}`, values[index]!]))
}

/** What makes a sheet that has to come out well say yes, by the label of the field. */
export const goodSheets: Record<string, Record<string, string>> = {
  'converter-seat': {
    'Face of the bell to the pads, place first pad': '22.2',
    'Face of the engine to the flexplate, place first pad': '19',
  },
  level: { 'Temperature of the fluid now': '40' },
  'level-hot': { 'Temperature of the fluid now': '42' },
  pistons: {
    ...byPlace('Where the sensor sits', PISTONS, ['40', '40', '220', '220']),
    ...byPlace('Where the magnet stands, as found', PISTONS, ['40', '17', '221', '219']),
    ...byPlace('Where the magnet stands, clipped', PISTONS, ['40', '41', '220', '219']),
  },
  'equalising-ring': {
    'Teeth of the ring': '30',
    'Teeth in the tube': '30',
    'It stands clockwise of a gap by': '12',
  },
  adjusters: {
    ...byPlace('Gap at each adjuster, before', ['first', 'second', 'third'], ['1.1', '1.42', '1.65']),
    ...byPlace('Gap at each adjuster, locked', ['first', 'second', 'third'], ['1.4', '1.42', '1.38']),
  },
  'two-stages': {
    'Free play': '28',
    'The drive is free at': '86',
    'The power take-off is free at': '141',
    'Its lower stop': '156',
  },
  'body-face': Object.fromEntries(
    [1, 2, 3, 4, 5, 6].map(place => [`Under the straight edge, place by place, place ${place}`, '0.02']),
  ),
}

/** Counts what a hand does on the pages that follow: taps on the glass, and fields that were typed into. */
export async function countHand(page: Page): Promise<() => Promise<{ taps: number; typed: number }>> {
  let taps = 0
  let typed = 0
  await page.exposeFunction('countTap', () => {
    taps++
  })
  await page.exposeFunction('countTyped', () => {
    typed++
  })
  await page.addInitScript(() => {
    const hand = window as unknown as { countTap: () => void; countTyped: () => void }
    addEventListener('pointerup', () => hand.countTap(), { capture: true })
    addEventListener('keydown', event => event.isTrusted && hand.countTap(), { capture: true })
    addEventListener(
      'change',
      ({ target }) =>
        (target as Element).matches('textarea, input:not([type=radio], [type=checkbox])') && hand.countTyped(),
      { capture: true },
    )
  })
  return async () => ({ taps, typed })
}

/** Takes every number of the step in the open dialog. */
async function takeReadings(page: Page): Promise<void> {
  const dialog = page.getByRole('dialog')
  await dialog.locator('input').first().waitFor()
  for (const input of await dialog.locator('input').all()) {
    const id = (await input.getAttribute('id'))!.replace('reading-', '')
    if (!gauges[id]) throw new Error(`no gauge shows ${id}`)
    await input.fill(gauges[id])
  }
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await dialog.waitFor({ state: 'detached' })
}

/** Answers what the step asks, the good way: one question after the other, each once the device has kept the one before. */
async function answer(page: Page): Promise<void> {
  const wanted = page.locator('article').getByRole('radiogroup', { name: /wanted$/ })
  for (let left = await wanted.count(); left > 0; left--) {
    const group = wanted.first()
    const name = (await group.getByText('wanted').locator('xpath=..').innerText()).replace(/\s*wanted$/, '')
    const good = goodAnswers.get(name) ?? ['']
    const shown = await group.getByRole('radio').allInnerTexts()
    const said = good.find(each => shown.some(text => text.includes(each))) ?? ''
    await group.getByRole('radio', { name: said, exact: false }).first().click()
    await expect(wanted).toHaveCount(left - 1)
  }
}

/** Names a figure with its source in the open form. */
export async function nameFigure(
  page: Page,
  torque: string,
  source = 'Kit sheet',
  reference = 'Fitting sheet of the kit',
): Promise<void> {
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Torque').fill(torque)
  const same = dialog.getByRole('button', { name: `From the same: ${reference}` })
  if (await same.isVisible()) await same.click()
  else {
    await dialog.getByRole('radio', { name: source, exact: true }).click()
    await dialog.getByLabel('Which book, sheet or person').fill(reference)
  }
  await dialog.getByRole('button', { name: 'Name this figure' }).click()
  await dialog.waitFor({ state: 'detached' })
}

/** Names what somebody drives on and the car's book has not told yet. */
async function nameSafetyFigures(page: Page): Promise<void> {
  const wanted = page.locator('article').getByText('Somebody drives on them')
  while ((await wanted.count()) > 0) {
    const before = await wanted.count()
    const large = /hub nuts?/.test(await wanted.first().innerText())
    await wanted.first().locator('xpath=..').getByRole('button', { name: 'Name it with its source' }).click()
    await nameFigure(page, large ? '205' : '90', 'Vehicle book', 'Book of the car')
    await expect(wanted).toHaveCount(before - 1)
  }
}

/** Adds a car in the dialog that is open for it. */
export async function addCar(
  page: Page,
  car: Record<'How you call it' | 'Customer' | 'Make' | 'Model' | 'Year', string>,
) {
  for (const [label, value] of Object.entries(car)) await page.getByRole('dialog').getByLabel(label).fill(value)
  await page.getByRole('button', { name: 'Add it' }).click()
}

/** Turns what is left of a run, pass after pass. */
export async function turnPasses(page: Page): Promise<void> {
  const pass = page.getByTestId('turn-pass')
  await page.getByTestId('turn').waitFor()
  while (await pass.isVisible()) {
    const turned = page.getByText(/turns of the wrench/)
    const before = await turned.innerText()
    await pass.click()
    await expect(turned).not.toHaveText(before)
  }
}

async function tighten(page: Page): Promise<void> {
  const unnamed = page.getByRole('button', { name: 'No figure, no run' })
  await page.getByRole('button', { name: 'Start the run' }).or(unnamed).waitFor()
  if (await unnamed.isVisible()) {
    await page.getByRole('button', { name: 'Name it with its source' }).click()
    const run = await page.locator('#sheet h1').innerText()
    await nameFigure(page, /flywheel/.test(run) ? '64' : /body/.test(run) ? '9' : '21')
  }
  await page.getByRole('button', { name: 'Start the run' }).click()
  await turnPasses(page)
  await expect(page.getByTestId('turn')).toHaveText('Step done')
  await page.getByTestId('turn').click()
}

async function bleed(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the bleeding' }).click()
  await page.getByTestId('stroke').click()
  await page.getByRole('button', { name: 'The other 24 pumped' }).click()
  await expect(page.getByTestId('strokes')).toHaveText('25')
  await page.getByRole('button', { name: 'Better' }).click()
  await page.getByTestId('stroke').click()
  await page.getByRole('button', { name: 'Firm' }).click()
  await page.getByRole('button', { name: 'Step done' }).click()
}

/** Fills the sheet on the screen so that it says yes, and goes back to Work. */
async function sayYes(page: Page): Promise<void> {
  await page.waitForURL(/\/(bench|control)\/[a-z-]+$/)
  const sheet = /([a-z-]+)$/.exec(page.url())![1]!
  for (const [label, value] of Object.entries(goodSheets[sheet]!)) {
    const field = page.getByLabel(label).and(page.locator('input')).first()
    await field.fill(value)
    await field.press('Tab')
  }
  await expect(page.getByText('Good.').first()).toBeVisible()
  await page.getByRole('link', { name: 'Work', exact: true }).click()
  await expect(page.getByTestId('done')).toHaveText('Done')
}

/** Has every plug and piece stand as the step wants it, one by one where they are tugged at, and goes back to Work. */
export async function standAll(page: Page): Promise<void> {
  const asked = page.getByTestId('piece-asked')
  await asked.waitFor()
  const said = await asked.innerText()
  if (/plugs are on/.test(said)) await page.getByRole('button', { name: 'Every plug off' }).click()
  else if (/tugged/.test(said)) await throughAll(page, 'tugged at', page.locator('[data-place]:has(rect)'))
  else await throughAll(page, 'All looked at', page.locator('[data-place]:not(:has(rect))'))
  await expect(asked).toHaveText('The board says yes to it.')
  await page.getByRole('link', { name: 'Work', exact: true }).click()
  await expect(page.getByTestId('done')).toHaveText('Done')
}

/** Asks every place of the piece board in turn and says the same of each. */
async function throughAll(page: Page, say: string, places: Locator): Promise<void> {
  for (const place of await places.all()) {
    await place.click()
    await page.getByRole('button', { name: say, exact: true }).click()
    await expect(place).toHaveAttribute('aria-label', /tugged at|looked at/)
    await page.keyboard.press('Escape')
  }
}

/** Does the step on the screen and no other. Returns its title. */
export async function doStep(page: Page): Promise<string> {
  return (await act(page, false))[0]!
}

/** Does the step on the screen, whatever it asks for, and those after it that ask for nothing. Returns their titles. */
export async function doSteps(page: Page): Promise<string[]> {
  return act(page, true)
}

async function act(page: Page, withQuiet: boolean): Promise<string[]> {
  const title = page.getByTestId('step-title')
  const done = page.getByTestId('done')
  const before = await title.innerText()
  if ((await done.innerText()) === 'Read and understood') {
    await done.click()
    await expect(done).not.toHaveText('Read and understood')
  }
  for (const button of await page.getByRole('button', { name: /^New ones are going in/ }).all()) await button.click()
  await answer(page)
  await nameSafetyFigures(page)
  if ((await page.getByRole('button', { name: 'Wanted' }).count()) > 0) {
    await page.getByRole('button', { name: 'Wanted' }).first().click()
    await takeReadings(page)
  }
  for (const all of ['Every gear goes in clean', /^Every position: /, 'Nothing is stored', 'It ran through']) {
    const button = page.locator('#sheet').getByRole('button', { name: all })
    if (await button.isVisible()) await button.click()
  }
  if ((await done.innerText()) === 'Answer first') {
    await page.locator('article').getByRole('radiogroup').first().waitFor()
    await answer(page)
  }
  // What was told shows once the device keeps it.
  await expect(done).not.toHaveText(/first$|^Take the reading$/)
  const label = await done.innerText()
  const quiet = page.getByTestId('done-with-quiet')
  const more =
    withQuiet && (await quiet.isVisible()) ? await quiet.locator('xpath=..').getByRole('listitem').allInnerTexts() : []
  await (more.length > 0 ? quiet : done).click()
  if (label === 'To the tightening run') await tighten(page)
  else if (label === 'To the bleeding') await bleed(page)
  else if (label === 'To the sheet') {
    await sayYes(page)
    await page.getByTestId('done').click()
  } else if (label === 'To the piece board') {
    await standAll(page)
    await page.getByTestId('done').click()
  } else expect(label, before).toBe('Done')
  await expect(page.getByTestId('step-title').filter({ hasText: before })).toHaveCount(0)
  return [before, ...more]
}

/** Works the job off from the step on the screen to the end of the plan. Returns the titles in the order they were done. */
export async function workToTheEnd(page: Page): Promise<string[]> {
  const titles: string[] = []
  const end = page.getByRole('heading', { name: 'Every step of the plan is done' })
  while (!(await end.isVisible())) {
    titles.push(...(await doSteps(page)))
    await expect(end.or(page.getByTestId('step-title'))).toBeVisible()
  }
  return titles
}
