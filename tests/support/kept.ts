import type { Page } from '@playwright/test'

/** Waits until all of the shell is on the device. */
export async function shellKept(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
    while ((await (await caches.open('eldrin-later')).keys()).length === 0)
      await new Promise(resolve => setTimeout(resolve, 200))
  })
}

/** Waits until everything that a day without signal needs is on the device. */
export async function basicsKept(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
    while (localStorage.getItem('eldrin-basics-at') === null) await new Promise(resolve => setTimeout(resolve, 200))
  })
}
