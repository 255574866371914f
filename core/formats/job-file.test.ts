import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart } from '../../tests/support/small-pack'
import { exportJob, importJob } from './job-file'
import type { JobFile } from './job-file'
import { jobCalendar } from './job-calendar'
import { jobTable, jobTables } from './job-tables'

const people = [
  { id: 'p', name: 'Somebody' },
  { id: 'q', name: 'Nobody' },
]
const fileOf = (log: TestLog): JobFile => exportJob(log.events, people, '2026-03-03T08:00:00.000Z')
const acts = fc.array(fc.constantFrom('done', 'note', 'undo', 'trouble', 'timer'), { maxLength: 30 })

/** A log of whatever the rules let in. */
function someLog(list: string[]): TestLog {
  const log = TestLog.open(coverAndPart())
  for (const [index, act] of list.entries()) {
    const next = log.state.plan!.order.find(step => !log.state.done[step])
    const last = log.events.findLast(
      event =>
        !['job-opened', 'plan-made', 'undone'].includes(event.type) &&
        !log.events.some(
          other => other.type === 'undone' && (other.payload as { eventId: string }).eventId === event.id,
        ),
    )
    if (act === 'done' && next) log.done(next)
    if (act === 'note') log.add('note-added', { stepId: null, text: `note ${index}` })
    if (act === 'trouble')
      log.add('trouble-raised', {
        troubleId: `t${index}`,
        stepId: next ?? null,
        text: 'It broke',
        waitsFor: null,
        until: null,
      })
    if (act === 'timer' && next && !log.state.timers[next]?.runningSince) log.add('timer-started', { stepId: next })
    if (act === 'undo' && last && log.refusal('undone', { eventId: last.id }) === null)
      log.add('undone', { eventId: last.id })
  }
  return log
}

describe('a job file', () => {
  it('comes back as the same job, whatever happened on it (property)', () => {
    fc.assert(
      fc.property(acts, list => {
        const log = someLog(list)
        const file = JSON.parse(JSON.stringify(fileOf(log))) as JobFile
        expect(importJob(file).state).toEqual(log.state)
        expect(exportJob(importJob(file).events, file.people, file.exportedAt)).toEqual(file)
      }),
      { numRuns: 40 },
    )
  })
  it('names only people that its log names', () => {
    expect(fileOf(TestLog.open(coverAndPart())).people).toEqual([people[0]])
  })
  it('is refused whole, with the place of the first event that may not stand', () => {
    const file = fileOf(TestLog.open(coverAndPart()).add('note-added', { stepId: null, text: 'x' }))
    const change = (index: number, entry: object): JobFile => ({
      ...file,
      events: file.events.map((event, at) => (at === index ? ({ ...event, ...entry } as never) : event)),
    })
    expect(() => importJob({ ...file, events: file.events.slice(1) })).toThrow('begins with its opening')
    expect(() => importJob(change(2, { seq: 9 }))).toThrow('events[2].seq: Number 3 is wanted')
    expect(() => importJob(change(2, { jobId: 'another' }))).toThrow('another job')
    expect(() => importJob(change(2, { id: 'e1' }))).toThrow('stands twice')
    expect(() => importJob(change(2, { personId: 'ghost' }))).toThrow('Nobody in the file')
    expect(() => importJob(change(2, { type: 'step-done', payload: { stepId: 'nowhere' } }))).toThrow(
      'events[2].payload.stepId',
    )
    expect(() => importJob(change(1, { payload: { procedure: {}, plan: {} } }))).toThrow(/events\[\d\]/)
  })
})

describe('tables of a job', () => {
  it('have as many columns in every row as in their head', () => {
    const log = someLog(['note', 'timer', 'done', 'done'])
    for (const name of jobTables) {
      const { columns, rows } = jobTable(log.state, name)
      expect(new Set(columns).size).toBe(columns.length)
      for (const row of rows) expect(row).toHaveLength(columns.length)
    }
    const times = jobTable(log.state, 'times')
    expect(times.rows).toHaveLength(log.state.plan!.steps.length)
    expect(times.rows.filter(row => row[5] !== null)).toHaveLength(2)
  })
})

describe('a table as CSV', () => {
  it('reads back cell by cell, whatever is written into a note (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ minLength: 1, maxLength: 40, unit: 'grapheme' }), { minLength: 1, maxLength: 5 }),
        texts => {
          const log = TestLog.open(coverAndPart())
          for (const [index, text] of texts.entries())
            log.add('trouble-raised', { troubleId: `t${index}`, stepId: null, text, waitsFor: null, until: null })
          const { columns } = jobTable(log.state, 'readings')
          const rows = log.state.troubles.map((trouble, index): (string | number | null)[] => [
            trouble.text,
            index,
            null,
            trouble.at,
            '"',
          ])
          const { data, errors } = Papa.parse<string[]>(
            Papa.unparse({ fields: columns, data: rows }, { newline: '\r\n' }),
            { delimiter: ',', newline: '\r\n' },
          )
          expect(errors).toEqual([])
          expect(data).toEqual([columns, ...rows.map(row => row.map(cell => (cell === null ? '' : String(cell))))])
        },
      ),
    )
  })
})

describe('entries of the calendar', () => {
  it('are the promise before the hand-over, and re-checks with the end of the break-in after it', () => {
    const log = TestLog.open(coverAndPart()).add('promised', { at: '2026-03-05T16:00:00.000Z' })
    expect(jobCalendar(log.state).map(entry => entry.uid)).toEqual(['job-promise'])
    log.add('break-in-set', { distanceKm: 640, writtenAs: '400 mi', source: 'Kit sheet', odometerKm: 1000 })
    log.events.push({ ...log.event('handed-over', { to: 'Somebody', odometerKm: 1000 }) })
    log.add('odometer-read', { odometerKm: 1320 }, 60 * 24 * 4)
    const entries = jobCalendar(log.state)
    expect(entries.map(entry => entry.uid)).toEqual(['job-wheels', 'job-leaks', 'job-free-play', 'job-break-in'])
    // 320 km in four days: the other 320 in four more.
    expect(Date.parse(entries[3]!.from) - Date.parse(log.state.lastAt!)).toBeCloseTo(4 * 86_400_000, -6)
    expect(jobCalendar({ ...log.state, calledOff: { reason: 'x', at: log.state.lastAt! } })).toEqual([])
  })
})
