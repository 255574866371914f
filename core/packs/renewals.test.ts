import { describe, expect, it } from 'vitest'
import { link, operation } from '../../tests/support/small-pack'
import type { ReachablePart } from '../pack/sheets'
import { renewingOf } from './renewals'
import type { RenewalSource } from './shelf'

const part = (id: string): ReachablePart => ({
  id,
  name: id,
  part: `${id}-part`,
  reachedBy: ['opened'],
  minutes: [1, 2, 3],
  chance: 0.1,
  because: 'It wears.',
  sheets: [],
  schools: [],
})
const work = (change: Partial<RenewalSource> = {}): RenewalSource => ({
  id: 'seal',
  title: 'Seal',
  sentence: 'The seal is …',
  left: 'left as it is',
  ways: [
    { id: 'driven', label: 'driven in' },
    { id: 'pressed', label: 'pressed in' },
  ],
  items: [],
  facts: [],
  groups: [],
  parts: [],
  assumes: {},
  operations: [
    operation('seal-in', { parts: { 'seal-part': 1 } }),
    operation('press', { when: [{ seal: ['pressed'] }] }),
  ],
  links: [link('seal-in', 'press')],
  ...change,
})
const layout = (change: Partial<Parameters<typeof renewingOf>[2]> = {}) => ({
  operations: [operation('opened')],
  steps: new Set(['opened']),
  decided: new Set<string>(),
  ...change,
})

describe('renewingOf', () => {
  it('asks about the part as an option that leaves it unless a way is chosen, and puts its work under the ways', () => {
    const [found] = renewingOf([work({ goesWith: { line: 'opened' } })], [part('seal')], layout())
    expect(found!.option).toMatchObject({ id: 'seal', default: 'left', renews: 'seal' })
    expect(found!.option.choices.map(({ id }) => id)).toEqual(['left', 'driven', 'pressed'])
    expect(found!.module.operations.map(({ when }) => when)).toEqual([
      [{ seal: ['driven', 'pressed'] }],
      [{ seal: ['pressed'] }],
    ])
    expect(found!.module.links[0]!.when).toEqual([{ seal: ['driven', 'pressed'] }])
    expect(found!.part.option).toEqual({
      id: 'seal',
      choice: 'driven',
      others: ['pressed'],
      left: 'left',
      goesWith: { line: 'opened' },
      steps: ['seal-in', 'press'],
    })
  })
  it('asks nothing where the part is not laid open, the layout decides it, or its work uses it up anyway', () => {
    const asked = (change: Partial<Parameters<typeof renewingOf>[2]>) =>
      renewingOf([work()], [part('seal')], layout(change)).length
    expect(asked({})).toBe(1)
    expect(asked({ steps: new Set(['elsewhere']) })).toBe(0)
    expect(asked({ decided: new Set(['seal']) })).toBe(0)
    expect(asked({ operations: [operation('fit', { parts: { 'seal-part': 1 } })] })).toBe(0)
    const refit = { kind: 'mirror' as const, override: { title: 'Fit it', parts: { 'seal-part': 1 } } }
    expect(asked({ operations: [operation('off', { refit })] })).toBe(0)
    expect(asked({ operations: [operation('fit', { parts: { 'seal-part': 1 }, when: [{ line: ['opened'] }] })] })).toBe(
      1,
    )
  })
  it('refuses work for a part that nothing lays open', () => {
    expect(() => renewingOf([work()], [part('bush')], layout())).toThrow(
      'renewals[seal]: no part in reach is called "seal"',
    )
  })
})
