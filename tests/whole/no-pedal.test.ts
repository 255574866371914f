import { expect, it, describe } from 'vitest'
import { expandPack } from '../../core/packs'
import type { Pack } from '../../core/packs'
import { drawn } from '../support/drawn'
import { shelf } from '../support/packs'

/** What nobody reads who works on a box without a clutch pedal; the brake is worked by a foot as well. */
const NO_PEDAL = /\b((?<!without a )pedal|master cylinder|free play)\b/i
/** And on one without a clutch. */
const NO_CLUTCH = /\b(pedal|clutch|slave|master cylinder|release-bearing|pressure-plate|free play|bleed\w*)\b/i
const hasClutch = ({ bench }: Pack) => bench.sheets.some(sheet => sheet.judges.some(({ kind }) => kind === 'disc-wear'))
const WORDS = new Set([
  'title',
  'name',
  'label',
  'text',
  'about',
  'because',
  'skill',
  'aloneWay',
  'say',
  'look',
  'says',
  'todo',
  'how',
  'sentence',
  'ignored',
  'risk',
  'gentle',
  'milestone',
  'routine',
  'bad',
  'choices',
  'approach',
  'treatment',
  'goesTo',
  'singleUse',
])

/** Every sentence of a value, with where it stands. */
function sentences(value: unknown, path = '', read = false): [path: string, text: string][] {
  if (typeof value === 'string') return read ? [[path, value]] : []
  if (Array.isArray(value)) return value.flatMap((entry, index) => sentences(entry, `${path}[${index}]`, read))
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, entry]) => sentences(entry, `${path}.${key}`, WORDS.has(key)))
}

const without = [...shelf.packs.values()].filter(pack => pack.control && !pack.control.pedal)

it('is a layout or more that has none', () => {
  expect(without.length).toBeGreaterThan(0)
})

describe.each(without)('$id', pack => {
  it('has no pedal words and no pedal sheets, and where it has no clutch none of its words, whatever is chosen', () => {
    // Tools and outlines are those of every car.
    const { tools: _tools, toolWords: _words, outlines: _outlines, ...own } = pack
    const words = hasClutch(pack) ? NO_PEDAL : NO_CLUTCH
    const foreign = sentences(own).filter(([, text]) => words.test(text))
    expect(foreign).toEqual([])
    expect(pack.bench.sheets.some(sheet => sheet.row === 'pedal')).toBe(false)
    expect(pack.bleeding).toEqual([])
  })
  it('says what it has instead: lever, park and level, or what is taught and remembered', () => {
    const instead = hasClutch(pack) ? ['taught', 'gears-on', 'memory'] : ['selector', 'park', 'fluid']
    for (const options of drawn(pack)) {
      const { operations, closing, control } = expandPack(pack, options)
      const ids = new Set(operations.map(operation => operation.id))
      expect(closing.map(check => check.id)).toEqual(expect.arrayContaining(instead))
      expect(control!.steps.length).toBeGreaterThan(5)
      for (const step of control!.steps) expect(ids.has(step), step).toBe(true)
    }
  })
})
