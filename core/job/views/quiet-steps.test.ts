import { expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { quietSteps } from './quiet-steps'

const pack = (third: object) =>
  smallPack({
    operations: [operation('first', {}), operation('second', {}), operation('third', third), operation('fourth', {})],
  })
const after = (log: TestLog, id: string) => quietSteps(log.state, id)

it('are those that follow in the same trip and ask for nothing', () => {
  const log = TestLog.open(pack({}))
  expect(after(log, 'first')).toEqual(['second', 'third', 'fourth'])
  for (const id of ['first', ...after(log, 'first')]) log.add('step-done', { stepId: id })
  expect(Object.keys(log.state.done)).toEqual(['first', 'second', 'third', 'fourth'])
})
it('end before the first one that asks', () => {
  const reading = { kind: 'choice', id: 'seal', name: 'Seal', choices: ['dry'], required: false }
  expect(after(TestLog.open(pack({ readings: [reading] })), 'first')).toEqual(['second'])
  expect(after(TestLog.open(pack({ readings: [reading] })), 'third')).toEqual(['fourth'])
})
