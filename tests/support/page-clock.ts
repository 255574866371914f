import type { BrowserContext, Page } from '@playwright/test'
import { BEGINS_MS } from './fixed-clock.mjs'
import type { ClockStand } from './fixed-clock.mjs'

/** The content of a script that sets a page’s clock as the tests’ clock would stand. The last one given counts. */
const script = ({ aheadMs = 0, runs = false }: ClockStand) => `{
  const Real = globalThis.RealDate ?? Date
  globalThis.RealDate = Real
  const since = performance.now()
  const now = () => ${BEGINS_MS + aheadMs} + ${runs ? 'Math.floor(performance.now() - since)' : 0}
  globalThis.Date = new Proxy(Real, {
    construct: (target, given, as) => Reflect.construct(target, given.length > 0 ? given : [now()], as),
    apply: () => new Real(now()).toString(),
    get: (target, name) => (name === 'now' ? now : target[name]),
  })
}`

/** Has the pages that are opened from now on go by the tests’ clock, set like that. */
export async function setPageClock(pages: BrowserContext | Page, stand: ClockStand = {}): Promise<void> {
  await pages.addInitScript({ content: script(stand) })
}

/** Sets the clock of a page that is open, and of what it opens next. */
export async function setOpenPageClock(page: Page, stand: ClockStand): Promise<void> {
  await setPageClock(page, stand)
  await page.evaluate(script(stand))
}
