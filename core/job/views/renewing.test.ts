import { describe, expect, it } from 'vitest'
import { expandPack } from '../../packs'
import type { Pack } from '../../packs'
import type { ReachablePart } from '../../pack/sheets'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { choicesFor, isPlanned, renewedBy, withChoice } from './renewing'

const option = (id: string, choices: string[], renews?: string) => ({
  id,
  sentence: 'It is …',
  choices: choices.map(each => ({ id: each, label: each })),
  default: choices[0]!,
  school: false,
  ...(renews ? { renews } : {}),
})
const reachable = (id: string, change: Partial<ReachablePart> = {}): ReachablePart => ({
  id,
  name: id,
  part: id,
  reachedBy: ['open'],
  minutes: [1, 2, 3],
  chance: 0.1,
  because: 'It wears.',
  sheets: [],
  schools: [],
  ...change,
})
const seal = reachable('seal', {
  option: {
    id: 'seal',
    choice: 'driven',
    others: ['pressed'],
    left: 'left',
    goesWith: { line: 'opened' },
    steps: ['drive', 'press'],
  },
})
const bush = reachable('bush')
const pack: Pack = {
  ...smallPack({
    operations: [
      operation('open'),
      operation('drive', { when: [{ seal: ['driven'], line: ['opened'] }], parts: { seal: 1 } }),
      operation('press', { when: [{ seal: ['pressed'] }], parts: { seal: 1 } }),
    ],
    parts: [{ id: 'seal', name: 'Seal' }],
  }),
  options: [option('line', ['aside', 'opened']), option('seal', ['left', 'driven', 'pressed'], 'seal')],
  bench: { sheets: [], orientations: [], oldParts: [], reachable: [seal, bush] },
}
const under = (options: Record<string, string>) => expandPack(pack, options)

describe('what is decided of parts', () => {
  it('is put into the plan with what goes with it, by the usual way unless another is named', () => {
    const left = under({})
    expect(choicesFor(left, [{ part: seal, decision: 'renew' }])).toEqual({ line: 'opened', seal: 'driven' })
    expect(choicesFor(left, [{ part: seal, decision: 'renew', way: 'pressed' }])).toEqual({
      line: 'opened',
      seal: 'pressed',
    })
    expect(choicesFor(left, [{ part: seal, decision: 'leave' }])).toEqual({})
  })
  it('keeps the way it is planned by, and is taken out by the choice that leaves it', () => {
    const renewed = under({ seal: 'pressed', line: 'opened' })
    expect(choicesFor(renewed, [{ part: seal, decision: 'renew' }])).toEqual({})
    expect(choicesFor(renewed, [{ part: seal, decision: 'renew', way: 'driven' }])).toEqual({ seal: 'driven' })
    expect(choicesFor(renewed, [{ part: seal, decision: 'leave' }])).toEqual({ seal: 'left' })
  })
  it('changes nothing where no option of the layout decides it', () => {
    expect(choicesFor(under({}), [{ part: bush, decision: 'renew' }])).toEqual({})
  })
})

it('counts a part as planned only where its work is in the plan', () => {
  expect([renewedBy(under({}), seal), isPlanned(under({}), seal)]).toEqual([null, false])
  const opened = under({ seal: 'driven', line: 'opened' })
  expect([renewedBy(opened, seal), isPlanned(opened, seal)]).toEqual(['driven', true])
  // Chosen, but the line stays shut: nothing of it is done.
  const shut = under({ seal: 'driven' })
  expect([renewedBy(shut, seal), isPlanned(shut, seal)]).toEqual([null, false])
  expect(choicesFor(shut, [{ part: seal, decision: 'renew' }])).toEqual({ line: 'opened' })
  expect(isPlanned(opened, bush)).toBe(false)
})

it('chooses what goes with a part that is renewed, and nothing more with one that is left', () => {
  const options = { line: 'aside', seal: 'left' }
  expect(withChoice(pack, options, 'seal', 'driven')).toEqual({ line: 'opened', seal: 'driven' })
  expect(withChoice(pack, { line: 'opened', seal: 'driven' }, 'seal', 'left')).toEqual({ line: 'opened', seal: 'left' })
  expect(withChoice(pack, options, 'line', 'opened')).toEqual({ line: 'opened', seal: 'left' })
})
