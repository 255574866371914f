import { describe, expect, it } from 'vitest'
import type { Fact } from '../../pack/operations'
import type { JobState } from '../chapters'
import { forbiddenNow, guardWords } from './guards'

const fact = (id: string, guards?: Fact['guards']): Fact => ({
  id,
  name: id,
  because: `Because of ${id}.`,
  kind: 'safety',
  initially: true,
  ...(guards ? { guards } : {}),
})
const facts = [fact('slave-home', 'pedal'), fact('line-closed', 'pedal'), fact('shaft-in', 'park'), fact('level')]
const holding = (...held: string[]) => forbiddenNow({ procedure: { facts }, facts: held } as unknown as JobState)

describe('forbiddenNow', () => {
  it('is nothing while all holds, or what does not hold guards nothing', () => {
    expect(holding('slave-home', 'line-closed', 'shaft-in')).toEqual([])
  })
  it('names each guard once, with the first fact that is missing', () => {
    expect(holding().map(({ guard, fact }) => [guard, fact.id])).toEqual([
      ['pedal', 'slave-home'],
      ['park', 'shaft-in'],
    ])
  })
  it('has a tag and a sentence for each', () => {
    for (const { guard } of holding()) expect(guardWords[guard].sentence).toMatch(/\.$/)
  })
})
