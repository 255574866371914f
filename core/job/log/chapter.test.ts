import { describe, expect, it } from 'vitest'
import { admitEvent } from './admit'
import { refuse } from './chapter'
import type { Book, ChapterOf, LogState } from './chapter'
import { effectiveEvents } from './effective'
import type { Corrections, LogEvent } from './event'
import { reduceLog } from './reduce'
import { describeEvent, lastUndoable } from './undo'

/** A log of something else than a job: a shelf with jars on it. The log knows none of its events by name. */
interface Shelf extends LogState {
  open: boolean
  jars: number
  sold: boolean
}
interface JarEvents {
  'shelf-put-up': { jars: number }
  'jar-taken': { count: number }
  'shelf-looked-at': { by: string }
  'shelf-sold': object
}
type JarEvent = LogEvent<JarEvents & Corrections>

const jars: ChapterOf<Shelf, JarEvents> = {
  'shelf-put-up': {
    words: 'Shelf',
    wants: 'work',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    opens: true,
    admit: shelf => (shelf.open ? refuse('type', 'It hangs already.') : null),
    apply: (shelf, { payload }) => {
      Object.assign(shelf, { open: true, jars: payload.jars })
    },
  },
  'jar-taken': {
    words: (shelf, { payload }) => `${payload.count} of ${shelf.jars + payload.count} jars`,
    wants: 'work',
    undo: true,
    afterHandover: (_shelf, { payload }) => payload.count === 1,
    afterCallOff: false,
    admit: (shelf, { payload }) =>
      payload.count > shelf.jars ? refuse('payload.count', 'So many are not there.') : null,
    apply: (shelf, { payload }) => {
      shelf.jars -= payload.count
    },
  },
  'shelf-looked-at': {
    words: 'A look',
    wants: 'work',
    undo: false,
    afterHandover: true,
    afterCallOff: true,
    admit: () => null,
    apply: () => {},
  },
  'shelf-sold': {
    words: 'Sale',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: () => null,
    apply: shelf => {
      shelf.sold = true
    },
  },
}
const book: Book<Shelf> = {
  kinds: jars,
  empty: () => ({ open: false, jars: 0, sold: false, lastSeq: 0, lastAt: null }),
  isOpen: shelf => shelf.open,
  ended: shelf => (shelf.sold ? { permission: 'afterHandover', refusal: refuse('type', 'It is sold.') } : null),
}

let count = 0
const event = <T extends keyof (JarEvents & Corrections)>(type: T, payload: (JarEvents & Corrections)[T]) =>
  ({
    id: `e${++count}`,
    jobId: 'shelf',
    seq: null,
    deviceId: 'd',
    deviceTime: '2026-03-02T08:00:00.000Z',
    personId: 'p',
    type,
    payload,
  }) as JarEvent
const putUp = () => event('shelf-put-up', { jars: 5 })
const admitted = (log: JarEvent[], next: JarEvent) => admitEvent(book, reduceLog(book, log), next, log)

describe('the log', () => {
  it('begins with what opens it, and asks the chapter for everything else', () => {
    const taken = event('jar-taken', { count: 2 })
    expect(admitted([], taken)).toEqual(refuse('jobId', 'The job has not been opened.'))
    const log = [putUp(), taken]
    expect(reduceLog(book, log)).toMatchObject({ jars: 3 })
    expect(admitted(log, putUp())!.reason).toBe('It hangs already.')
    expect(admitted(log, event('jar-taken', { count: 4 }))!.path).toBe('payload.count')
  })
  it('lets after the end only what makes sense then, where need be by what it says', () => {
    const log = [putUp(), event('shelf-sold', {})]
    expect(admitted(log, event('jar-taken', { count: 2 }))!.reason).toBe('It is sold.')
    expect(admitted(log, event('jar-taken', { count: 1 }))).toBeNull()
    expect(admitted(log, event('shelf-looked-at', { by: 'x' }))).toBeNull()
    expect(admitted(log, event('undone', { eventId: log[1]!.id }))).toBeNull()
  })
  it('takes back what can be taken back, one act at a time, with words for it; and the taking back', () => {
    const log = [putUp(), event('jar-taken', { count: 2 }), event('shelf-looked-at', { by: 'x' })]
    expect(lastUndoable(book, log)).toBe(log[1])
    expect(describeEvent(book, log[1]!, log)).toBe('2 of 5 jars')
    expect(admitted(log, event('undone', { eventId: log[0]!.id }))!.reason).toContain('one act at a time')
    const undone = event('undone', { eventId: log[1]!.id })
    expect(reduceLog(book, [...log, undone])).toMatchObject({ jars: 5 })
    expect(effectiveEvents([...log, undone])).toHaveLength(2)
    expect(describeEvent(book, undone, [...log, undone])).toMatch(/^Undo: \d of \d jars$/)
    expect(describeEvent(book, undone, [undone])).toBe('Undo')
    expect(reduceLog(book, [...log, undone, event('undone', { eventId: undone.id })])).toMatchObject({ jars: 3 })
  })
  it('passes over types from a newer device, also those that every object has', () => {
    const log = [
      putUp(),
      { ...putUp(), id: 'new', type: 'shelf-painted' } as never,
      { ...putUp(), id: 'odd', type: 'constructor' } as never,
    ]
    expect(reduceLog(book, log)).toMatchObject({ jars: 5 })
    expect(describeEvent(book, log[1]!, log)).toBe('shelf-painted')
  })
  it('takes no event without words, permissions, a rule and what it changes', () => {
    // @ts-expect-error an event of the chapter is missing
    const missing: ChapterOf<Shelf, JarEvents> = {
      'shelf-put-up': jars['shelf-put-up'],
      'jar-taken': jars['jar-taken'],
      'shelf-sold': jars['shelf-sold'],
    }
    const silent: ChapterOf<Shelf, Pick<JarEvents, 'shelf-sold'>> = {
      // @ts-expect-error it says nothing of undo
      'shelf-sold': { words: 'Sale', afterHandover: false, afterCallOff: false, admit: () => null, apply: () => {} },
    }
    expect([missing, silent]).toHaveLength(2)
  })
})
