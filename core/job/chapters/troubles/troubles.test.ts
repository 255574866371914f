import { expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { operation, smallPack } from '../../../../tests/support/small-pack'

const pack = smallPack({
  items: [{ id: 'cover', name: 'cover', state: 'off' }],
  groups: [{ id: 'bolts', name: 'bolts', count: 4, part: 'vehicle' }],
  operations: [operation('cover-off', { figure: 'bolts', takesOff: { cover: 1 } })],
})
const raised = (change: { stepId?: string | null; group?: string; itemId?: string }) => ({
  troubleId: 't1',
  stepId: null,
  text: 'It will not come',
  waitsFor: null,
  until: null,
  ...change,
})

it.each([
  [{ stepId: 'nowhere' }, 'nowhere'],
  [{ group: 'none' }, 'none'],
  [{ itemId: 'nothing' }, 'nothing'],
])('a trouble belongs to something that the job knows: %j', (change, words) => {
  expect(TestLog.open(pack).refusal('trouble-raised', raised(change))).toContain(words)
})
it('a trouble of nothing is refused', () => {
  expect(TestLog.open(pack).refusal('trouble-raised', raised({}))).toContain('Say what it is about')
})
it('a trouble of no step belongs to a group or to a thing', () => {
  const log = TestLog.open(pack).add('trouble-raised', raised({ group: 'bolts' }))
  log.add('trouble-raised', { ...raised({ itemId: 'cover' }), troubleId: 't2' })
  expect(log.state.troubles).toMatchObject([{ group: 'bolts' }, { itemId: 'cover' }])
  expect(log.refusal('trouble-raised', raised({ group: 'bolts' }))).toContain('in the log already')
})
