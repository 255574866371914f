import fc from 'fast-check'
import ICAL from 'ical.js'
import { expect, it } from 'vitest'
import { calendarText } from './calendar'

const reader = {
  terms: {},
  words: 'us' as const,
  units: { torque: 'N·m' as const, length: 'mm' as const, distance: 'km' as const },
}

/** Standard: RFC 5545, read back by `ical.js`. */
it('reads back as the same entries, whatever stands in their titles (property)', () => {
  const words = fc
    .string({ minLength: 1, maxLength: 60, unit: 'grapheme-ascii' })
    .map(text => text.replace(/[{}]/g, '').trim())
    .filter(text => text.length > 0)
  const entry = fc.record({
    uid: fc.uuid(),
    title: words,
    about: words,
    from: fc.integer({ min: 0, max: 2 ** 20 }),
    length: fc.integer({ min: 1, max: 600 }),
  })
  fc.assert(
    fc.property(fc.uniqueArray(entry, { selector: each => each.uid, minLength: 1, maxLength: 6 }), list => {
      const start = Date.parse('2026-03-02T08:00:00Z')
      const entries = list.map(({ uid, title, about, from, length }) => ({
        uid,
        title,
        about,
        from: new Date(start + from * 60_000).toISOString(),
        to: new Date(start + (from + length) * 60_000).toISOString(),
      }))
      const events = new ICAL.Component(
        ICAL.parse(calendarText('Job 7', { lastSeq: 12, lastAt: '2026-03-01T07:00:00.000Z' }, entries, reader)),
      )
        .getAllSubcomponents('vevent')
        .map(part => new ICAL.Event(part))
      expect(
        events.map(event => ({
          uid: event.uid,
          title: event.summary,
          about: event.description,
          from: event.startDate.toJSDate().toISOString(),
          to: event.endDate.toJSDate().toISOString(),
        })),
      ).toEqual(entries)
    }),
    { numRuns: 60 },
  )
})

it('rises with the job, and says when that last changed', () => {
  const entries = [
    { uid: 'promise', title: 'Promised', about: '', from: '2026-03-04T08:00:00.000Z', to: '2026-03-04T08:15:00.000Z' },
  ]
  const read = (lastSeq: number, lastAt: string) =>
    new ICAL.Component(ICAL.parse(calendarText('Job 7', { lastSeq, lastAt }, entries, reader))).getFirstSubcomponent(
      'vevent',
    )!
  const [before, after] = [read(12, '2026-03-01T07:00:00.000Z'), read(15, '2026-03-02T09:30:00.000Z')]
  expect(Number(after.getFirstPropertyValue('sequence'))).toBeGreaterThan(
    Number(before.getFirstPropertyValue('sequence')),
  )
  expect(String(after.getFirstPropertyValue('dtstamp'))).toBe('2026-03-02T09:30:00Z')
})
