import AxeBuilder from '@axe-core/playwright'
import { expect } from '@playwright/test'
import { test, view } from './fixture'
import { doStep } from './mechanic'

const sizes = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } }

for (const scheme of ['light', 'dark'] as const) {
  for (const [name, viewport] of Object.entries(sizes)) {
    test(`no violation on any view, ${scheme}, ${name}`, async ({ page, stage }) => {
      test.setTimeout(180_000)
      await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' })
      await page.setViewportSize(viewport)
      const jobId = await stage.openJob()
      await view(page, stage, jobId, 'work')
      for (let step = 0; step < 3; step++) await doStep(page)
      const check = async (what: string) => {
        const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']).analyze()
        expect(violations.map(violation => `${what}: ${violation.id}: ${violation.nodes[0]!.html}`)).toEqual([])
      }
      for (const path of ['work', 'plan', 'car', 'bolts', 'bolts?step=cover-tighten', 'pedal', 'prove', 'handover']) {
        await view(page, stage, jobId, path)
        await check(path)
        const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
        expect(wide, `${path} scrolls sideways`).toBeLessThanOrEqual(0)
      }
      await view(page, stage, jobId, 'plan')
      await page.getByTestId('row-pull-box').click()
      await check('plan, a step asked')
      await page.keyboard.press('Escape')
      for (const tab of ['How', 'When', 'Tools', 'Parts']) {
        await page.getByRole('tab', { name: tab }).click()
        await check(`plan, ${tab}`)
      }
      for (const path of ['', 'jobs/new', 'library', 'library/packs/rwd-longitudinal']) {
        await page.goto(`${stage.app.base}/${path}`)
        await page.locator('#sheet h1').first().waitFor()
        await check(path)
        expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), `${path} scrolls sideways`).toBeLessThanOrEqual(0)
      }
      await page.locator('.cm-content').waitFor()
      await check('pack editor')
      await view(page, stage, jobId, 'work')
      await page.keyboard.press('x')
      await page.getByLabel('What will not go').waitFor()
      await check('trouble dialog')
    })
  }
}
