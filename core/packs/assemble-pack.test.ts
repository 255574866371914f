import { bayOf } from '../pack/bay'
import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { assemblePack } from './assemble-pack'
import type { LayoutSource, ModuleSource, Shelf } from './shelf'
import { noBench } from './bench-of'
import type { BleedWay } from '../pack/bleeding'
import type { CarDrawing } from '../pack/drawing'
import type { Sheet } from '../pack/sheets'
import type { PackOption } from '../pack/options'

const noChange = { moves: {}, operations: {}, facts: {}, items: {} }
const module = (id: string, change: Partial<ModuleSource>): ModuleSource => ({
  id,
  title: id,
  items: [],
  facts: [],
  groups: [],
  parts: [],
  assumes: {},
  operations: [],
  links: [],
  adjust: noChange,
  ...change,
})
const slave: PackOption = {
  id: 'slave',
  sentence: 'It is …',
  choices: [
    { id: 'aside', label: 'aside' },
    { id: 'opened', label: 'opened' },
  ],
  default: 'aside',
  school: false,
}
const { positions } = smallPack({})

function shelfOf(...modules: ModuleSource[]): Shelf {
  return {
    modules: new Map(modules.map(each => [each.id, each])),
    renewals: [],
    options: [slave],
    tools: [
      { id: 'bar', name: 'Bar' },
      { id: 'saw', name: 'Saw' },
    ],
    toolWords: [],
    cautions: [],
    outlines: [],
    ladders: [],
    sets: {
      mating: new Map(),
      closing: new Map([['none', []]]),
      roadTest: new Map(),
      bleeding: new Map(),
      causes: new Map(),
      control: new Map(),
      bay: new Map([['car', { ...bayOf({}), positions, reach: [], items: [] }]]),
    },
    bench: noBench,
    drawings: [],
  }
}
const layout = (modules: string[], change: Partial<LayoutSource> = {}): LayoutSource => ({
  id: 'l',
  title: 'L',
  version: 1,
  about: 'About',
  uses: { closing: 'none', bay: 'car', causes: [] },
  fixed: {},
  guides: {},
  rank: 1,
  links: [],
  options: [],
  modules: modules.map(id => ({ id, when: [] })),
  ...change,
})
const ids = (pack: ReturnType<typeof assemblePack>) => pack.modules.flatMap(each => each.operations.map(({ id }) => id))

describe('assemblePack', () => {
  const top = module('top', {
    operations: [
      operation('plug', {
        tools: ['bar'],
        takesOff: { plug: 1 },
        refit: { kind: 'mirror', override: { title: 'Plug on', place: 'top' } },
      }),
      operation('look'),
    ],
    links: [link('plug', 'look'), link('plug', 'elsewhere')],
  })
  const other = module('other', { operations: [operation('elsewhere')] })

  it('leaves out links to work that only other layouts have, and tools that nobody uses', () => {
    const pack = assemblePack(layout(['top']), shelfOf(top, other))
    expect(pack.modules[0]!.links.map(each => each.after)).toEqual(['look'])
    expect(pack.tools.map(tool => tool.id)).toEqual(['bar'])
    expect(assemblePack(layout(['top', 'other']), shelfOf(top, other)).modules[0]!.links).toHaveLength(2)
  })
  it('refuses a link that leads nowhere, a module and an option that are not there', () => {
    expect(() => assemblePack(layout(['top']), shelfOf(top))).toThrow(
      'modules[top].links[1]: unknown operation "elsewhere"',
    )
    expect(() => assemblePack(layout(['nowhere']), shelfOf(top, other))).toThrow('there is no module "nowhere"')
    expect(() => assemblePack(layout(['top'], { options: ['colour'] }), shelfOf(top, other))).toThrow(
      'no shared option "colour"',
    )
  })
  it('makes a module from another: elsewhere, in other words, with additions', () => {
    const under = module('under', {
      from: 'top',
      adjust: {
        ...noChange,
        moves: { top: 'under' },
        operations: { plug: { title: 'Reach up' }, 'plug.refit': { minutes: [1, 2, 3] } },
      },
      operations: [operation('look', { title: 'Look from below' })],
    })
    const [made] = assemblePack(layout(['under']), shelfOf(top, other, under)).modules
    const [plug, look] = made!.operations
    expect(plug).toMatchObject({
      place: 'under',
      title: 'Reach up',
      refit: { override: { place: 'under', title: 'Plug on', minutes: [1, 2, 3] } },
    })
    expect(look).toMatchObject({ title: 'Look from below' })
    const wrong = module('wrong', { from: 'top', adjust: { ...noChange, operations: { nothing: { title: 'None' } } } })
    expect(() => assemblePack(layout(['wrong']), shelfOf(top, other, wrong))).toThrow(
      'modules[wrong].adjust.operations: unknown operation "nothing"',
    )
  })
  it('refuses a module made from itself, and words for a fact or item that is not there', () => {
    const one = module('one', { from: 'two' })
    const two = module('two', { from: 'one' })
    expect(() => assemblePack(layout(['one']), shelfOf(one, two))).toThrow(
      'a module is not made from itself: one → two → one',
    )
    const wrong = module('wrong', { from: 'top', adjust: { ...noChange, items: { nothing: { name: 'None' } } } })
    expect(() => assemblePack(layout(['wrong']), shelfOf(top, other, wrong))).toThrow(
      'modules[wrong].adjust.items: unknown item "nothing"',
    )
  })
  it('stands an option where the layout has it stand, and refuses a choice that is none', () => {
    const own = {
      id: 'pair',
      sentence: 'There is …',
      default: 'one',
      school: false,
      choices: [
        { id: 'one', label: 'one' },
        { id: 'two', label: 'two' },
      ],
    }
    const made = (defaults: Record<string, string>) =>
      assemblePack(layout(['top'], { options: [own], defaults }), shelfOf(top, other))
    expect(made({ pair: 'two' }).options.map(option => option.default)).toEqual(['two'])
    expect(() => made({ pair: 'three' })).toThrow('asks no option "pair" with a choice "three"')
    expect(() => made({ colour: 'red' })).toThrow('asks no option "colour"')
  })
  it('settles what the layout leaves nobody to choose', () => {
    const bleed = module('bleed', {
      assumes: { slave: 'concentric' },
      operations: [
        operation('press', { when: [{ slave: ['opened', 'concentric'] }] }),
        operation('lift', { when: [{ slave: ['aside'] }] }),
        operation('always'),
      ],
    })
    expect(ids(assemblePack(layout(['bleed']), shelfOf(bleed)))).toEqual(['press', 'always'])
    expect(ids(assemblePack(layout(['bleed'], { fixed: { slave: 'aside' } }), shelfOf(bleed)))).toEqual([
      'lift',
      'always',
    ])
    const asked = assemblePack(layout(['bleed'], { options: ['slave'] }), shelfOf(bleed))
    expect(asked.modules[0]!.operations[0]!.when).toEqual([{ slave: ['opened'] }])
  })
  it('puts a whole module under a choice', () => {
    const pack = assemblePack(
      layout([], { options: ['slave'], modules: [{ id: 'other', when: [{ slave: ['opened'] }] }] }),
      shelfOf(other),
    )
    expect(pack.modules[0]!.operations[0]!.when).toEqual([{ slave: ['opened'] }])
  })
  it('puts a layout’s rules of thumb into its sheets, and refuses those that lead nowhere', () => {
    const sheet: Sheet = {
      id: 'lift',
      title: 'Lift',
      row: 'handle',
      drawing: 'lift',
      steps: ['plug'],
      when: [],
      look: [],
      judges: [],
      schools: [],
      fields: [
        { id: 'mass', name: 'Mass', kind: 'number', unit: 'kg', low: 5, high: 400, guide: 45, when: [] },
        { id: 'who', name: 'Who', kind: 'text', when: [] },
      ],
    }
    const shelf = { ...shelfOf(top, other), bench: { ...noBench, sheets: [sheet] } }
    const guideOf = (guides: LayoutSource['guides']) =>
      assemblePack(layout(['top'], { guides }), shelf).bench.sheets[0]!.fields[0]
    expect(guideOf({})).toMatchObject({ guide: 45 })
    expect(guideOf({ lift: { mass: 62 } })).toMatchObject({ guide: 62 })
    expect(() => guideOf({ roof: { mass: 62 } })).toThrow('guides.roof: this layout has no sheet "roof"')
    expect(() => guideOf({ lift: { who: 62 } })).toThrow('guides.lift.who: the sheet asks for no number')
    expect(() => guideOf({ lift: { mass: 4000 } })).toThrow('guides.lift.mass: lies between 5 and 400')
  })
  it('takes of a drawing what the layout has, and refuses one that is not there or names what nobody knows', () => {
    const thing = (id: string, change: Partial<CarDrawing['things'][number]> = {}): CarDrawing['things'][number] => ({
      id,
      name: id,
      items: [],
      fixings: [],
      appears: false,
      optional: false,
      groups: [],
      side: [['circle', 0, 0, 10]],
      top: [],
      onGround: false,
      ...change,
    })
    const drawing: CarDrawing = {
      id: 'plain',
      title: 'Plain',
      raisedMm: 400,
      fromMm: 0,
      toMm: 1000,
      upMm: 1000,
      body: { side: [], top: [] },
      things: [
        thing('engine'),
        thing('case', { items: ['case'], optional: true }),
        thing('plug', { items: ['plug', 'case'] }),
      ],
      carried: [
        {
          id: 'all',
          name: 'All',
          masses: [
            { id: 'engine', name: 'Engine', kg: [1, 2, 3], at: 0 },
            { id: 'case', name: 'Case', off: 'case', kg: [1, 2, 3], at: 5 },
          ],
          supports: [
            { thing: 'engine', at: 0, pieces: 1, gone: [] },
            { thing: 'case', at: 5, pieces: 1, gone: [], under: 'case' },
          ],
        },
      ],
    }
    const withItems = module('top', { ...top, items: [{ id: 'plug', name: 'Plug', state: 'unplugged' }] })
    const withCase = module('other', { ...other, items: [{ id: 'case', name: 'Case', state: 'off' }] })
    const shelf = { ...shelfOf(withItems, withCase), drawings: [drawing] }
    const drawn = assemblePack(layout(['top'], { drawing: 'plain' }), shelf).drawing!
    expect(drawn.things.map(({ id, items }) => [id, items])).toEqual([
      ['engine', []],
      ['plug', ['plug']],
    ])
    expect(drawn.carried[0]).toMatchObject({ masses: [{ id: 'engine' }], supports: [{ thing: 'engine' }] })
    expect(assemblePack(layout(['top', 'other'], { drawing: 'plain' }), shelf).drawing!.things).toHaveLength(3)
    expect(() => assemblePack(layout(['top'], { drawing: 'fancy' }), shelf)).toThrow(
      'drawing: there is no drawing "fancy"',
    )
    expect(() =>
      assemblePack(layout(['top'], { drawing: 'plain' }), {
        ...shelf,
        drawings: [{ ...drawing, carried: [], things: [thing('roof', { items: ['sunroof'] })] }],
      }),
    ).toThrow('drawing.things[roof].items: nobody knows "sunroof"')
  })
})

describe('the sets that a layout names', () => {
  const box = module('box', {
    operations: [
      operation('pull', { phase: 'strip', refit: { kind: 'mirror', override: { title: 'Push it home' } } }),
      operation('bleed', { phase: 'fill', activity: { kind: 'bleed', way: 'pump' } }),
    ],
  })
  const mating = {
    step: 'pull.refit',
    gap: { reading: 'gap', closed: 'none', open: 'left' },
    approach: [],
    checks: [],
    causes: [],
  }
  const way = { id: 'pump', title: 'Pump' } as BleedWay
  const shelf = (): Shelf => ({
    ...shelfOf(box),
    sets: {
      ...shelfOf(box).sets,
      mating: new Map([['faces', mating]]),
      bleeding: new Map([['line', [way]]]),
      roadTest: new Map([['drive', [{ id: 'hill', title: 'Hill', say: 'Up' }]]]),
    },
  })
  const uses = { closing: 'none', bay: 'car', causes: [], mating: 'faces', bleeding: 'line' }
  it('are what it has, and no others', () => {
    const pack = assemblePack(layout(['box'], { uses }), shelf())
    expect([pack.bench.mating?.step, pack.bleeding.map(({ id }) => id), pack.roadTest]).toEqual([
      'pull.refit',
      ['pump'],
      [],
    ])
  })
  it.each([
    [
      { ...uses, mating: undefined },
      'uses.mating: "pull.refit" mates by the set "faces", which this layout does not name',
    ],
    [
      { ...uses, bleeding: undefined },
      'operations[bleed].activity.way: "pump" stands in the set "line", which this layout does not name',
    ],
    [{ ...uses, roadTest: 'none' }, 'uses.roadTest: there is no set "none"; there is drive'],
    [{ ...uses, causes: ['none'] }, 'uses.causes[0]: there is no set "none"; there is none'],
  ])('are refused where a step points into one that is not named, or where there is none (%#)', (change, reason) => {
    const { mating: m, bleeding: b, ...rest } = change
    const named = { ...rest, ...(m ? { mating: m } : {}), ...(b ? { bleeding: b } : {}) }
    expect(() => assemblePack(layout(['box'], { uses: named }), shelf())).toThrow(reason)
  })
  it('mate at a step that is there', () => {
    const other = {
      ...shelf(),
      modules: new Map([
        ['top', module('top', { operations: [operation('lid')] })],
        ['box', box],
      ]),
    }
    expect(() =>
      assemblePack(layout(['top'], { uses: { closing: 'none', bay: 'car', causes: [], mating: 'faces' } }), other),
    ).toThrow('mates at "pull.refit", which this layout does not have')
  })
})
