import { expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { checkPack } from './check-pack'
import { expandPack } from './expand-pack'
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
    'loads[box]: at step "jack-under.refit": Box hangs. Jack: away. Bell bolts: 0 of 2 at their figure.',
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

/** A face that is greased, washed and covered; a seal that is out while something is cut. */
const dirty = (change: { washes?: string[] }): Pack =>
  smallPack({
    items: [{ id: 'hole', name: 'Seal out', state: 'open' }],
    surfaces: [{ id: 'face', name: 'Friction face', because: 'Grease makes the disc grab.' }],
    operations: [
      operation('greased', {
        phase: 'bench',
        soils: ['face'],
        takesOff: { hole: 1 },
        refit: { kind: 'by', operation: 'disc-on' },
      }),
      ...(change.washes ? [operation('washed', { phase: 'bench', washes: change.washes })] : []),
      operation('disc-on', { phase: 'bench', wantsClean: ['face'], putsBack: { hole: 1 } }),
      operation('floor-cut', { phase: 'bench', wantsShut: ['hole'] }),
    ],
    links: [link('greased', 'disc-on', { mirror: false }), link('greased', 'floor-cut', { mirror: false })],
  })
it('names the face that is covered dirty, and wants it washed', () => {
  expect(faults(dirty({}))).toEqual([
    'surfaces[face]: at step "disc-on": Friction face: not clean since “Do greased”. Grease makes the disc grab.',
  ])
  expect(faults(dirty({ washes: ['face'] }))).toEqual([])
})
it('does what flies before an opening gapes, or when it is shut', () => {
  const { links } = expandPack(dirty({ washes: ['face'] }))
  const order = links.filter(({ after }) => after === 'floor-cut').map(({ before }) => before)
  expect(order).toContain('disc-on')
})
/** A seal that comes out, gets its rag and goes in; what is cut in between, and when by the way it is written. */
const ragged = (after: string, change: { covers?: string; state?: 'open' } = {}): Pack =>
  smallPack({
    items: [
      { id: 'hole', name: 'Seal out', state: 'open' },
      { id: 'rag', name: 'Rag in the hole', state: 'propped', covers: 'hole', ...change },
    ],
    operations: [
      operation('seal-out', { phase: 'bench', takesOff: { hole: 1 }, refit: { kind: 'by', operation: 'seal-in' } }),
      operation('rag-in', { phase: 'bench', takesOff: { rag: 1 }, refit: { kind: 'by', operation: 'rag-out' } }),
      operation('rag-out', { phase: 'bench', putsBack: { rag: 1 } }),
      operation('seal-in', { phase: 'bench', putsBack: { hole: 1 } }),
      operation('floor-cut', { phase: 'bench', wantsShut: ['hole'] }),
    ],
    links: [
      ...(['seal-out', 'rag-in', 'rag-out', 'seal-in'] as const).map((id, index, all) =>
        link(id, all[index + 1] ?? 'seal-in', { mirror: false }),
      ),
      link(after, 'floor-cut', { mirror: false }),
    ].filter(({ before, after: late }) => before !== late),
  })
it.each([
  ['rag-in', ['rag-in'], ['rag-out']],
  ['seal-out', ['rag-in'], ['rag-out']],
  ['rag-out', ['rag-in', 'seal-in'], []],
])('what flies after %s is written flies while the rag is in, or when the seal is', (after, earlier, later) => {
  const pack = ragged(after)
  expect(faults(pack)).toEqual([])
  const { links } = expandPack(pack)
  const ofOpening = links.filter(({ because }) => because.includes('what flies'))
  expect(ofOpening.filter(link => link.after === 'floor-cut').map(({ before }) => before)).toEqual(earlier)
  expect(ofOpening.filter(link => link.before === 'floor-cut').map(link => link.after)).toEqual(later)
})
it('wants the opening that a cover names', () => {
  expect(faults(ragged('seal-out', { covers: 'gap' }))).toContain('items[rag].covers: unknown item "gap"')
})
it('wants the surfaces and openings that are named', () => {
  const pack = dirty({ washes: ['rim'] })
  pack.modules[0]!.operations[0]!.wantsShut = ['gap']
  expect(faults(pack)).toEqual([
    'modules[only].operations[greased]: unknown item "gap"',
    'modules[only].operations[washed]: unknown surface "rim"',
  ])
})
