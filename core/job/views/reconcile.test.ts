import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { cautionsToRead } from '../chapters/cautions'
import { openBeforeHandover } from './before-handover'
import { ledgerLines, newPartsOf } from './reconcile'

const pack = smallPack(
  {
    items: [
      { id: 'nut', name: 'Locking nut', state: 'off', goesTo: 'bag 1', singleUse: 'It grips once.' },
      { id: 'bolt', name: 'Bolt', state: 'off', group: 'bolts' },
      { id: 'plug', name: 'Plug', state: 'unplugged' },
    ],
    groups: [{ id: 'bolts', name: 'Bolts', count: 2, part: 'vehicle' }],
    operations: [
      operation('apart', {
        takesOff: { nut: 2, bolt: 2 },
        cautions: ['heavy', 'note'],
        figure: 'bolts',
        refit: { kind: 'mirror', override: { title: 'Together' } },
      }),
      operation('unplug', {
        takesOff: { plug: 1 },
        cautions: ['heavy'],
        refit: { kind: 'mirror', override: { title: 'Plug in' } },
      }),
    ],
  },
  {
    cautions: [
      { id: 'heavy', title: 'Heavy', text: 'Two people.', serious: true, sign: 'heavy' },
      { id: 'note', title: 'Glasses', text: 'Put them on.', serious: false, sign: 'eye' },
    ],
  },
)
const open = () => TestLog.open(pack)

describe('serious cautions', () => {
  it('hold a step until they are read, once for the job', () => {
    const log = open()
    expect(cautionsToRead(log.state, 'apart').map(caution => caution.id)).toEqual(['heavy'])
    expect(log.refusal('step-done', { stepId: 'apart' })).toContain('Two people')
    log.add('caution-acknowledged', { cautionIds: ['heavy'] })
    expect(log.refusal('step-done', { stepId: 'apart' })).toBeNull()
    expect(cautionsToRead(log.state, 'unplug')).toEqual([])
    expect(log.refusal('caution-acknowledged', { cautionIds: ['rain'] })).toContain('"rain"')
  })
})

describe('reconciling what came off', () => {
  const apart = () =>
    open()
      .add('caution-acknowledged', { cautionIds: ['heavy'] })
      .done('apart', 'unplug')
  const settled = (log: TestLog) =>
    Object.fromEntries(ledgerLines(log.state).map(line => [line.item.id, line.settlement]))
  it('lists everything that ever came off with what became of it', () => {
    expect(ledgerLines(open().state)).toEqual([])
    const log = apart()
    expect(ledgerLines(log.state).map(line => [line.item.id, line.count, line.most])).toEqual([
      ['nut', 2, 2],
      ['bolt', 2, 2],
      ['plug', 1, 1],
    ])
    log.done('unplug.refit').add('left-open', { entry: 'item:bolt', reason: 'Thread is gone.' })
    expect(settled(log)).toEqual({ nut: 'off', bolt: 'left', plug: 'back' })
    log.add('entry-replaced', { itemId: 'nut', by: 'New nuts' }).done('apart.refit')
    expect(ledgerLines(log.state).find(line => line.item.id === 'nut')).toMatchObject({
      settlement: 'replaced',
      words: 'New nuts',
      count: 0,
    })
    expect(openBeforeHandover(log.state).filter(entry => entry.kind === 'item')).toEqual([])
  })
  it('refuses an old part where a new one goes in, by its rule or by how its bolts came out', () => {
    const log = apart()
    expect(newPartsOf(log.state, 'apart.refit').map(({ item, by }) => [item.id, by])).toEqual([['nut', null]])
    expect(log.refusal('step-done', { stepId: 'apart.refit' })).toContain('It grips once')
    log.add('entry-replaced', { itemId: 'nut', by: 'New' })
    expect(log.refusal('step-done', { stepId: 'apart.refit' })).toBeNull()
    log.add('figure-named', {
      group: 'bolts',
      torqueNm: 20,
      sourceKind: 'vehicle-book',
      reference: 'Book, page 4',
      renew: 'always',
    })
    expect(log.refusal('step-done', { stepId: 'apart.refit' })).toContain('Book, page 4')
    log.add('entry-replaced', { itemId: 'bolt', by: 'New bolts' })
    expect(log.refusal('step-done', { stepId: 'apart.refit' })).toBeNull()
  })
  it('replaces nothing that never came off', () => {
    expect(open().refusal('entry-replaced', { itemId: 'nut', by: 'New' })).toContain('come off')
  })
})
