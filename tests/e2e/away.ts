import { expect } from '@playwright/test'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { settled, view } from './fixture'
import type { Stage } from './fixture'

/** No signal: the page is there, the server is not. */
export const away = (context: BrowserContext) => context.route('**/api/**', route => route.abort())
export const back = (context: BrowserContext) => context.unroute('**/api/**')
/** Closes a page without signal. What it was about to send is ended first: a request that is held when its page goes is let through. */
export async function closeAway(page: Page) {
  await page.goto('about:blank')
  await page.close()
}
export const title = (page: Page) => page.getByTestId('step-title')
export async function doOne(page: Page): Promise<string> {
  const before = await title(page).innerText()
  await page.getByTestId('done').click()
  await expect(title(page)).not.toHaveText(before)
  return before
}
export async function note(page: Page, text: string) {
  await page.keyboard.press('n')
  await page.getByRole('dialog').locator('textarea').fill(text)
  await page.getByRole('button', { name: 'Keep the note' }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
}

/** A phone at Work of a new job, with one note that the server has. */
export async function atWork(browser: Browser, stage: Stage) {
  const jobId = await stage.openJob()
  const context = await browser.newContext()
  const page = await context.newPage()
  await view(page, stage, jobId, 'work')
  await note(page, 'before')
  await settled(page)
  return { jobId, context, page }
}
