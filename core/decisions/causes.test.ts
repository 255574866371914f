import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkTables, tablesFor } from './cause-tables'
import type { CauseTables } from './cause-tables'
import { learnCauses } from './learn-causes'
import { nextTest } from './next-test'
import { boxOutShare, rankCauses } from './rank-causes'

const yesNo = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no' },
]
const tables: CauseTables = {
  id: 'small',
  title: 'Small',
  origin: 'made up for the test',
  causes: [
    { id: 'worn', title: 'Worn', prior: 0.6, boxOut: true, todo: 'New disc' },
    { id: 'oil', title: 'Oil', prior: 0.1, boxOut: true, todo: 'Seal' },
    { id: 'air', title: 'Air', prior: 0.3, boxOut: false, todo: 'Bleed' },
  ],
  tests: [
    {
      id: 'slips',
      title: 'Slips',
      minutes: 0,
      outcomes: yesNo,
      usual: [0.5, 0.5],
      given: { worn: [0.8, 0.2], oil: [0.9, 0.1], air: [0.05, 0.95] },
    },
    {
      id: 'pump',
      title: 'Pump',
      how: 'Pump it',
      minutes: 2,
      outcomes: yesNo,
      usual: [0.1, 0.9],
      given: { air: [0.9, 0.1] },
    },
    {
      id: 'look',
      title: 'Look',
      how: 'Look in',
      minutes: 30,
      outcomes: yesNo,
      usual: [0.02, 0.98],
      given: { oil: [0.9, 0.1] },
    },
  ],
}

describe('rankCauses', () => {
  it('is the priors where nothing was found', () => {
    expect(rankCauses({}, tables).map(rank => [rank.cause, rank.probability])).toEqual([
      ['worn', 0.6],
      ['air', 0.3],
      ['oil', 0.1],
    ])
  })
  it('refuses tests and outcomes that are none', () => {
    expect(() => rankCauses({ smell: 'yes' }, tables)).toThrow('no test "smell"')
    expect(() => rankCauses({ pump: 'maybe' }, tables)).toThrow('One of: yes, no')
    const sure: CauseTables = { ...tables, tests: [{ ...tables.tests[0]!, usual: [0, 1], given: {} }] }
    expect(() => rankCauses({ slips: 'yes' }, sure)).toThrow('No cause in the tables')
  })
  it('does not mind the order in which things were found', () => {
    const [one, other] = [
      rankCauses({ slips: 'yes', pump: 'no' }, tables),
      rankCauses({ pump: 'no', slips: 'yes' }, tables),
    ]
    for (const [index, rank] of one.entries()) expect(rank.probability).toBeCloseTo(other[index]!.probability, 12)
  })
  it('says how likely the box comes out', () => {
    expect(boxOutShare(rankCauses({}, tables), tables)).toBeCloseTo(0.7, 12)
    expect(boxOutShare(rankCauses({ pump: 'yes' }, tables), tables)).toBeLessThan(0.3)
  })
})

describe('nextTest', () => {
  it('prefers what tells much in few minutes, and leaves out what is done or only told', () => {
    const worth = nextTest({}, tables)
    expect(worth.map(entry => entry.test)).toEqual(['pump', 'look'])
    expect(nextTest({ pump: 'yes' }, tables).map(entry => entry.test)).toEqual(['look'])
    expect(worth[0]!.outcomes.find(entry => entry.outcome === 'yes')!.leads).toBe('air')
  })
  it('expects nothing of a test that is the same under every cause', () => {
    const blind = { ...tables, tests: [{ ...tables.tests[1]!, given: {} }] }
    expect(nextTest({}, blind)[0]!.gainBits).toBeCloseTo(0, 12)
  })
})

describe('learnCauses', () => {
  it('draws shares toward what the garage found, and leaves the shipped ones alone', () => {
    const cases = Array.from({ length: 20 }, () => ({ cause: 'oil', findings: { look: 'yes', slips: 'no' } }))
    const own = learnCauses(tables, cases)
    // (0.1 × 20 + 20) / 40, and (0.9 × 20 + 20) / 40.
    expect(own.causes[1]!.prior).toBeCloseTo(0.55, 12)
    expect(own.tests[2]!.given.oil![0]).toBeCloseTo(0.95, 12)
    expect(own.tests[0]!.given.oil).toEqual([(0.9 * 20) / 40, (0.1 * 20 + 20) / 40])
    expect(tables.causes[1]!.prior).toBe(0.1)
    expect(() => checkTables(own)).not.toThrow()
    expect(learnCauses(tables, [{ cause: 'gone', findings: {} }])).toBe(tables)
  })
  it('stays a model whatever is learned (property)', () => {
    const one = fc.record({
      cause: fc.constantFrom('worn', 'oil', 'air', 'other'),
      findings: fc.dictionary(fc.constantFrom('slips', 'pump', 'look', 'smell'), fc.constantFrom('yes', 'no', 'odd')),
    })
    fc.assert(
      fc.property(fc.array(one, { maxLength: 30 }), cases => {
        const own = learnCauses(tables, cases)
        checkTables(own)
        expect(rankCauses({ slips: 'yes' }, own).reduce((sum, rank) => sum + rank.probability, 0)).toBeCloseTo(1, 9)
      }),
    )
  })
})

describe('checkTables', () => {
  it('names the table that is none', () => {
    expect(() => checkTables(tables)).not.toThrow()
    expect(() => checkTables({ ...tables, causes: tables.causes.slice(1) })).toThrow('adds up to 1')
    expect(() => checkTables({ ...tables, tests: [{ ...tables.tests[1]!, usual: [0.5] }] })).toThrow(
      'One share for each of 2',
    )
    expect(() => checkTables({ ...tables, tests: [{ ...tables.tests[1]!, given: { air: [0.5, 0.6] } }] })).toThrow(
      'add up to 1',
    )
    expect(() => checkTables({ ...tables, tests: [{ ...tables.tests[1]!, given: { ghost: [0.5, 0.5] } }] })).toThrow(
      'no cause "ghost"',
    )
  })
})

describe('tablesFor', () => {
  it('leaves out what a layout cannot have, and shares add up to 1 again', () => {
    const narrow = {
      ...tables,
      causes: tables.causes.map(cause => (cause.id === 'air' ? { ...cause, onlyWith: ['bleed'] } : cause)),
    }
    const without = tablesFor(narrow, () => false)
    expect(without.causes.map(cause => cause.id)).toEqual(['worn', 'oil'])
    expect(without.causes.reduce((sum, cause) => sum + cause.prior, 0)).toBeCloseTo(1, 12)
    expect(() => checkTables(without)).not.toThrow()
    expect(tablesFor(narrow, id => id === 'bleed').causes).toHaveLength(3)
  })
})
