import ICAL from 'ical.js'
import { expect, it } from 'vitest'
import type { JobSummary } from '../../core/job'
import { planWeek } from '../../core/sequence'
import { weekCalendar } from './week-calendar'

it('is a calendar with every stretch of work and every way, read back by another reader (RFC 5545)', async () => {
  const now = new Date('2026-11-27T08:00:00Z')
  const segment = (minutes: number) => ({ minutes, waitAfter: 0, readyAt: null, because: null })
  const plan = planWeek(
    [{ id: 'a', notBefore: 0, dueAt: null, site: 'driveway', travelMinutes: 20, segments: [segment(600)] }],
    {
      bay: [
        [0, 480],
        [1440, 1920],
      ],
      driveway: [
        [0, 480],
        [1440, 1920],
      ],
    },
  )
  const lines = new Map([['a', { number: 7, vehicleName: 'Grey van', customer: 'Somebody' } as JobSummary]])
  const events = new ICAL.Component(ICAL.parse(await (await weekCalendar(plan, lines, now)).text()))
    .getAllSubcomponents('vevent')
    .map(part => new ICAL.Event(part))
  expect(events.map(event => event.summary)).toEqual(['Grey van (7)', 'On the road to Grey van', 'Grey van (7)'])
  const minutes = events
    .filter(event => event.summary.startsWith('Grey'))
    .reduce(
      (sum, event) => sum + (event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime()) / 60_000,
      0,
    )
  expect(minutes).toBe(600)
})
