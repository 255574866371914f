import { expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { shelf } from '../../../tests/support/packs'
import { hangingSince } from './hanging-since'

const opened = TestLog.open(shelf.packs.get('fwd-transverse')!)
const order = opened.state.plan!.order
/** A job worked off with the jack of the box away, its bolts as they are then. */
function jackAway(): TestLog {
  const log = new TestLog()
  log.events.push(...opened.events)
  return log.done(...order.slice(0, order.indexOf('box-jack-under.refit') + 1))
}
const group = 'bell-bolts'
const setAll = (log: TestLog, stand: 'snug' | 'feel') =>
  log.add('bolts-in', { group, boltIds: log.state.boards[group]!.bolts.map(({ id }) => id), stand })
const when = (log: TestLog) => log.events.at(-1)!.deviceTime

it('is told for nothing that is held', () => {
  expect(hangingSince(opened.events)).toEqual({})
  expect(hangingSince(jackAway().events)).toEqual({})
})
it('is the act by which it came to hang, whatever was done after it', () => {
  const log = setAll(jackAway(), 'snug')
  const since = when(log)
  log.add('note-added', { stepId: null, text: 'Lunch' }, 30)
  expect(hangingSince(log.events)).toEqual({ box: since })
})
it('begins anew where it was held in between', () => {
  const log = setAll(setAll(jackAway(), 'snug'), 'feel')
  setAll(log.add('note-added', { stepId: null, text: 'Lunch' }, 30), 'snug')
  expect(hangingSince(log.events)).toEqual({ box: when(log) })
})
it('is over when it is undone', () => {
  const log = setAll(jackAway(), 'snug')
  log.add('undone', { eventId: log.events.at(-1)!.id })
  expect(hangingSince(log.events)).toEqual({})
})
it('goes back to where it came to hang, where what held it in between was undone', () => {
  const log = setAll(jackAway(), 'snug')
  const since = when(log)
  setAll(log, 'feel').add('undone', { eventId: log.events.at(-1)!.id })
  expect(hangingSince(log.events)).toEqual({ box: since })
})
it('is found however long ago it was', () => {
  const log = setAll(jackAway(), 'snug')
  const since = when(log)
  for (let count = 0; count < 300; count++) log.add('note-added', { stepId: null, text: 'Lunch' }, 1)
  expect(hangingSince(log.events)).toEqual({ box: since })
})
