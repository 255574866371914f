import { expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { checkPack } from './check-pack'
import type { Pack } from '../pack/pack'

/** A box on two bolts, let down on a jack; the jack goes when `bolts` say so. */
const boxOn = (bolts: 'snug' | 'set'): Pack =>
  smallPack(
    {
      items: [
        { id: 'jack', name: 'Jack', state: 'propped', foot: 'floor' },
        { id: 'bolt', name: 'Bolt', state: 'off', group: 'bolts' },
      ],
      groups: [{ id: 'bolts', name: 'Bell bolts', count: 2, part: 'vehicle' }],
      loads: [{ id: 'box', name: 'Box', heldBy: [{ prop: 'jack' }, { bolts: { group: 'bolts', atFigure: 2 } }] }],
      operations: [
        operation('jack-under', {
          takesOff: { jack: 1 },
          refit: { kind: 'mirror', override: { title: 'Jack away' } },
        }),
        operation('bolts-out', {
          tools: [],
          takesOff: { bolt: 2 },
          refit: {
            kind: 'mirror',
            override:
              bolts === 'snug' ? { title: 'Bolts in', leaves: 'snug' } : { title: 'Bolts set', figure: 'bolts' },
          },
        }),
        operation('look', { phase: 'bench' }),
        operation('all-set', { phase: 'refit', figure: 'bolts' }),
      ],
      links: [
        link('bolts-out', 'look'),
        { before: 'jack-under', after: 'bolts-out', kind: 'safety', because: 'It falls.', when: [], mirror: true },
        {
          before: 'jack-under.refit',
          after: 'all-set',
          kind: 'access',
          because: 'The jack is in the way.',
          when: [],
          mirror: false,
        },
        {
          before: 'bolts-out.refit',
          after: 'all-set',
          kind: 'physical',
          because: 'In first.',
          when: [],
          mirror: false,
        },
      ],
    },
    {},
  )
const faults = (pack: Pack) => checkPack(pack, {}).map(({ path, reason }) => `${path}: ${reason}`)

it('names the load that hangs, the step after which it does, and what lacks', () => {
  expect(faults(boxOn('snug'))).toEqual([
    'loads[box]: after step "jack-under.refit": Box: no Jack carries it, 0 of 2 at their figure: Bell bolts.',
  ])
})
it('finds nothing where the bolts are set before the jack goes', () => {
  expect(faults(boxOn('set'))).toEqual([])
})
it('wants the loads and props that are named', () => {
  const pack = boxOn('set')
  pack.modules[0]!.loads![0]!.heldBy.push({ prop: 'rope' })
  pack.modules[0]!.operations[0]!.settles = ['boxes']
  expect(faults(pack)).toEqual([
    'modules[only].operations[jack-under]: unknown load "boxes"',
    'loads[box]: unknown item "rope"',
  ])
})
