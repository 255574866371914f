import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import type { Ladder } from '../../pack/ladders'
import { openBeforeHandover } from './before-handover'
import { currentRung, laddersAt, ladderSpent } from './ladders'
import { summarise } from './summary'

const rung = (id: string, change: object = {}) => ({
  id,
  title: `Rung ${id}`,
  text: 'Do it.',
  minutes: 10,
  tools: [],
  parts: [],
  ...change,
})
const ladder = (id: string, change: Partial<Ladder> = {}): Ladder => ({
  id,
  title: `Trouble ${id}`,
  when: [],
  steps: [],
  everywhere: false,
  cautions: [],
  rungs: [
    rung('soft'),
    rung('hot', { hot: true, precautions: ['Water stands here'], parts: ['Bolt'] }),
    rung('shop', { waits: true }),
  ],
  ...change,
})
const pack = smallPack(
  { operations: [operation('pull', {}), operation('other', {})] },
  {
    ladders: [
      ladder('rest', { when: ['sheared'] }),
      ladder('any', { everywhere: true }),
      ladder('pull', { steps: ['pull'] }),
    ],
  },
)
const open = () =>
  TestLog.open(pack).add('ladder-opened', {
    ladderRunId: 'r',
    ladderId: 'pull',
    stepId: 'pull',
    text: 'It will not come',
  })
const begin = (rungId: string, ticked: string[] = []) => ({ ladderRunId: 'r', rungId, ticked })
const end = (rungId: string, outcome: 'worked' | 'failed' | 'stopped') => ({
  ladderRunId: 'r',
  rungId,
  outcome,
  note: null,
})

describe('trouble ladders', () => {
  it('are offered by the step first', () => {
    const { state } = open()
    expect(laddersAt(state, 'pull').map(entry => entry.id)).toEqual(['pull', 'any', 'rest'])
    expect(laddersAt(state, 'other').map(entry => entry.id)).toEqual(['any', 'rest', 'pull'])
  })
  it('are climbed rung by rung, and end with the one that works; its parts go on the list', () => {
    const log = open()
    expect(currentRung(log.state, log.state.ladderRuns[0]!)).toMatchObject({ rung: { id: 'soft' }, try: null })
    log.add('rung-begun', begin('soft')).add('rung-ended', end('soft', 'failed'))
    expect(currentRung(log.state, log.state.ladderRuns[0]!)).toMatchObject({ rung: { id: 'hot' }, place: 1 })
    log.add('rung-begun', begin('hot', ['Water stands here'])).add('rung-ended', end('hot', 'worked'))
    expect(log.state.ladderRuns[0]).toMatchObject({
      solvedBy: 'hot',
      tries: [{ outcome: 'failed' }, { outcome: 'worked' }],
    })
    expect(log.state.addedParts).toMatchObject([{ name: 'Bolt', because: 'It will not come: Rung hot' }])
    expect(log.refusal('rung-begun', begin('shop'))).toContain('closed')
  })
  it('let no hot work begin before every precaution is ticked', () => {
    const log = open()
    expect(log.refusal('rung-begun', begin('hot'))).toBe('Not before this is so: Water stands here.')
    expect(log.refusal('rung-begun', begin('hot', ['Water stands here']))).toBeNull()
  })
  it('refuse two rungs at once, one tried before, and what is not there', () => {
    const log = open().add('rung-begun', begin('soft'))
    expect(log.refusal('rung-begun', begin('shop'))).toContain('how the rung before went')
    expect(log.refusal('rung-ended', end('shop', 'worked'))).toContain('not being tried')
    log.add('rung-ended', end('soft', 'failed'))
    expect(log.refusal('rung-begun', begin('soft'))).toContain('tried already')
    expect(log.refusal('rung-begun', begin('moon'))).toContain('no rung "moon"')
    expect(log.refusal('ladder-opened', { ladderRunId: 'x', ladderId: 'moon', stepId: null, text: 'x' })).toContain(
      'no ladder',
    )
  })
  it('stay open when the last rung fails, until somebody says what follows; then the job waits for that and ends later', () => {
    const log = open()
    const before = summarise(TestLog.open(pack).state).workLeft!
    for (const id of ['soft', 'hot', 'shop'])
      log.add('rung-begun', begin(id, id === 'hot' ? ['Water stands here'] : [])).add('rung-ended', end(id, 'failed'))
    expect(ladderSpent(log.state, log.state.ladderRuns[0]!)).toBe(true)
    expect(log.state.troubles).toMatchObject([{ troubleId: 'r', cleared: null }])
    log.add('ladder-left', {
      ladderRunId: 'r',
      end: 'machine-shop',
      waitsFor: 'Machine shop',
      until: '2026-03-05T08:00:00.000Z',
      minutes: 90,
    })
    expect(ladderSpent(log.state, log.state.ladderRuns[0]!)).toBe(false)
    expect(summarise(log.state)).toMatchObject({
      status: 'waiting',
      waitsFor: 'Machine shop',
      waitsUntil: '2026-03-05T08:00:00.000Z',
      workLeft: expect.closeTo(before + 90, 6),
    })
    expect(openBeforeHandover(log.state).some(entry => entry.entry === 'trouble:r')).toBe(true)
    log.add('trouble-cleared', { troubleId: 'r', how: 'The shop drilled it out' })
    expect(summarise(log.state)).toMatchObject({ waitsFor: null, workLeft: expect.closeTo(before, 6) })
  })
  it('say which one they are about', () => {
    const log = TestLog.open(pack).add('ladder-opened', {
      ladderRunId: 'r',
      ladderId: 'pull',
      stepId: 'pull',
      text: 'It will not come',
      about: 'the left one',
    })
    expect(log.state.troubles[0]!.text).toBe('It will not come: the left one')
  })
  it('move the finish by the rung they stand at, and hold the job up where they wait', () => {
    const before = summarise(TestLog.open(pack).state).workLeft
    const log = open()
    expect(summarise(log.state).workLeft).toBe(before + 10)
    log.add('rung-begun', begin('shop'))
    expect(summarise(log.state)).toMatchObject({ status: 'waiting', waitsFor: 'Rung shop' })
    log.add('rung-ended', end('shop', 'worked'))
    expect(summarise(log.state)).toMatchObject({ workLeft: before, waitsFor: null })
  })
})
