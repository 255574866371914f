import { beforeAll, describe, expect, it } from 'vitest'
import { shelf } from '../../../../tests/support/packs'
import { TestLog } from '../../../../tests/support/job-log'
import { breachesAhead, comesApart, reduceJob } from '../..'
import type { JobEvent } from '../..'
import { operationOrder } from '../../../sequence/move-step'

/** A rear-drive job, done in the order of its plan. */
let all: JobEvent[] = []
let at = new Map<string, number>()
beforeAll(() => {
  const log = TestLog.open(shelf.packs.get('rwd-longitudinal')!).all()
  all = log.events
  at = new Map(all.flatMap((event, index) => (event.type === 'step-done' ? [[event.payload.stepId, index]] : [])))
})
/** The job when a step is done. */
function until(stepId: string): TestLog {
  const log = new TestLog()
  log.events.push(...all.slice(0, at.get(stepId)! + 1))
  return log
}
const apart = (log: TestLog, stepId: string) =>
  log.add('apart-again', {
    againId: 'a1',
    stepId,
    because: 'It dragged',
    troubleId: null,
    ...comesApart(log.state, stepId),
    away: null,
    parts: [],
    at: '2026-03-03T09:00:00.000Z',
    utcOffsetMinutes: 0,
  })

describe('with the box on the floor', () => {
  it('nothing is cracked, drained or drawn that is out already', () => {
    const { opens, repeats } = comesApart(until('cover-tighten').state, 'cover-tighten')
    const known = ['upper-bolts-cracked', 'upper-bell-bolts', 'prop-cracked', 'prop-out', 'drain-box', 'pull-box']
    expect([...opens, ...repeats].filter(id => known.includes(id))).toEqual([])
    expect(repeats).toContain('cover-tighten')
  })
})

describe('with the box up and bolted', () => {
  const again = () => apart(until('bell-torqued'), 'cover-tighten')
  it('what had rusted fast is not cracked once more, and nothing is marked twice', () => {
    const { opens } = comesApart(until('bell-torqued').state, 'cover-tighten')
    expect(opens).toContain('pull-box')
    expect(opens.filter(id => ['upper-bolts-cracked', 'last-bolts-cracked', 'prop-marked'].includes(id))).toEqual([])
  })
  it('the face is washed once more, the dust that was wetted is not wetted twice', () => {
    const { state } = again()
    const left = operationOrder(state.plan!).filter(id => !state.done[id])
    expect(left).toContain('face-washed')
    expect(left.filter(id => ['wet-bell', 'box-bell-wet'].includes(id))).toEqual([])
  })
  it('nothing hangs, stands in the way or is dirty in what is left', () => {
    const { state } = again()
    expect(
      breachesAhead(
        state,
        operationOrder(state.plan!).filter(id => !state.done[id]),
      ),
    ).toEqual([])
  })
})

it('what was taken to somebody is still done when the work is switched after it', () => {
  const log = until('cover-tighten')
  const { opens, repeats } = comesApart(log.state, 'oil-measure')
  const away = { to: 'machine shop', wayMinutes: 30, until: null }
  const asked = {
    againId: 'a1',
    stepId: 'oil-measure',
    because: 'Looked at by others',
    troubleId: null,
    opens,
    repeats,
    away,
  }
  log.add('apart-again', { ...asked, parts: [], at: '2026-03-03T09:00:00.000Z', utcOffsetMinutes: 0 }).done('a1.away')
  const { procedure, circumstances } = log.state
  const made = all.find(event => event.type === 'plan-made')!.payload as { procedure: object; plan: object }
  const clock = { at: '2026-03-03T10:00:00.000Z', minutes: 0, utcOffsetMinutes: 0 }
  log.add('options-switched', { procedure: made.procedure, plan: made.plan, circumstances, clock } as never)
  const state = reduceJob(log.events)
  expect(state.done['a1.away']).toBeDefined()
  expect(operationOrder(state.plan!)).toContain('a1.fetch')
  expect(procedure).not.toBeNull()
})
