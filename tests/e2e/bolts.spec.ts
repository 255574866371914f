import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect } from '@playwright/test'
import WebSocket from 'ws'
import { boltCard, cardLabel, holeMm, tiledSheets } from '../../core/formats'
import { startWrench } from '../../stand-ins/wrench/server'
import { circleDrawn, longestLineMm, pdfPages, pdfText } from '../support/printed-pdf'
import { jobUpTo, settled, test, view } from './fixture'
import type { Stage } from './fixture'
import { nameFigure } from './mechanic'

const boardOf = async (stage: Stage, jobId: string, group = 'bell-bolts') => (await stage.state(jobId)).boards[group]!

/** A hand on the simulated wrench. */
async function handOn(port: number) {
  const socket = new WebSocket(`ws://127.0.0.1:${port}/hand`)
  let now: { stopped: string | null; putOn: number; fault: string } = { stopped: null, putOn: 0, fault: 'none' }
  let pulledAt = 0
  socket.on('message', data => {
    for (const line of String(data).split('\n').filter(Boolean)) {
      const message = JSON.parse(line) as { type: string } & typeof now
      if (message.type === 'state') now = message
    }
  })
  await new Promise<void>((resolve, reject) => socket.once('open', () => resolve()).once('error', reject))
  const tell = (message: object) => socket.send(JSON.stringify(message))
  /** Waits until the wrench was put on a bolt by what is done. */
  const putOnBy = async (act: () => unknown) => {
    const { putOn } = now
    await act()
    await expect.poll(() => now.putOn).toBeGreaterThan(putOn)
  }
  /** After a pull the wrench is free again only when Eldrin has put it on the next bolt. */
  const ready = () => expect.poll(() => now.stopped === null && now.putOn > pulledAt).toBe(true)
  return {
    ready,
    pull: async (degrees: number) => {
      await ready()
      pulledAt = now.putOn
      tell({ type: 'pull', degrees })
    },
    fault: (fault: string) => putOnBy(() => tell({ type: 'fault', fault })),
    putOnBy,
    letGo: () => socket.terminate(),
  }
}

test('the board answers whether one is left before the box is pulled', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'bolts/bell-bolts')
  await expect(page.getByTestId('board-count')).toHaveText('5 are still in, 3 of 8 out.')
  await page.getByRole('button', { name: 'Correct places' }).click()
  const board = page.getByTestId('board')
  const box = (await board.boundingBox())!
  await board.click({ position: { x: box.width * 0.5, y: box.height * 0.35 } })
  await expect(page.getByTestId('board-count')).toHaveText('6 are still in, 3 of 9 out.')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^bolt 9 at/ }).focus()
  for (let press = 0; press < 5; press++) await page.keyboard.press('ArrowUp')
  await settled(page)
  const added = (await boardOf(stage, jobId)).bolts[8]!
  await page.keyboard.press('ArrowUp')
  await settled(page)
  expect((await boardOf(stage, jobId)).bolts[8]!.yMm).toBe(added.yMm + 4)
  const held = (await page.getByRole('button', { name: /^bolt 9 at/ }).boundingBox())!
  await page.mouse.move(held.x + held.width / 2, held.y + held.height / 2)
  await page.mouse.down()
  await page.mouse.move(held.x + held.width / 2 + 60, held.y + held.height / 2, { steps: 6 })
  await page.mouse.up()
  await settled(page)
  const dragged = (await boardOf(stage, jobId)).bolts[8]!
  expect(dragged.xMm).toBeGreaterThan(added.xMm + 30)
  expect(Math.abs(dragged.yMm - added.yMm - 4)).toBeLessThan(6)
  await page.getByRole('button', { name: 'Undo' }).click()
  await settled(page)
  expect((await boardOf(stage, jobId)).bolts[8]!.xMm).toBe(added.xMm)
  await page.getByRole('button', { name: /^Seen from the box/ }).click()
  await expect(page.getByRole('button', { name: /^bolt 3 at 2:30/ })).toBeVisible()

  await page.goto(`${stage.app.base}/jobs/${jobId}/work`)
  await expect(page.getByText('On the board: 0 of 3 out')).toBeVisible()
  await page.getByRole('button', { name: /^bolt 7 at/ }).click()
  await page.getByRole('button', { name: 'corroded' }).click()
  await page.getByRole('button', { name: 'The rest out and good' }).click()
  await expect(page.getByText('On the board: 3 of 3 out')).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByTestId('step-title')).not.toContainText('lowest bell bolts')
  await settled(page)
  const { bolts } = await boardOf(stage, jobId)
  expect(bolts.map(bolt => bolt.condition)).toEqual([
    'good',
    'good',
    'good',
    null,
    'good',
    'good',
    'corroded',
    null,
    null,
  ])
})

test('a press counts where the thumb went down, although the page moved before it came up; a drag is none', async ({
  page,
  stage,
}) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'work')
  const sheet = page.locator('#sheet')
  const all = page.getByRole('button', { name: 'All 3 out and good' })
  const thumbDown = async () => {
    const { x, y, width, height } = (await all.boundingBox())!
    await page.mouse.move(x + width / 2, y + height / 2)
    await page.mouse.down()
    return { x: x + width / 2, y: y + height / 2 }
  }
  const { x, y } = await thumbDown()
  await page.mouse.move(x, y + 90, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByText('On the board: 0 of 3 out')).toBeVisible()
  await thumbDown()
  await sheet.evaluate(element => {
    element.style.paddingTop = '150px'
  })
  await page.mouse.up()
  await expect(page.getByText('On the board: 3 of 3 out')).toBeVisible()
  await settled(page)
  expect((await stage.events(jobId)).filter(({ type }) => type === 'bolts-out').at(-1)!.payload).toMatchObject({
    condition: 'good',
  })
})

test('a bolt that the board still counts holds the box', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'pull-box', {}, mechanic =>
    mechanic.write('bolt-placed', { group: 'bell-bolts', boltId: 'twelve', xMm: 0, yMm: 186 }),
  )
  await view(page, stage, jobId, 'work')
  await expect(page.getByRole('note')).toContainText('One is left: bolt 9 at 12 o’clock')
  await page.getByRole('link', { name: 'Bolts', exact: true }).click()
  await page.getByRole('button', { name: /^bolt 9 at 12/ }).click()
  await page.getByRole('button', { name: 'good', exact: true }).click()
  await expect(page.getByTestId('board-count')).toHaveText('All 9 are out and looked at.')
  await page.getByRole('link', { name: 'Work', exact: true }).click()
  await expect(page.getByRole('note')).toHaveCount(0)
})

test('the card is printed at one to one', async ({ page, stage }, info) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'bolts/bell-bolts')
  for (const [paper, pageMm] of [
    ['A4', [210, 297]],
    ['Letter', [215.9, 279.4]],
  ] as const) {
    await page.getByRole('button', { name: 'Print' }).click()
    await page.getByRole('radio', { name: paper, exact: true }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Card at 1:1, PDF' }).click(),
    ])
    const path = info.outputPath(`card-${paper}.pdf`)
    await download.saveAs(path)
    const state = await stage.state(jobId)
    const board = state.boards['bell-bolts']!
    const outline = state.procedure!.outlines.find(entry => entry.id === board.outline)!
    const card = boltCard(board, outline, { title: 'Bell bolts', subtitle: '', label: cardLabel })
    const sheets = tiledSheets(card, paper === 'A4' ? 'a4' : 'letter', '')
    const pages = pdfPages(path)
    expect(pages).toHaveLength(sheets.length)
    for (const printed of pages) {
      expect(printed.width / 10).toBeCloseTo(pageMm[0], 0)
      expect(printed.height / 10).toBeCloseTo(pageMm[1], 0)
      expect(Math.abs(longestLineMm(printed, pageMm[1] - 16, pageMm[1] - 12) - 100)).toBeLessThan(0.4)
    }
    // Every hole stands where the board has its bolt, on each sheet that shows it whole.
    const holes = card.shapes.filter(shape => shape.kind === 'circle').slice(outline.marks.length)
    for (const [index, hole] of holes.entries()) {
      const shown = sheets.flatMap(({ window }, sheet) => {
        const [x, y] = [hole.x - window!.fromX, hole.y - window!.fromY]
        return x > 8 && y > 8 && x < window!.widthMm - 8 && y < window!.heightMm - 8
          ? [circleDrawn(pages[sheet]!, x + window!.x, y + window!.y, holeMm(board.bolts[index]!) / 2)]
          : []
      })
      expect(shown.length).toBeGreaterThan(0)
      for (const share of shown) expect(share).toBeGreaterThan(0.97)
    }
    expect(pdfText(path)).toContain('Bell bolts')
    expect(pdfText(path)).toContain(`sheet A1, 1 of ${sheets.length}`)
    await page.getByRole('button', { name: 'Close' }).click()
  }
  await page.getByRole('button', { name: 'Print' }).click()
  const [labels] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Bag labels, PDF' }).click(),
  ])
  await labels.saveAs(info.outputPath('labels.pdf'))
  expect(pdfText(info.outputPath('labels.pdf'))).toContain('Bell bolts')
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Card, SVG' }).click(),
  ])
  await svg.saveAs(info.outputPath('card.svg'))
  expect(readFileSync(info.outputPath('card.svg'), 'utf8')).toMatch(/^<\?xml.*\n<svg [^>]*width="[\d.]+mm"/)
})

/** Pulls until the count of turns stands at `turns`. */
async function pullTo(page: Page, hand: Awaited<ReturnType<typeof handOn>>, turns: number, of: number) {
  await hand.pull(1500)
  await expect(page.getByText(`${turns} of ${of}`)).toBeVisible()
}

test('a whole run with the wrench that speaks, one bolt that bottoms caught, resumed on another device', async ({
  page,
  stage,
  browser,
}) => {
  const wrench = await startWrench({ port: 0, seed: 12 })
  const hand = await handOn(wrench.port)
  try {
    const jobId = await jobUpTo(stage, 'cover-tighten')
    await view(page, stage, jobId, 'bolts')
    await page.getByRole('button', { name: 'Name it with its source' }).click()
    await nameFigure(page, '21')
    await expect(page.getByTestId('wrench')).toContainText('Short click wrench')
    await page.getByRole('button', { name: 'Start the run' }).click()
    const connect = async (on: Page) => {
      await on.getByRole('button', { name: 'A wrench that speaks' }).click()
      await on.getByLabel('Its address').fill(`ws://127.0.0.1:${wrench.port}/wrench`)
      await on.getByRole('button', { name: 'Connect' }).click()
      await expect(on.getByText('Simulated wrench speaks.')).toBeVisible()
    }
    await hand.putOnBy(() => connect(page))
    for (let turn = 1; turn <= 3; turn++) await pullTo(page, hand, turn, 24)
    await expect(page.getByTestId('curve')).toBeVisible()
    await hand.ready()
    await hand.fault('bottomed')
    await hand.pull(1500)
    await expect(page.getByTestId('stop')).toContainText(/Bolt \d: tight too early\. Stop\./)
    await expect(page.getByText('3 of 24')).toBeVisible()
    await page.keyboard.press('Space')
    await expect(page.getByText('3 of 24')).toBeVisible()
    await hand.fault('none')
    await hand.putOnBy(() => page.getByRole('button', { name: 'Right length put in' }).click())
    for (let turn = 4; turn <= 8; turn++) await pullTo(page, hand, turn, 24)
    await settled(page)

    await page.goto('about:blank')
    const other = await (await browser.newContext()).newPage()
    await other.goto(`${stage.app.base}/jobs/${jobId}/bolts`)
    await expect(other.getByText('8 of 24')).toBeVisible()
    await hand.putOnBy(() => connect(other))
    for (let turn = 9; turn <= 24; turn++) await pullTo(other, hand, turn, 24)
    await expect(other.getByText('Every bolt is at its figure and checked.')).toBeVisible()
    await other.getByRole('button', { name: 'Step done' }).click()
    await expect(other.getByTestId('step-title')).toBeVisible()
    await settled(other)
    const [run] = (await stage.state(jobId)).runs.filter(entry => entry.group === 'cover-bolts')
    expect(run!.stops).toMatchObject([{ verdict: 'early', by: 'wrench', cleared: 'Right length put in' }])
    expect(run!.turns).toHaveLength(24)
    for (const turn of run!.turns.filter(entry => entry.passIndex === 2))
      expect(turn.reading!.peakNm).toBeGreaterThan(20.8)
    await other.context().close()
  } finally {
    hand.letGo()
    await wrench.close()
  }
})

test('a bolt that gives way under the hand opens the way out', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'cover-tighten')
  await view(page, stage, jobId, 'bolts')
  await page.getByRole('button', { name: 'Name it with its source' }).click()
  await nameFigure(page, '21')
  await page.getByRole('button', { name: 'Start the run' }).click()
  await page.getByTestId('turn').waitFor()
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'Gave way' }).click()
  await expect(page.getByTestId('stop')).toContainText('Bolt 4: gave way. Stop.')
  await expect(page.getByTestId('turn')).toBeDisabled()
  await page.getByRole('button', { name: 'It has gone: the way out' }).click()
  await page.getByRole('radio', { name: /Drill out and set a thread insert/ }).check()
  await page.getByRole('button', { name: 'Write it down and take this way' }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
  await settled(page)
  await page.getByRole('button', { name: 'Thread insert set, new bolt' }).click()
  await expect(page.getByTestId('turn')).toBeEnabled()
  await page.keyboard.press('Space')
  await expect(page.getByText('2 of 24')).toBeVisible()
  await settled(page)
  const state = await stage.state(jobId)
  expect(state.addedParts).toMatchObject([{ name: 'Thread insert in the bolt’s size' }])
  expect(state.troubles.at(-1)!.text).toContain('sheared')
  expect(state.boards['cover-bolts']!.bolts.filter(bolt => bolt.suspect)).toHaveLength(5)
  await page.goto(`${stage.app.base}/jobs/${jobId}/plan`)
  await page.getByText('Parts', { exact: true }).first().click()
  await expect(page.getByText('Thread insert in the bolt’s size')).toBeVisible()
})

test('a group is loosened in stages without a figure', async ({ page, stage }) => {
  const jobId = await jobUpTo(stage, 'lowest-bell-bolts')
  await view(page, stage, jobId, 'bolts/cover-bolts/loosen')
  await page.getByRole('button', { name: 'Start the run' }).click()
  await expect(page.getByRole('img', { name: 'Next is bolt 1 of 6, 180°' })).toBeVisible()
  for (let turn = 1; turn <= 18; turn++) {
    await page.keyboard.press('Space')
    await expect(page.getByText(turn < 18 ? `${turn} of 18` : 'Every bolt is out.')).toBeVisible()
  }
  await settled(page)
  expect((await boardOf(stage, jobId, 'cover-bolts')).bolts.every(bolt => bolt.stand === 'out')).toBe(true)
})

test('wrenches are kept in the Library, wrong ones refused at their field', async ({ page, stage }) => {
  await page.goto(`${stage.app.base}/library`)
  await expect(page.getByText('Long wheel wrench')).toBeVisible()
  await expect(page.getByText(/Calibrated 2025-01-20: run out/)).toBeVisible()
  await page.getByRole('button', { name: 'Add a wrench' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Name').fill('Beam wrench')
  await form.getByLabel(/^From/).fill('60')
  await form.getByLabel(/^To/).fill('20')
  await form.getByLabel(/^Square to grip/).fill('12 kg')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(form.getByText('kg measures mass, mm measures length')).toBeVisible()
  await form.getByLabel(/^Square to grip/).fill('420')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(form.getByText('The range ends above where it begins.')).toBeVisible()
  await form.getByLabel(/^To/).fill('180')
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText('Beam wrench')).toBeVisible()
  await page.getByRole('button', { name: 'Take Beam wrench off the shelf' }).click()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Beam wrench' })).toBeVisible()
})
