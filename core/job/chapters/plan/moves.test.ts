import { expect, it } from 'vitest'
import { expandPack } from '../../../packs'
import { planJob } from '../../../sequence'
import { TestLog } from '../../../../tests/support/job-log'
import { operation, smallPack, sealOption } from '../../../../tests/support/small-pack'
import { summarise } from '../../views/summary'
import { noCircumstances } from './circumstances'

const pack = {
  ...smallPack({
    operations: [
      operation('look', {}),
      operation('cover', { phase: 'strip' }),
      operation('seal-in', { minutes: [8, 10, 14], when: [{ seal: ['renewed'] }] }),
    ],
  }),
  options: [sealOption],
}
const clock = { at: '2026-03-02T09:00:00.000Z', minutes: 0, utcOffsetMinutes: 0 }
const left = { stepId: 'cover', reason: 'This car has none', at: clock.at, utcOffsetMinutes: 0 }
function renewed() {
  const procedure = expandPack(pack, { seal: 'renewed' })
  const decided = { decisions: [], because: 'It wept' }
  return { procedure, plan: planJob(procedure), circumstances: noCircumstances, clock, decided }
}

it('tells what moved the plan, by how much and why', () => {
  const log = TestLog.open(pack).add('options-switched', renewed()).done('look').add('step-left-out', left)
  const { moves } = log.state
  expect(moves.map(({ because, minutes }) => [because, Math.sign(minutes)])).toEqual([
    ['It wept', 1],
    ['This car has none', -1],
  ])
  expect(moves[0]).toMatchObject({ words: 'Another way of doing it', personId: 'p', at: log.events[2]!.deviceTime })
  expect(moves[0]!.minutes).toBeGreaterThanOrEqual(10)
  expect(summarise(log.state).moved).toEqual(moves[1])
})

it('tells nothing of what was undone, nor of steps done', () => {
  const log = TestLog.open(pack).add('options-switched', renewed())
  log.add('undone', { eventId: log.events.at(-1)!.id }).done('look')
  expect(log.state.moves).toEqual([])
})
