import { expect, it } from 'vitest'
import { coverAndPart } from '../../tests/support/small-pack'
import { checkAnswers } from './check-answers'
import { knownAnswers } from './known-answers'
import type { BadAnswer, ReadingSpec } from '../pack/readings'

function withReading(change: Partial<Extract<ReadingSpec, { kind: 'choice' }>>) {
  const pack = coverAndPart()
  pack.modules[0]!.operations[0]!.readings = [
    {
      kind: 'choice',
      id: 'face',
      name: 'Face',
      choices: ['clean', 'cracked'],
      required: true,
      ...change,
    } as ReadingSpec,
  ]
  return pack
}
const reasons = (change: Parameters<typeof withReading>[0]) =>
  checkAnswers(withReading(change)).map(fault => fault.reason)
const bad = (change: Partial<BadAnswer> = {}): BadAnswer => ({ because: 'It tears the lining.', ...change })

it('lets no bad answer pass without a consequence', () => {
  expect(reasons({})).toEqual(['"cracked" is no good answer: it stops the step, has a consequence, or is watched'])
  expect(reasons({ stops: ['cracked'] })).toEqual([])
  expect(reasons({ bad: { cracked: bad() } })).toEqual([])
  expect(reasons({ watch: ['cracked'] })).toEqual([])
})
it('wants one good answer, and ways out that there are', () => {
  expect(reasons({ stops: ['cracked', 'clean'] })).toEqual(['no answer is good'])
  expect(
    reasons({ bad: { cracked: bad({ ladder: 'moon', renews: ['cheese'], options: { tide: ['low'] } }) } }),
  ).toEqual(['unknown option "tide"', 'unknown part "cheese"', 'unknown ladder "moon"'])
})
it('leaves out the ways a layout has not, and only watches what its fixed choices deal with', () => {
  const [operation] = withReading({ bad: { cracked: bad({ options: { flywheel: ['new'] }, ladder: 'moon' }) } })
    .modules[0]!.operations
  const known = (fixed: Record<string, string>) =>
    knownAnswers(operation!, { options: [], fixed, parts: new Set(), ladders: new Set(), sheets: new Set() })
      .readings[0]
  expect(known({})).toMatchObject({ bad: { cracked: { because: 'It tears the lining.' } } })
  expect(known({ flywheel: 'new' })).toMatchObject({ watch: ['cracked'] })
  expect(known({ flywheel: 'new' })).not.toHaveProperty('bad')
})
