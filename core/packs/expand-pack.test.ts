import { describe, expect, it } from 'vitest'
import { coverAndPart, link, operation, smallPack } from '../../tests/support/small-pack'
import { expandPack, PackError } from './expand-pack'
import type { Pack, PackModule } from '../pack/pack'

const ids = (pack: Parameters<typeof expandPack>[0], options = {}) =>
  expandPack(pack, options).operations.map(({ id }) => id)

describe('expandPack', () => {
  it('writes the refit backwards', () => {
    expect(ids(coverAndPart())).toEqual(['cover-off', 'part-off', 'look', 'part-off.refit', 'cover-off.refit'])
  })
  it('puts back in the refit what the strip took off', () => {
    const refit = expandPack(coverAndPart()).operations.find(({ id }) => id === 'part-off.refit')!
    expect(refit).toMatchObject({
      title: 'Part on',
      putsBack: { part: 3 },
      takesOff: {},
      phase: 'refit',
      undoes: 'part-off',
      place: 'under',
    })
  })
  it('turns access round for the refit, with its sentence', () => {
    const mirrored = expandPack(coverAndPart()).links.find(
      each => each.before === 'part-off.refit' && each.after === 'cover-off.refit',
    )!
    expect(mirrored.kind).toBe('access')
    expect(mirrored.because).toContain('cover-off is in the way of part-off')
  })
  it('uses the words given for the other way round', () => {
    const pack = coverAndPart()
    pack.modules[0]!.links[0]!.mirrorBecause = 'The cover goes over the part.'
    expect(expandPack(pack).links.some(each => each.because === 'The cover goes over the part.')).toBe(true)
  })
  it('prints a cycle as a path', () => {
    const pack = smallPack({
      operations: ['a', 'b', 'c'].map(id => operation(id)),
      links: [link('a', 'b'), link('b', 'c'), link('c', 'a')],
    })
    expect(() => expandPack(pack)).toThrow('a → b → c → a')
  })
  it('keeps the longest wait between the same two steps', () => {
    const pack = smallPack({
      operations: [operation('a'), operation('b')],
      links: [link('a', 'b'), link('a', 'b', { waitMinutes: 30 })],
    })
    expect(expandPack(pack).links).toHaveLength(1)
    expect(expandPack(pack).links[0]!.waitMinutes).toBe(30)
  })
})

describe('options', () => {
  const pack = smallPack(
    {
      operations: [operation('always'), operation('only-new', { when: [{ part: ['new'] }] })],
      links: [link('only-new', 'always', { when: [{ part: ['new'] }] })],
    },
    {
      options: [
        {
          id: 'part',
          sentence: 'The part is …',
          choices: [
            { id: 'kept', label: 'kept' },
            { id: 'new', label: 'new' },
          ],
          default: 'kept',
          school: false,
        },
      ],
    },
  )
  it('take their default and leave out what does not apply', () => {
    expect(ids(pack)).toEqual(['always'])
    expect(ids(pack, { part: 'new' })).toEqual(['only-new', 'always'])
  })
  it('are refused by name', () => {
    expect(() => expandPack(pack, { part: 'gold' })).toThrow(
      new PackError('options.part', '"gold" is not one of kept, new'),
    )
    expect(() => expandPack(pack, { colour: 'red' })).toThrow('has no option "colour"')
  })
})

describe('facts', () => {
  const fact = { id: 'held', name: 'Held', because: 'It falls otherwise.', kind: 'safety', initially: false } as const
  it('put the one who needs it between giving and ending', () => {
    const pack = smallPack({
      facts: [fact],
      operations: [
        operation('mount-off', { needs: ['held'] }),
        operation('hold', { gives: ['held'], refit: { kind: 'mirror', override: { title: 'Let go' } } }),
      ],
    })
    expect(ids(pack)).toEqual(['hold', 'mount-off', 'hold.refit'])
    expect(expandPack(pack).links.find(each => each.after === 'mount-off')).toMatchObject({
      kind: 'safety',
      because: 'It falls otherwise.',
    })
  })
  it('that hold at first are needed before the end or after the return, by phase', () => {
    const pack = smallPack({
      facts: [{ ...fact, initially: true }],
      operations: [
        operation('release', { ends: ['held'], refit: { kind: 'mirror', override: { title: 'Back' } } }),
        operation('early', { phase: 'test', needs: ['held'] }),
        operation('late', { phase: 'prove', needs: ['held'] }),
      ],
    })
    expect(ids(pack)).toEqual(['early', 'release', 'release.refit', 'late'])
  })
  it('can hold the car at its height', () => {
    const pack = smallPack({
      facts: [{ ...fact, carStays: 'raised' }],
      operations: [
        operation('jack', {
          place: 'under',
          car: 'raised',
          gives: ['held'],
          refit: { kind: 'mirror', override: { title: 'Jack away' } },
        }),
        operation('from-above', { car: 'ground' }),
        operation('later', { phase: 'prove', car: 'ground' }),
      ],
    })
    expect(ids(pack)).toEqual(['from-above', 'jack', 'jack.refit', 'later'])
  })
})

describe('what is propped', () => {
  const jack = { id: 'jack', name: 'Jack', state: 'propped' as const }
  const work = (more: Partial<PackModule>) =>
    smallPack({
      items: [jack],
      operations: [
        operation('jack-under', {
          place: 'under',
          car: 'raised',
          takesOff: { jack: 1 },
          refit: { kind: 'mirror', override: { title: 'Jack away' } },
        }),
        operation('from-above', { car: 'ground' }),
        operation('settled', { phase: 'test', settles: ['box'] }),
      ],
      ...more,
    })
  const because = (pack: Pack) => expandPack(pack).links.map(link => [link.before, link.after, link.because])

  it('keeps the car at its height with a foot on the floor, and not with one on the car', () => {
    expect(because(work({ items: [{ ...jack, foot: 'floor' }] }))).toContainEqual([
      'from-above',
      'jack-under',
      'Jack stands on the floor: the car keeps its height as long as it does.',
    ])
    expect(because(work({ items: [{ ...jack, foot: 'car' }] }))).toEqual([
      ['jack-under', 'jack-under.refit', expect.any(String)],
    ])
  })
  it('is away before what it carries settles', () => {
    const loads = [{ id: 'box', name: 'Box', heldBy: [{ prop: 'jack' }] }]
    expect(because(work({ loads }))).toContainEqual([
      'jack-under.refit',
      'settled',
      'Box has to hang by itself and settle; tightened while something carries it, it stays twisted.',
    ])
    expect(expandPack(work({ loads })).loads).toEqual(loads)
  })
})
