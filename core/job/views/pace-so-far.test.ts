import { expect, it } from 'vitest'
import { pertMean } from '../../sequence/three-point'
import { TestLog } from '../../../tests/support/job-log'
import { shelf } from '../../../tests/support/packs'
import { DemoMechanic } from '../../../server/demo/play'
import { personId } from '../../../tests/support/requests'
import { reduceJob } from '../job'
import type { JobEvent } from '../chapters'
import { observedMinutes } from './observed-minutes'
import { paceSoFar } from './pace-so-far'

it('sums what is known of this car beside what was planned, and knows nothing before anything is done', () => {
  const log = TestLog.open(shelf.packs.get('fwd-transverse')!, {})
  expect(paceSoFar(log.events, reduceJob(log.events))).toEqual([])
  const mechanic = new DemoMechanic(log.events, personId, Date.parse('2026-03-02T08:00:00.000Z')).workUntil('pull-box')
  const events = [
    ...log.events,
    ...mechanic.events.map(
      (event, index) => ({ ...event, jobId: 'job', seq: log.events.length + index + 1 }) as JobEvent,
    ),
  ]
  const state = reduceJob(events)
  const [pace, more] = paceSoFar(events, state)
  const known = observedMinutes(events, state).filter(({ troubled }) => !troubled)
  expect(more).toBeUndefined()
  expect(known.length).toBeGreaterThan(10)
  expect(pace!.actualMinutes).toBeCloseTo(
    known.reduce((sum, { minutes }) => sum + minutes, 0),
    9,
  )
  expect(pace!.plannedMinutes).toBeCloseTo(
    known.reduce(
      (sum, { operationId }) =>
        sum + pertMean(state.procedure!.operations.find(({ id }) => id === operationId)!.minutes),
      0,
    ),
    9,
  )
})
