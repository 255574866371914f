import { describe, expect, it } from 'vitest'
import { expandPack } from '../packs'
import { operation, smallPack } from '../../tests/support/small-pack'
import type { Load } from '../pack/loads'
import type { PackModule } from '../pack/pack'
import { simulate } from './simulate'

const box: Load = {
  id: 'box',
  name: 'Box',
  out: 'box-away',
  heldBy: [{ prop: 'jack' }, { fitted: ['mount'], bolts: { group: 'bolts', atFigure: 2 } }],
}
/** A box on four bolts and a mount, with a jack on the floor; nothing is linked, so that any order may be tried. */
const module: Partial<PackModule> = {
  items: [
    { id: 'jack', name: 'Jack', state: 'propped', foot: 'floor' },
    { id: 'mount', name: 'Mount', state: 'off' },
    { id: 'bolt', name: 'Bolt', state: 'off', group: 'bolts' },
    { id: 'box-away', name: 'Box', state: 'off' },
    { id: 'loose', name: 'Bolts not at torque', state: 'slack', group: 'bolts' },
  ],
  groups: [{ id: 'bolts', name: 'Bell bolts', count: 4, part: 'vehicle' }],
  loads: [box],
  operations: [
    operation('jack-under', { car: 'raised', takesOff: { jack: 1 } }),
    operation('mount-off', { takesOff: { mount: 1 } }),
    operation('bolts-off', { takesOff: { bolt: 4 } }),
    operation('box-down', { takesOff: { 'box-away': 1 } }),
    operation('box-up', { putsBack: { 'box-away': 1 } }),
    operation('two-snug', { putsBack: { bolt: 2 }, leaves: 'snug' }),
    operation('two-set', { putsBack: { bolt: 2 }, figure: 'bolts' }),
    operation('all-set', { figure: 'bolts' }),
    operation('slackened', { takesOff: { loose: 3 } }),
    operation('all-started', { takesOff: { loose: 4 }, putsBack: { bolt: 4 } }),
    operation('mount-on', { putsBack: { mount: 1 } }),
    operation('jack-away', { putsBack: { jack: 1 } }),
    operation('rocked', { settles: ['box'] }),
    operation('on-the-ground', { car: 'ground' }),
  ],
}
// Expanding would add the links that keep these orders from coming about.
const procedure = { ...expandPack(smallPack(module)), links: [] }
const worked = (...order: string[]) => simulate(procedure, order)

describe('what is held', () => {
  it('is held by its bolts and its mount, by its jack, and by the floor that it lies on', () => {
    expect(
      worked(
        'jack-under',
        'mount-off',
        'bolts-off',
        'box-down',
        'jack-away',
        'jack-under',
        'box-up',
        'two-snug',
        'two-set',
        'mount-on',
        'jack-away',
      ),
    ).toEqual([])
  })
  it('falls with its mount, where no jack is under it', () => {
    expect(worked('mount-off')).toEqual([
      { rule: 'held', step: 'mount-off', what: 'box', because: 'Box hangs. Jack: away. Mount: off.' },
    ])
  })
  it('hangs on nothing while its bolts are snug, until they are set', () => {
    const up = ['jack-under', 'bolts-off', 'two-snug']
    expect(worked(...up, 'jack-away')).toMatchObject([
      { step: 'jack-away', because: 'Box hangs. Jack: away. Bell bolts: 0 of 4 at their figure.' },
    ])
    expect(worked(...up, 'all-set', 'jack-away')).toEqual([])
  })
  it('counts what is slackened, or told as not final as it goes in, as holding nothing', () => {
    expect(worked('slackened')).toMatchObject([{ rule: 'held', step: 'slackened' }])
    expect(worked('jack-under', 'bolts-off', 'all-started', 'jack-away')).toMatchObject([{ step: 'jack-away' }])
  })
  it('may be in a hand for one step, where it is light enough', () => {
    const light = { ...procedure, loads: [{ ...box, byHand: true }] }
    expect(simulate(light, ['mount-off', 'jack-under'])).toEqual([])
    expect(simulate(light, ['mount-off'])).toMatchObject([{ step: 'mount-off' }])
    expect(simulate(light, ['mount-off', 'on-the-ground', 'jack-under'])).toMatchObject([{ step: 'mount-off' }])
  })
})

it('keeps the car at its height over what stands on the floor', () => {
  expect(worked('jack-under', 'on-the-ground')).toEqual([
    {
      rule: 'height',
      step: 'on-the-ground',
      what: 'jack',
      because: 'Jack stands on the floor: the car keeps its height as long as it does.',
    },
  ])
  expect(worked('jack-under', 'jack-away', 'on-the-ground')).toEqual([])
})
it('lets nothing settle that something carries', () => {
  expect(worked('jack-under', 'rocked')).toEqual([
    { rule: 'settled', step: 'rocked', what: 'box', because: 'Box does not hang by itself: Jack carries it.' },
  ])
  expect(worked('jack-under', 'jack-away', 'rocked')).toEqual([])
})
const clean = {
  ...expandPack(
    smallPack({
      items: [
        { id: 'hole', name: 'Seal out', state: 'open' },
        { id: 'rag', name: 'Rag in the hole', state: 'propped', covers: 'hole' },
      ],
      surfaces: [{ id: 'face', name: 'Friction face', because: 'Grease makes the disc grab.' }],
      operations: [
        operation('greased', { soils: ['face'] }),
        operation('washed', { washes: ['face'] }),
        operation('disc-on', { wantsClean: ['face'] }),
        operation('seal-out', { takesOff: { hole: 1 } }),
        operation('rag-in', { takesOff: { rag: 1 } }),
        operation('rag-out', { putsBack: { rag: 1 } }),
        operation('seal-in', { putsBack: { hole: 1 } }),
        operation('floor-cut', { wantsShut: ['hole'] }),
      ],
    }),
  ),
  links: [],
}
it('lets nothing dirty be covered, and counts what was soiled after the wash', () => {
  expect(simulate(clean, ['greased', 'washed', 'disc-on'])).toEqual([])
  for (const order of [
    ['greased', 'disc-on'],
    ['washed', 'greased', 'disc-on'],
  ])
    expect(simulate(clean, order)).toEqual([
      {
        rule: 'clean',
        step: 'disc-on',
        what: 'face',
        because: 'Friction face: not clean since “Do greased”. Grease makes the disc grab.',
      },
    ])
})
it('lets nothing fly while an opening gapes', () => {
  expect(simulate(clean, ['floor-cut', 'seal-out', 'seal-in', 'floor-cut'])).toEqual([])
  expect(simulate(clean, ['seal-out', 'floor-cut'])).toEqual([
    { rule: 'shut', step: 'floor-cut', what: 'hole', because: 'Seal out: what flies falls in.' },
  ])
})
it('calls an opening shut as long as its cover is there', () => {
  expect(simulate(clean, ['seal-out', 'rag-in', 'floor-cut', 'rag-out', 'seal-in'])).toEqual([])
  expect(simulate(clean, ['seal-out', 'rag-in', 'rag-out', 'floor-cut'])).toMatchObject([
    { rule: 'shut', what: 'hole' },
  ])
})

it('tells the first breach of a kind once, and nothing of a job that says of no load', () => {
  expect(worked('mount-off', 'bolts-off', 'two-snug')).toHaveLength(1)
  expect(simulate({ ...procedure, loads: undefined }, ['mount-off'])).toEqual([])
})
