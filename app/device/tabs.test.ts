import { afterEach, expect, it, vi } from 'vitest'
import { openTabs } from './tabs'
import type { TabNews } from './tabs'

afterEach(() => vi.unstubAllGlobals())

/** Locks as browsers have them: one holds, the next gets it when that one is gone. */
function lockedNavigator() {
  const queue: (() => unknown)[] = []
  return {
    locks: {
      request: (_name: string, use: () => Promise<unknown>) => {
        queue.push(use)
        if (queue.length === 1) void use()
        return Promise.resolve()
      },
    },
    holderGone: () => {
      queue.shift()
      queue[0]?.()
    },
  }
}

it('one tab sends, the next takes over when it is gone, and each hears of the others', async () => {
  const browser = lockedNavigator()
  vi.stubGlobal('navigator', browser)
  const heard: TabNews<string>[] = []
  const taken = vi.fn()
  const first = openTabs(
    () => {},
    () => {},
  )
  const second = openTabs<string>(news => heard.push(news), taken)
  expect([first.isSender(), second.isSender()]).toEqual([true, false])
  first.tell({ jobId: 'j' })
  await expect.poll(() => heard).toEqual([{ jobId: 'j' }])
  browser.holderGone()
  expect([second.isSender(), taken.mock.calls.length]).toEqual([true, 1])
  first.close()
  second.close()
})
it('without locks every tab sends', () => {
  vi.stubGlobal('navigator', {})
  const taken = vi.fn()
  const tab = openTabs(() => {}, taken)
  expect([tab.isSender(), taken.mock.calls.length]).toEqual([true, 1])
  tab.close()
})
