import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'
import axe from 'axe-core'
import type { RunOptions } from 'axe-core'
import { test, view } from './fixture'
import { doStep } from './mechanic'

interface Look {
  scheme: 'light' | 'dark'
  viewport: { width: number; height: number }
  /** The rules that are looked at; all of them where none is named. */
  rules?: string[]
}
// Each theme once and each size once: colours do not depend on the size, nor the layout on the theme; names and roles on neither.
const deskByDay: Look = { scheme: 'light', viewport: { width: 1280, height: 800 } }
const phoneAtNight: Look = {
  scheme: 'dark',
  viewport: { width: 390, height: 844 },
  rules: ['color-contrast', 'target-size', 'scrollable-region-focusable', 'link-in-text-block', 'heading-order'],
}
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

const DIALOG = '[role=dialog]'

test.describe.configure({ mode: 'parallel' })

/** Controls lower than a thumb wants, and letters smaller than an eye at arm's length. */
function tooSmall(): string[] {
  const shown = (element: Element) =>
    element.checkVisibility({ visibilityProperty: true }) &&
    !element.closest('.sr-only') &&
    element.getBoundingClientRect().width > 2
  const controls = [
    ...document.querySelectorAll(
      'a, button, summary, select, textarea, input:not([type=checkbox], [type=radio], [type=file], [type=range]), [role=radio], [role=tab]',
    ),
  ].filter(element => shown(element) && !element.closest('svg') && element.getBoundingClientRect().height < 43.5)
  const letters = [...document.querySelectorAll('body *:not(svg *, script, style)')].filter(
    element =>
      [...element.childNodes].some(node => node.nodeType === Node.TEXT_NODE && node.textContent!.trim()) &&
      shown(element) &&
      Number.parseFloat(getComputedStyle(element).fontSize) < 12,
  )
  return [...controls, ...letters].map(element => element.outerHTML.slice(0, 160))
}

/** What the page breaks of the rules, each with the first place. The looker is put into a page once, however often it looks. */
async function violations(page: Page, within?: string, rules?: string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const options: RunOptions = {
    // What is right is not gathered node by node.
    resultTypes: ['violations'],
    preload: false,
    runOnly: rules ? { type: 'rule', values: rules } : { type: 'tag', values: TAGS },
  }
  return page.evaluate(
    async ({ within, options }) => {
      const looker = (window as unknown as { axe: typeof axe }).axe
      const found = await looker.run(within ?? document, options)
      return found.violations.map(({ id, nodes }) => `${id}: ${nodes[0]!.html}`)
    },
    { within, options },
  )
}

/** Looks at the page as it stands, in one size and theme: for violations, for what is too small for a thumb or an eye, for tokens in sentences, and whether it scrolls sideways. */
async function checkIn({ scheme, viewport, rules }: Look, page: Page, what: string, within?: string): Promise<void> {
  await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' })
  await page.setViewportSize(viewport)
  expect(await page.evaluate(tooSmall), `${what}: too small`).toEqual([])
  expect(await violations(page, within, rules), what).toEqual([])
  const tokens = await page.evaluate(() =>
    document.querySelector('.cm-content') ? [] : (document.body.innerText.match(/\{[^}\n]*\}/g) ?? []),
  )
  expect(tokens, `${what}: a sentence that nobody rendered`).toEqual([])
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    `${what} scrolls sideways`,
  ).toBeLessThanOrEqual(0)
}

/** The page as it stands, at both sizes and in both themes, and back to the desk by day. @param within what has opened on a page that was looked at before */
async function check(page: Page, what: string, within?: string): Promise<void> {
  await checkIn(phoneAtNight, page, `${what}, phone, dark`, within)
  await checkIn(deskByDay, page, `${what}, desk, light`, within)
}

test.describe('no violation', () => {
  test.beforeEach(async ({ page }) => {
    test.setTimeout(1_200_000)
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
  })

  test('is not said where there is one', async ({ page }) => {
    await page.setContent('<html lang="en"><title>Field</title><main><h1>Field</h1><input></main></html>')
    expect(await violations(page)).toEqual(['label: <input>'])
  })

  test('on the views of a job', async ({ page, stage }) => {
    const jobId = await stage.openJob()
    await view(page, stage, jobId, 'work')
    for (let step = 0; step < 3; step++) await doStep(page)
    for (const path of [
      'work',
      'plan',
      'car',
      'car/mating',
      'car/ledger',
      'car/refit',
      'car/apart',
      'bolts/bell-bolts',
      'bolts/run/cover-tighten',
      'bolts/bell-bolts/tighten',
      'pedal',
      'pedal/advice',
      'prove',
      'prove/road',
      'prove/cause',
      'prove/break-in',
      'prove/papers',
      'prove/money',
      'papers/estimate',
      'handover',
    ]) {
      await view(page, stage, jobId, path)
      await check(page, path)
    }
  })

  test('on the bench', async ({ page, stage }) => {
    const jobId = await stage.openJob()
    for (const path of [
      'bench',
      'bench/flywheel',
      'bench/capacity',
      'bench/open',
      'bench/flywheel/ways',
      'bench/parts',
      'bench/marks',
      'bench/bolts',
      'pedal/pedal-geometry',
      'pedal/learn',
    ]) {
      await view(page, stage, jobId, path)
      await check(page, path)
    }
  })

  test('on what a box without a pedal has', async ({ page, stage }) => {
    const converter = await stage.openJob({ packId: 'automatic-longitudinal' })
    for (const path of ['control', 'control/level', 'bench/converter-seat', 'work?step=codes-before']) {
      await view(page, stage, converter, path)
      await check(page, path)
    }
    const body = await stage.openJob({ packId: 'automatic-valve-body' })
    await view(page, stage, body, 'bolts/pieces/body')
    await check(page, 'piece board')
    await page.locator('[data-place=first]').click()
    await page.getByRole('button', { name: 'Measure the old one' }).first().click()
    await check(page, 'a pocket asked')
  })

  test('on the yard, at take-in and in the Library', async ({ page, stage }) => {
    for (const path of [
      '',
      'week',
      'jobs/new',
      'library',
      'library/cars',
      'library/learned',
      'library/garage',
      'library/cars/3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0001',
      'library/packs/rwd-longitudinal',
    ]) {
      await page.goto(`${stage.app.base}/${path}`)
      await page.locator('#sheet h1').first().waitFor()
      await check(page, path)
    }
    await page.locator('.cm-content').waitFor()
    await check(page, 'pack editor')
  })

  test('on what opens on plan, bolts and work', async ({ page, stage }) => {
    const jobId = await stage.openJob()
    await view(page, stage, jobId, 'plan')
    await page.getByTestId('row-pull-box').click()
    await check(page, 'plan, a step asked')
    await page.getByRole('button', { name: 'In two goes' }).click()
    await page.getByLabel('First').waitFor()
    await check(page, 'a step in two goes', DIALOG)
    await page.keyboard.press('Escape')
    await page.getByRole('dialog').waitFor({ state: 'detached' })
    await page.keyboard.press('Escape')
    for (const tab of ['How', 'When', 'Tools', 'Parts']) {
      await page.getByRole('tab', { name: tab }).click()
      await check(page, `plan, ${tab}`, '[role=tabpanel]')
    }
    await view(page, stage, jobId, 'bolts/bell-bolts')
    await page.getByRole('button', { name: /^bolt 1 at/ }).click()
    await check(page, 'a bolt asked')
    for (const [button, field] of [
      ['Size, tool, note', 'Thread'],
      ['Name it with its source', 'Torque'],
    ] as const) {
      await page.getByRole('button', { name: button }).click()
      await page.getByLabel(field, { exact: true }).fill(field === 'Torque' ? '40' : 'M10')
      await check(page, button, DIALOG)
      await page.keyboard.press('Escape')
      await page.getByRole('dialog').waitFor({ state: 'detached' })
    }
    await view(page, stage, jobId, 'car')
    await page
      .getByRole('button', { name: /Step by step/ })
      .first()
      .click()
    await page
      .getByRole('button', { name: /^Engine/ })
      .first()
      .click()
    await check(page, 'car, a thing asked')
    await view(page, stage, jobId, 'work')
    await page.keyboard.press('x')
    await page.getByLabel('What will not go').waitFor()
    await check(page, 'trouble dialog', DIALOG)
    await page.getByRole('button', { name: /A bolt will not turn/ }).click()
    await check(page, 'which bolt it is', DIALOG)
    await page.getByLabel('Which one').fill('the long one')
    await page.getByRole('button', { name: 'This one' }).click()
    await page.getByTestId('ladder').waitFor()
    await check(page, 'a ladder', '[data-testid=ladder]')
  })

  test('on what opens on the bench', async ({ page, stage }) => {
    const jobId = await stage.openJob()
    await view(page, stage, jobId, 'bench/open')
    await page.getByTestId('reach-crank-seal').getByRole('button').click()
    await page.getByRole('heading', { name: 'Two schools' }).waitFor()
    await check(page, 'a part in reach asked')
    await view(page, stage, jobId, 'bench/marks')
    await page
      .getByTestId('way-round-disc')
      .getByRole('button', { name: /Note it/ })
      .click()
    await check(page, 'which way round, being noted')
    await view(page, stage, jobId, 'bench/parts')
    await page
      .getByTestId('part-clutch-kit')
      .getByRole('button', { name: /By hand/ })
      .click()
    await check(page, 'an order by hand', DIALOG)
    await page.keyboard.press('Escape')
    await view(page, stage, jobId, 'bench/flywheel')
    for (const [index, height] of ['0.02', '0.04', '0.9', 'x'].entries()) {
      await page.getByLabel('at, degrees').fill(String(index * 45))
      await page.getByLabel('dial shows').fill(height)
      await page.getByRole('button', { name: 'Take it' }).click()
    }
    await page.getByTestId('polar').waitFor()
    await check(page, 'flywheel with readings')
  })
})
