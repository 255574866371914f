import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { checkPack } from './check-pack'
import { optionCombinations } from './combinations'
import { expandPack, PackError } from './expand-pack'
import { knots } from './knots'
import type { When } from '../pack/kinds'
import type { OperationSource } from '../pack/operations'
import type { Pack } from '../pack/pack'

const option = (id: string) => ({
  id,
  sentence: `${id} …`,
  choices: ['1', '2'].map(choice => ({ id: choice, label: choice })),
  default: '1',
  school: false,
})
const someWhen = fc.oneof(
  { weight: 3, arbitrary: fc.constant<When>([]) },
  fc
    .record({ option: fc.constantFrom('x', 'y', 'z'), choice: fc.constantFrom('1', '2') })
    .map(({ option: id, choice }): When => [{ [id]: [choice] }]),
)

/** Small packs with three options, some of which make cycles or leave things off. */
const somePack = fc
  .record({
    operations: fc.array(fc.record({ when: someWhen, takes: fc.boolean(), puts: fc.boolean() }), {
      minLength: 3,
      maxLength: 6,
    }),
    links: fc.array(fc.record({ before: fc.nat(5), after: fc.nat(5), when: someWhen }), { maxLength: 8 }),
  })
  .map(({ operations, links }): Pack =>
    smallPack(
      {
        items: [{ id: 'thing', name: 'Thing', state: 'off' }],
        operations: operations.map(({ when, takes, puts }, index) =>
          operation(`o${index}`, {
            phase: 'bench',
            when,
            takesOff: takes ? { thing: 1 } : {},
            putsBack: puts ? { thing: 1 } : {},
          }),
        ),
        links: links
          .filter(
            each => each.before !== each.after && each.before < operations.length && each.after < operations.length,
          )
          .map(each => link(`o${each.before}`, `o${each.after}`, { mirror: false, when: each.when })),
      },
      { options: ['x', 'y', 'z'].map(option) },
    ),
  )

/** Whether any combination of options goes wrong, by trying all of them. */
function wrongUnderSome(pack: Pack): boolean {
  return optionCombinations(pack).some(options => {
    try {
      const { operations } = expandPack(pack, options)
      return operations.reduce((sum, each) => sum + (each.takesOff.thing ?? 0) - (each.putsBack.thing ?? 0), 0) !== 0
    } catch (error) {
      if (error instanceof PackError) return true
      throw error
    }
  })
}

describe('a pack checked by the options that bear on a fault', () => {
  it('is found wrong just when some combination of all options goes wrong', () => {
    let wrong = 0
    fc.assert(
      fc.property(somePack, pack => {
        const truth = wrongUnderSome(pack)
        expect(checkPack(pack, {}).length > 0).toBe(truth)
        if (truth) wrong++
      }),
      { numRuns: 400, seed: 20261106 },
    )
    expect(wrong).toBeGreaterThan(80)
    expect(wrong).toBeLessThan(380)
  })

  it('names the choices under which it goes wrong', () => {
    const pack = smallPack(
      {
        items: [{ id: 'thing', name: 'Thing', state: 'off' }],
        operations: [
          operation('a', { phase: 'bench', takesOff: { thing: 1 } }),
          operation('b', { phase: 'bench', putsBack: { thing: 1 }, when: [{ x: ['2'] }] }),
        ],
      },
      { options: ['x', 'y'].map(option) },
    )
    expect(checkPack(pack, {})).toEqual([
      { path: 'modules[only].items[thing]', reason: '1 taken off and never put back (x=1)' },
    ])
  })
  it('refuses to look through more combinations than anybody could, unless it meets a fault among those it draws', () => {
    const many = Array.from({ length: 14 }, (_, index) => option(`o${index}`))
    const off = (id: string, when: OperationSource['when']) =>
      operation(id, { phase: 'bench', takesOff: { thing: 1 }, when })
    const packOf = (operations: OperationSource[]) =>
      smallPack({ items: [{ id: 'thing', name: 'Thing', state: 'off' }], operations }, { options: many })
    const often = packOf(many.map((each, index) => off(`a${index}`, [{ [each.id]: ['2'] }])))
    expect(checkPack(often, {})[0]!.reason).toMatch(/taken off and never put back \(o0=/)
    const hardlyEver = packOf([off('a', [Object.fromEntries(many.map(each => [each.id, ['2']]))])])
    expect(checkPack(hardlyEver, {})[0]!.reason).toBe(
      '16384 combinations of options bear on this; at most 8192 can be looked at',
    )
  })
  it('wants a way to bring the car up and down under every choice', () => {
    const pack = smallPack({ operations: [operation('a')] }, { options: [option('x')] })
    pack.positions[0]!.when = [{ x: ['1'] }]
    expect(checkPack(pack, {})).toEqual([{ path: 'positions', reason: 'no way to bring the car to "raised" (x=2)' }])
  })
})

it('finds the knots of a network', () => {
  const links = [
    ['a', 'b'],
    ['b', 'c'],
    ['c', 'a'],
    ['c', 'd'],
    ['d', 'e'],
    ['e', 'd'],
    ['f', 'a'],
  ].map(([before, after]) => ({ before: before!, after: after! }))
  const found = knots(links)
  expect([...found.keys()].sort()).toEqual(['a', 'b', 'c', 'd', 'e'])
  expect(found.get('a')).toBe(found.get('c'))
  expect(found.get('d')).toBe(found.get('e'))
  expect(found.get('a')).not.toBe(found.get('d'))
})
