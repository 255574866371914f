import { describe, expect, it } from 'vitest'
import { coverAndPart, link, operation, smallPack } from '../../tests/support/small-pack'
import { checkPack } from './check-pack'
import { optionCombinations } from './combinations'
import type { Pack } from '../pack/pack'

const reasons = (pack: Pack) => checkPack(pack, {}).map(fault => `${fault.path}: ${fault.reason}`)
const changed = (change: (pack: Pack) => void) => {
  const pack = coverAndPart()
  change(pack)
  return reasons(pack)
}

describe('checkPack', () => {
  it('finds nothing in a sound pack', () => {
    expect(reasons(coverAndPart())).toEqual([])
  })
  it('finds unknown ids where they stand', () => {
    expect(
      changed(pack => {
        pack.modules[0]!.operations[0]!.tools = ['wand']
      }),
    ).toEqual(['modules[only].operations[cover-off]: unknown tool "wand"'])
    expect(
      changed(pack => {
        pack.modules[0]!.links.push(link('cover-off', 'nowhere'))
      })[0],
    ).toContain('unknown operation "nowhere"')
    expect(
      changed(pack => {
        pack.modules[0]!.operations[0]!.when = [{ weather: ['wet'] }]
      })[0],
    ).toContain('unknown option "weather"')
    expect(
      changed(pack => {
        pack.modules[0]!.operations[0]!.needs = ['peace']
      })[0],
    ).toContain('unknown fact "peace"')
  })
  it('finds a bolt map that leads nowhere or counts otherwise than its group', () => {
    const withBoard = (board: object, count = 1) =>
      changed(pack => {
        pack.outlines = [{ id: 'ring', name: 'Ring', circleMm: 100, marks: [] }]
        pack.modules[0]!.groups = [
          {
            id: 'bolts',
            name: 'Bolts',
            count,
            part: 'vehicle',
            board: { outline: 'ring', places: [{ id: 'a', x: 0, y: 9 }], ...board },
          },
        ]
      })
    expect(withBoard({})).toEqual([])
    expect(withBoard({ outline: 'moon' })[0]).toBe('modules[only].groups[bolts].board.outline: unknown outline "moon"')
    expect(withBoard({ clearFor: 'nothing' })[0]).toContain('unknown operation "nothing"')
    expect(withBoard({ places: [{ id: 'a', x: 0, y: 9, offWith: 'magic' }] })[0]).toContain(
      'places[a].offWith: unknown operation "magic"',
    )
    expect(withBoard({}, 3)[0]).toContain('the group has 3 bolts, its map 1')
    expect(
      withBoard(
        {
          places: [
            { id: 'a', x: 0, y: 9 },
            { id: 'b', x: 0, y: 9 },
          ],
        },
        2,
      )[0],
    ).toContain('stands twice')
  })
  it('finds a ladder that asks for what is not there', () => {
    const ladder = {
      id: 'out',
      title: 'The way out',
      when: ['sheared'],
      steps: [],
      everywhere: true,
      cautions: ['fire'],
      rungs: [{ id: 'one', title: 'Pull', text: 'Pull it out', tools: ['wand'], parts: [] }],
    }
    expect(
      changed(pack => {
        pack.ladders = [ladder]
      }),
    ).toEqual(['ladders[out].cautions: unknown caution "fire"', 'ladders[out].rungs[one].tools: unknown tool "wand"'])
  })
  it('finds an id used twice', () => {
    expect(
      changed(pack => {
        pack.modules[0]!.operations.push(operation('look'))
      })[0],
    ).toContain('"look" stands twice')
  })
  it('finds words that the term table lacks', () => {
    expect(
      changed(pack => {
        pack.modules[0]!.operations[0]!.title = 'Lift the {sprocket}'
      }),
    ).toEqual(['modules[only].operations[cover-off].title: the term table has no "{sprocket}"'])
  })
  it('finds a ledger that does not come back to zero', () => {
    expect(
      changed(pack => {
        pack.modules[0]!.operations[2]!.takesOff = { cover: 1 }
      })[0],
    ).toContain('items[cover]')
    expect(
      changed(pack => {
        pack.modules[0]!.operations[2]!.putsBack = { part: 1 }
      })[0],
    ).toContain('1 put back that nobody took off')
  })
  it('finds a cycle', () => {
    expect(
      changed(pack => {
        pack.modules[0]!.links.push(link('look', 'cover-off', { mirror: false }))
      })[0],
    ).toContain('cycle: cover-off → part-off → look → cover-off')
  })
  it('finds a thing taken off for no reason', () => {
    expect(
      changed(pack => {
        pack.modules[0]!.links.shift()
      })[0],
    ).toContain('a link with its because is missing')
  })
  it('finds a fact that nothing brings about', () => {
    const pack = smallPack({
      facts: [{ id: 'held', name: 'Held', because: 'Falls.', kind: 'safety', initially: false }],
      operations: [operation('a', { phase: 'bench', needs: ['held'] })],
    })
    expect(reasons(pack)[0]).toContain('nothing brings about "held"')
  })
})

it('finds a bleeding by a way that is not there', () => {
  const pack = smallPack({
    operations: [operation('bleed', { phase: 'fill', activity: { kind: 'bleed', way: 'magic' } })],
  })
  expect(checkPack(pack, {})).toContainEqual({
    path: 'modules[only].operations[bleed]',
    reason: 'unknown way of bleeding "magic"',
  })
})

it('counts every combination of options', () => {
  const option = (id: string, choices: string[]) => ({
    id,
    sentence: `${id} …`,
    choices: choices.map(choice => ({ id: choice, label: choice })),
    default: choices[0]!,
    school: false,
  })
  const pack = smallPack(
    { operations: [operation('a')] },
    { options: [option('x', ['1', '2']), option('y', ['1', '2', '3'])] },
  )
  expect(optionCombinations(pack)).toHaveLength(6)
  expect(new Set(optionCombinations(pack).map(each => JSON.stringify(each))).size).toBe(6)
})
