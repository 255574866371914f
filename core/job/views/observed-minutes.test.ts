import { expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { coverAndPart } from '../../../tests/support/small-pack'
import { jobWords } from './job-words'
import { observedMinutes } from './observed-minutes'

it('takes a step’s minutes from its timer, else from the step before, and no pause', () => {
  const log = TestLog.open(coverAndPart())
  const steps = log.state.plan!.steps
  const order = log.state.plan!.order
  const [first, second, third] = order as [string, string, string]
  const setup = (id: string) => steps.find(step => step.id === id)!.setupMinutes
  log.add('step-done', { stepId: first })
  log
    .add('timer-started', { stepId: second })
    .add('timer-stopped', { stepId: second }, 7)
    .add('step-done', { stepId: second })
  const operations = log.state.procedure!.operations
  if (operations.some(operation => operation.id === second))
    expect(observedMinutes(log.events)).toContainEqual({
      operationId: second,
      minutes: 7,
      by: 'timer',
      troubled: false,
    })
  log.add('trouble-raised', { troubleId: 't', stepId: third, text: 'Stuck', waitsFor: null, until: null })
  log.add('step-done', { stepId: third }, 2 + setup(third))
  const seen = observedMinutes(log.events).find(entry => entry.operationId === third)
  if (operations.some(operation => operation.id === third)) expect(seen).toMatchObject({ by: 'clock', troubled: true })
  const later = order[3]!
  log.add('step-done', { stepId: later }, 600)
  expect(observedMinutes(log.events).some(entry => entry.operationId === later)).toBe(false)
})

it('gathers the words of a job', () => {
  const log = TestLog.open(coverAndPart())
    .add('note-added', { stepId: null, text: 'Rodent nest in the bell' })
    .add('trouble-raised', { troubleId: 't', stepId: null, text: 'Stud snapped', waitsFor: null, until: null })
  expect(jobWords(log.state)).toMatch(/Test car Make Model 2015 Somebody[\s\S]*Rodent nest[\s\S]*Stud snapped/)
})
