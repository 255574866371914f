import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decisions } from '../../core'
import { shelf } from '../support/packs'

const { rankCauses, nextTest } = decisions
const pair = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no' },
]

describe('Bayes by hand', () => {
  // The textbook example of a rare fault and a good test: 1 in 100 have it, the test finds 90 in 100 of them and errs on 5 in 100 of the
  // others. Of 10 000, 90 + 495 are positive, so 90 / 585 = 2/13 have it. Formula: Bayes' theorem.
  const tables: decisions.CauseTables = {
    id: 't',
    title: 'T',
    origin: 'by hand',
    causes: [
      { id: 'fault', title: 'Fault', prior: 0.01, boxOut: true, todo: '' },
      { id: 'none', title: 'None', prior: 0.99, boxOut: false, todo: '' },
    ],
    tests: [
      {
        id: 'test',
        title: 'Test',
        how: 'do it',
        minutes: 4,
        outcomes: pair,
        usual: [0.05, 0.95],
        given: { fault: [0.9, 0.1] },
      },
    ],
  }
  it('gives 2/13 for one positive', () => {
    expect(rankCauses({ test: 'yes' }, tables).find(rank => rank.cause === 'fault')!.probability).toBeCloseTo(
      2 / 13,
      12,
    )
  })
  it('expects as much information as the formula of mutual information says', () => {
    // I = H(outcome) − H(outcome | cause), the other way round than Eldrin works it out.
    const h = (p: number) => -p * Math.log2(p) - (1 - p) * Math.log2(1 - p)
    const yes = 0.01 * 0.9 + 0.99 * 0.05
    const [worth] = nextTest({}, tables)
    expect(worth!.gainBits).toBeCloseTo(h(yes) - (0.01 * h(0.9) + 0.99 * h(0.05)), 12)
    expect(worth!.bitsPerMinute).toBeCloseTo(worth!.gainBits / 4, 12)
  })
})

describe('by enumeration', () => {
  // Every world of cause and outcomes is written out with its probability, and those that agree with what was found are counted.
  const share = fc.double({ min: 0.02, max: 0.98, noNaN: true })
  it('agrees with counting worlds, for any small model', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 1, noNaN: true }), { minLength: 2, maxLength: 4 }),
        fc.array(fc.array(share, { minLength: 4, maxLength: 4 }), { minLength: 3, maxLength: 3 }),
        fc.array(fc.constantFrom('yes', 'no', null), { minLength: 3, maxLength: 3 }),
        (weights, shares, found) => {
          const total = weights.reduce((sum, weight) => sum + weight, 0)
          const causes = weights.map((weight, index) => ({
            id: `c${index}`,
            title: '',
            prior: weight / total,
            boxOut: false,
            todo: '',
          }))
          const tables: decisions.CauseTables = {
            id: 't',
            title: '',
            origin: '',
            causes,
            tests: shares.map((row, index) => ({
              id: `t${index}`,
              title: '',
              how: '',
              minutes: 1,
              outcomes: pair,
              usual: [0.5, 0.5],
              given: Object.fromEntries(causes.map((cause, at) => [cause.id, [row[at]!, 1 - row[at]!]])),
            })),
          }
          const agree = new Map(causes.map(cause => [cause.id, 0]))
          for (const [at, cause] of causes.entries()) {
            for (let world = 0; world < 8; world++) {
              const outcomes = [0, 1, 2].map(bit => (world >> bit) & 1)
              if (found.some((outcome, index) => outcome !== null && (outcome === 'yes') !== (outcomes[index] === 1)))
                continue
              const probability = outcomes.reduce(
                (product, outcome, index) => product * (outcome ? shares[index]![at]! : 1 - shares[index]![at]!),
                cause.prior,
              )
              agree.set(cause.id, agree.get(cause.id)! + probability)
            }
          }
          const all = [...agree.values()].reduce((sum, value) => sum + value, 0)
          const findings = Object.fromEntries(
            found.flatMap((outcome, index) => (outcome === null ? [] : [[`t${index}`, outcome]])),
          )
          for (const rank of rankCauses(findings, tables))
            expect(rank.probability).toBeCloseTo(agree.get(rank.cause)! / all, 9)
          for (const worth of nextTest(findings, tables)) expect(worth.gainBits).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })
})

describe('the tables that ship', () => {
  // Facts of the trade: a dual-mass flywheel with a seized or broken spring rattles and can also keep gears out; a slave inside
  // the bell cannot leak where the slave sits outside. Common practice, no source.
  const pedal = shelf.causes.find(table => table.id === 'pedal')!
  const share = (findings: Record<string, string>, cause: string, table = pedal) =>
    rankCauses(findings, table).find(rank => rank.cause === cause)?.probability ?? 0
  it('do not drop a dual-mass flywheel that rattles because gears will not go in as well', () => {
    const alone = share({ rattles: 'yes' }, 'dual-mass')
    expect(alone).toBeGreaterThan(0.4)
    expect(share({ rattles: 'yes', 'will-not-select': 'yes' }, 'dual-mass')).toBeGreaterThan(alone * 0.6)
  })
  it('name no inside slave where the slave is outside, in any layout', () => {
    for (const pack of shelf.packs.values()) {
      const operations = new Set(pack.modules.flatMap(module => module.operations.map(({ id }) => id)))
      const inside = [...operations].some(id => id.startsWith('concentric'))
      const tables = decisions.tablesFor(pedal, id => operations.has(id))
      expect(share({ 'pedal-soft': 'yes' }, 'inner-slave', tables) > 0, pack.id).toBe(inside)
    }
  })
})
