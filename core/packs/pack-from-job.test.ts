import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { checkPack } from './check-pack'
import { expandPack } from './expand-pack'
import { packFromJob } from './pack-from-job'

const pack = smallPack(
  {
    items: [{ id: 'cover', name: 'Cover', state: 'off' }],
    operations: [
      operation('cover-off', { takesOff: { cover: 1 }, refit: { kind: 'mirror', override: { title: 'Cover on' } } }),
      operation('look'),
      operation('measure'),
      operation('deep', { when: [{ depth: ['deep'] }] }),
      operation('shallow', { when: [{ depth: ['shallow'] }] }),
      operation('both', { when: [{ depth: ['deep'], help: ['two'] }] }),
    ],
    links: [link('cover-off', 'look'), link('look', 'deep', { when: [{ depth: ['deep'] }] })],
  },
  {
    options: [
      {
        id: 'depth',
        sentence: 'Go …',
        choices: [
          { id: 'deep', label: 'deep' },
          { id: 'shallow', label: 'shallow' },
        ],
        default: 'shallow',
        school: false,
      },
      {
        id: 'help',
        sentence: 'With …',
        choices: [
          { id: 'one', label: 'one' },
          { id: 'two', label: 'two', hands: 2 },
        ],
        default: 'one',
        school: false,
      },
    ],
  },
)

describe('packFromJob', () => {
  const procedure = expandPack(pack, { depth: 'deep', help: 'two' })
  const order = ['cover-off', 'measure', 'look', 'both', 'deep', 'cover-off.refit']
  const own = packFromJob(
    pack,
    { options: procedure.options, order, because: 'Our order on job 7.' },
    procedure.links,
    'ours',
    'Ours',
  )

  it('settles the job’s choices, and keeps the one that says how many hands there are', () => {
    expect(own.options.map(option => [option.id, option.default])).toEqual([['help', 'two']])
    expect(own.modules[0]!.operations.map(entry => entry.id)).toEqual(['cover-off', 'look', 'measure', 'deep', 'both'])
    expect(own.modules[0]!.operations.find(entry => entry.id === 'both')!.when).toEqual([{ help: ['two'] }])
    expect(checkPack(own, {})).toEqual([])
  })
  it('expands to just that order, each habit with its because', () => {
    const again = expandPack(own, { help: 'two' })
    expect(again.operations.map(entry => entry.id)).toEqual(order)
    expect(
      again.links.filter(entry => entry.kind === 'habit').every(entry => entry.because === 'Our order on job 7.'),
    ).toBe(true)
    expect(
      again.links.some(entry => entry.before === 'measure' && entry.after === 'look' && entry.kind === 'habit'),
    ).toBe(true)
    expect(expandPack(own, { help: 'one' }).operations.map(entry => entry.id)).not.toContain('both')
  })
  it('holds what this car needed besides, and not what it had no use for', () => {
    const beyond = packFromJob(
      pack,
      {
        options: procedure.options,
        order: ['cover-off', 'own-1', ...order.slice(2, -1), 'own-1.refit', 'cover-off.refit'],
        because: 'Ours',
        added: [
          {
            stepId: 'own-1',
            title: 'Bracket off',
            phase: 'strip',
            place: 'top',
            car: 'either',
            minutes: 10,
            tools: [],
            cautions: [],
            after: [],
            before: ['look'],
            takesOff: [{ id: 'own-1-bolts', name: 'bracket bolts', count: 3, state: 'off', isFastener: true }],
            refit: { title: 'Bracket on', minutes: 8 },
          },
        ],
        leftOut: ['measure'],
      },
      procedure.links,
      'ours',
      'Ours',
    )
    expect(checkPack(beyond, {})).toEqual([])
    const again = expandPack(beyond, { help: 'two' })
    const ids = again.operations.map(entry => entry.id)
    expect(ids).not.toContain('measure')
    expect(ids.indexOf('own-1')).toBeLessThan(ids.indexOf('look'))
    expect(ids).toContain('own-1.refit')
    expect(again.groups.map(group => [group.id, group.count])).toEqual([['own-1-bolts', 3]])
    expect(again.operations.find(entry => entry.id === 'own-1.refit')!.minutes[1]).toBe(8)
  })
  it('ties what was added before as much of the proving as it was on the job', () => {
    const proved = smallPack({
      items: [{ id: 'cover', name: 'Cover', state: 'off' }],
      operations: [
        operation('cover-off', { takesOff: { cover: 1 }, refit: { kind: 'mirror', override: { title: 'Cover on' } } }),
        operation('look'),
        operation('pedal', { phase: 'prove' }),
        operation('drive', { phase: 'prove' }),
      ],
      links: [link('cover-off', 'look'), link('pedal', 'drive', { mirror: false })],
    })
    const { links } = expandPack(proved)
    const job = { options: {}, order: ['cover-off', 'look', 'pedal', 'cover-off.refit', 'drive'], because: 'Ours' }
    const added = {
      stepId: 'own-1',
      title: 'Bracket off',
      phase: 'strip' as const,
      place: 'top' as const,
      car: 'either' as const,
      minutes: 10,
      tools: [],
      cautions: [],
      after: [],
      before: ['look'],
      takesOff: [{ id: 'own-1-bracket', name: 'bracket', count: 1, state: 'off' as const, isFastener: false }],
      refit: { title: 'Bracket on', minutes: 8 },
    }
    const because = 'The car is whole before it is proved.'
    const tied = [{ before: 'own-1.refit', after: 'drive', kind: 'safety' as const, because, waitMinutes: 0 }]
    const own = packFromJob(proved, { ...job, added: [added] }, [...links, ...tied], 'ours', 'Ours')
    const after = expandPack(own)
      .links.filter(each => each.before === 'own-1.refit')
      .map(each => each.after)
    expect(after).toContain('drive')
    expect(after).not.toContain('pedal')
  })
})
