import { describe, expect, it } from 'vitest'
import { bench, packs } from '../../core'
import type { SheetValues } from '../../core/bench'
import { Chance } from '../../stand-ins/chance'
import { fillIn } from '../support/filled-sheet'
import { shelf } from '../support/packs'

const number = (value: number) => ({ kind: 'number', entry: { entered: String(value), value } }) as const
const numbers = (values: Record<string, number>): SheetValues =>
  Object.fromEntries(Object.entries(values).map(([id, value]) => [id, number(value)]))
const sheets = packs.expandPack(shelf.packs.get('fwd-transverse')!).bench.sheets
const sheet = (id: string) => sheets.find(entry => entry.id === id)!
const use = numbers({ engine: 180, factor: 1, mass: 1500, ratio: 14, tyre: 310, speed: 1500, load: 20, starts: 3 })
const plain = {
  clamp: 5000,
  outer: 228,
  inner: 150,
  faces: 2,
  friction: 0.3,
  fingers: 3.5,
  lift: 0.8,
  peak: 1,
  iron: 8,
}
const one = (id: string, change: Partial<typeof plain> = {}, more: SheetValues = {}) => ({
  id,
  name: id,
  values: { ...numbers({ ...plain, ...change }), ...more },
})
const pedal: SheetValues = {
  linkage: { kind: 'choice', answer: 'hydraulic' },
  ...numbers({ travel: 145, ratio: 6, free: 6, lost: 0, master: 19.05, slave: 20.64, fork: 1.6, most: 20 }),
}
const compare = (candidates: ReturnType<typeof one>[], change: SheetValues = {}, foot: SheetValues = {}) =>
  bench.sideBySide({ sheet: sheet('capacity'), values: { ...use, ...change } }, candidates, [
    { sheet: sheet('pedal-geometry'), values: foot },
  ])

describe('clutches side by side', () => {
  it('takes the one that fits and is lightest to press, and says why not the others', () => {
    const found = compare([one('Strong', { clamp: 7000 }), one('Weak', { clamp: 2800 }), one('Plain')])
    expect(found.ranked.map(({ name, fits }) => [name, fits])).toEqual([
      ['Plain', true],
      ['Strong', true],
      ['Weak', false],
    ])
    expect(found.advised).toBe('Plain')
    // By hand, even wear: 0.3 × 5000 N × 2 × 94.5 mm = 283.5 N·m; any handbook of mechanics.
    expect(
      found.ranked[0]!.verdict.findings.find(each => each.judge === 'torque-capacity')!.figures[0]!.value,
    ).toBeCloseTo(283.5, 6)
    // By hand: 5000 N / 3.5 at the bearing.
    expect(found.ranked[0]!.least).toBeCloseTo(1428.57, 2)
    expect(found.because).toMatch(/^Plain: /)
    expect(found.because).toContain('Strong fits too, and is heavier to press.')
    expect(found.because).toMatch(/Not Weak: .*slips/)
  })
  it.each([
    ['the car asks more', { engine: number(400) }, {}, {}, /slips/],
    ['a row of starts on a hill', { starts: number(100) }, {}, {}, /100 of them in a row burn the lining/],
    ['its lining is gone', {}, {}, { used: { kind: 'choice', answer: 'used' }, ...worn(4.1) }, /Not Plain/],
    [
      'its springs were blue',
      {},
      {},
      { used: { kind: 'choice', answer: 'used' }, heat: { kind: 'choice', answer: 'blue' } },
      /lost load/,
    ],
    ['the slave does not move it far enough', {}, { ...pedal, fork: number(4.5) }, {}, /it drags/],
    ['the fingers are pushed too far', {}, { ...pedal, most: number(8) }, {}, /fingers stand/],
  ] as const)('refuses it where %s', (_why, change, foot, more, words) => {
    const found = compare([one('Plain', {}, more as SheetValues)], change, foot)
    expect([found.ranked[0]!.fits, found.advised]).toEqual([false, null])
    expect(found.because).toMatch(/^No clutch of these fits\./)
    expect(found.because).toMatch(words)
  })
  it('puts the whole way from the foot to the plate into the question where the pedal is measured', () => {
    const kinds = (foot: SheetValues) =>
      compare([one('Plain')], {}, foot).ranked[0]!.verdict.findings.map(each => each.judge)
    expect(kinds({})).not.toContain('release-chain')
    expect(kinds(pedal)).toContain('release-chain')
    // By hand: a second disc halves the lift of each face.
    const lift = (faces: number) =>
      compare([one('Plain', { faces })], {}, pedal)
        .ranked[0]!.verdict.findings.find(each => each.judge === 'release-chain')!
        .figures.find(each => each.name === 'lift of each face')!.value
    expect(lift(2) / lift(4)).toBeCloseTo(2, 9)
  })
  it('does not judge what it does not know', () => {
    const found = compare([{ id: 'x', name: 'Unread', values: {} }, one('Plain')])
    expect(found.ranked.map(({ name, fits }) => [name, fits])).toEqual([
      ['Plain', true],
      ['Unread', false],
    ])
    expect(found.because).toContain('Unread: not enough is known of it.')
    expect(found.ranked[1]!.verdict.wanted).toContain('Clamp load')
  })
})

describe('cylinders side by side', () => {
  const set = (id: string, values: Record<string, number>) => ({ id, name: id, values: numbers(values) })
  it('takes what releases with the least force, by Pascal: way by the square of the bores', () => {
    const found = bench.sideBySide(
      { sheet: sheet('pedal-geometry'), values: { ...pedal, ...numbers({ fingers: 3, load: 1500 }) } },
      [
        set('Old', { master: 19.05, slave: 20.64, lost: 0 }),
        set('Large', { master: 22.2, slave: 20.64, lost: 0 }),
        set('Small', { master: 10.5, slave: 20.64, lost: 0 }),
      ],
      [],
    )
    expect(found.advised).toBe('Old')
    const foot = Object.fromEntries(found.ranked.map(each => [each.id, each.least!]))
    expect(foot['Large']! / foot['Old']!).toBeCloseTo((22.2 / 19.05) ** 2, 6)
    expect(found.because).toMatch(/Not Small: .*drags/)
  })
})

it('lays no cylinders side by side on a car that has none', () => {
  const offered = (id: string, options: Record<string, string> = {}) =>
    packs
      .expandPack(shelf.packs.get(id)!, options)
      .bench.sheets.filter(entry => entry.beside)
      .map(entry => entry.id)
  expect(offered('classic-rwd')).toEqual(['capacity'])
  expect(offered('manual-swap', { slave: 'linkage' })).toEqual(['capacity'])
  expect(offered('manual-swap')).toEqual(expect.arrayContaining(['capacity', 'pedal-geometry']))
})

describe.each([...shelf.packs.keys()])('what lies side by side on %s', id => {
  const { sheets: here } = packs.expandPack(shelf.packs.get(id)!).bench
  it('is ranked whatever is entered, by a figure that its computation gives', () => {
    for (const each of here.filter(entry => entry.beside)) {
      const own = { ...bench.sheetOfOne(each) }
      let decided = 0
      for (let seed = 1; seed <= 60; seed++) {
        const chance = new Chance(seed)
        const others = here.map(other => ({ sheet: other, values: fillIn(other, chance) }))
        const candidates = ['a', 'b', 'c'].map(name => ({ id: name, name, values: fillIn(own, chance) }))
        const found = bench.sideBySide({ sheet: each, values: fillIn(each, chance) }, candidates, others)
        expect(found.ranked.map(entry => entry.id).sort()).toEqual(['a', 'b', 'c'])
        expect(found.because).not.toMatch(/NaN|undefined|Infinity/)
        expect(found.ranked.every((entry, index, all) => entry.fits || !all[index + 1]?.fits)).toBe(true)
        decided += found.ranked.filter(entry => entry.least !== null).length
      }
      expect(decided, each.id).toBeGreaterThan(0)
    }
  })
})

function worn(thicknessMm: number): SheetValues {
  const entry = { entered: String(thicknessMm), value: thicknessMm }
  return {
    thickness: { kind: 'points', entries: [entry, entry, entry] },
    ...numbers({ 'thick-new': 8, 'thick-least': 5 }),
  }
}
