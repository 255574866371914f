import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'
import { jobUpTo, test, view } from './fixture'

declare global {
  interface Window {
    /** The buttons that a thumb went down on and those that were clicked, by their numbers, and how many clicks the browser gave to what holds both places. */
    pressed: { down: number[]; clicked: number[]; elsewhere: number }
  }
}

/** Numbers every button that acts, and has a click counted in place of doing what it does. @returns how many there are */
const numberButtons = (page: Page) =>
  page.evaluate(() => {
    window.pressed = { down: [], clicked: [], elsewhere: 0 }
    const buttons = [...document.querySelectorAll<HTMLButtonElement>('button:enabled:not([aria-haspopup])')].filter(
      button => button.checkVisibility({ visibilityProperty: true }) && !button.closest('.sr-only'),
    )
    for (const [index, button] of buttons.entries()) button.dataset.number = String(index)
    const numbered = ({ target }: Event) => (target as Element).closest<HTMLElement>('[data-number]')
    let under: string | undefined
    window.addEventListener(
      'pointerdown',
      event => {
        under = numbered(event)?.dataset.number
        if (under !== undefined) window.pressed.down.push(Number(under))
      },
      true,
    )
    // What was drawn anew under the thumb is nothing that it could press.
    window.addEventListener(
      'pointerup',
      () => {
        if (under !== undefined && !document.querySelector(`[data-number="${under}"]`)) window.pressed.down.pop()
      },
      true,
    )
    window.addEventListener(
      'click',
      event => {
        const button = numbered(event)
        if (!button) {
          window.pressed.elsewhere++
          return
        }
        window.pressed.clicked.push(Number(button.dataset.number))
        event.stopImmediatePropagation()
        event.preventDefault()
      },
      true,
    )
    return buttons.length
  })

/** Goes down on a button, or on what came into its place meanwhile; the page moves by more than its height before the thumb comes up. */
async function pressWhileMoving(page: Page, index: number): Promise<void> {
  const button = await page.$(`[data-number="${index}"]`)
  const at = await button?.evaluate(element => {
    element.scrollIntoView({ block: 'center', behavior: 'instant' })
    const { x, y, width, height } = element.getBoundingClientRect()
    const place = { x: x + width / 2, y: y + height / 2 }
    return element.contains(document.elementFromPoint(place.x, place.y)) ? place : null
  })
  // It is below something else, or was drawn anew: nobody presses it there.
  if (!at) return
  await page.mouse.move(at.x, at.y)
  await page.mouse.down()
  await page.evaluate(() => {
    document.body.style.translate = '0 130px'
  })
  await page.mouse.up()
  await page.evaluate(() => {
    document.body.style.translate = ''
  })
}

test('every button that acts is pressed where the thumb went down, though the page moved before it came up', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  for (const path of [
    'work',
    'plan',
    'car',
    'car/refit',
    'bolts/bell-bolts',
    'bench/flywheel',
    'bench/open',
    'pedal',
    'prove',
    'prove/money',
    'handover',
  ]) {
    await view(page, stage, jobId, path)
    const count = await numberButtons(page)
    for (let index = 0; index < count; index++) await pressWhileMoving(page, index)
    const { down, clicked, elsewhere } = await page.evaluate(() => window.pressed)
    // Once each, in the order they were pressed.
    expect(clicked, path).toEqual(down)
    expect(new Set(down).size, path).toBeGreaterThan(0)
    // Without a hand that helps, these presses would have gone nowhere.
    expect(elsewhere, path).toBeGreaterThan(0)
  }
})
