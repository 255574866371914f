import { expect, it } from 'vitest'
import { doneAfterLeaving, markLate } from './late'

const leftAt = new Date('2026-03-02T10:00:00Z')
const at = (deviceTime: string) => ({ deviceTime })

it('lets what was done before somebody left stand, marked, and nothing after', () => {
  expect(doneAfterLeaving(at('2026-03-02T09:59:00Z'), { leftAt, gone: false })).toBeNull()
  expect(doneAfterLeaving(at('2026-03-02T10:05:00Z'), { leftAt, gone: false })!.path).toBe('personId')
  expect(doneAfterLeaving(at('2026-03-02T10:05:00Z'), { leftAt: null, gone: true })).toBeNull()
  expect([markLate({ leftAt, gone: false }), markLate({ leftAt: null, gone: true })]).toEqual([
    { late: true },
    { late: true },
  ])
  expect(markLate({ leftAt: null, gone: false })).toEqual({})
})
