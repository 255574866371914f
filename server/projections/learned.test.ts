import { expect, it } from 'vitest'
import { reduceJob } from '../../core/job'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart } from '../../tests/support/small-pack'
import { minutes } from './learned'

it('learns minutes as a layout counts them, whoever worked them', () => {
  const log = TestLog.open(coverAndPart())
  const stepId = log.state.procedure!.operations.map(({ id }) => id).find(id => log.state.plan!.order.includes(id))!
  log.add('timer-started', { stepId }).add('timer-stopped', { stepId }, 7).add('step-done', { stepId })
  const learnedBy = (skill: 'first-time' | 'has-done-it') => {
    const state = reduceJob(log.events)
    const plan = { ...state.plan!, setting: { ...state.plan!.setting, skill } }
    const handedOver = { at: '2026-03-02T18:00:00.000Z' } as NonNullable<typeof state.handedOver>
    return minutes
      .of({ log: log.events, state: { ...state, plan, handedOver } })
      .find(each => each.operationId === stepId)
  }
  expect(learnedBy('has-done-it')!.minutes).toBeCloseTo(7, 9)
  expect(learnedBy('first-time')!.minutes).toBeCloseTo(7 / 1.3, 9)
})
