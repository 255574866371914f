import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import type { CarDrawing, Sheet } from '../../packs'
import { leanOf, standingThings, thingStory } from './car-drawing'
import { carryingAhead, carryingNow } from './carrying'
import { returning } from './returning'

const thing = (id: string, change: Partial<CarDrawing['things'][number]> = {}) => ({
  id,
  name: id,
  items: [] as string[],
  fixings: [] as string[],
  appears: false,
  optional: false,
  groups: [] as string[],
  side: [['rect', 0, 0, 10, 10] as ['rect', number, number, number, number]],
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
    thing('box', { items: ['box'], fixings: ['line'] }),
    thing('front-mount'),
    thing('rear-mount', { items: ['rear-mount', 'rear-loose'] }),
    thing('jack', { items: ['jack'], appears: true, onGround: true }),
  ],
  carried: [
    {
      id: 'whole',
      name: 'Engine and box',
      masses: [
        { id: 'engine', name: 'Engine', kg: [90, 100, 120], at: 0 },
        { id: 'box', name: 'Box', off: 'box', kg: [40, 50, 60], at: 600, sheet: { id: 'weigh', field: 'mass' } },
      ],
      supports: [
        { thing: 'front-mount', at: -100, pieces: 2, gone: [] },
        { thing: 'rear-mount', at: 900, pieces: 1, gone: ['rear-mount'], under: 'box' },
        { thing: 'jack', at: 600, pieces: 1, gone: [], under: 'box' },
      ],
    },
  ],
  leans: { fact: 'low', degrees: 4, about: [0, 400], things: ['engine'] },
}
const weigh: Sheet = {
  id: 'weigh',
  title: 'Weigh',
  row: 'handle',
  drawing: 'lift',
  steps: ['box-off'],
  when: [],
  look: [],
  judges: [],
  schools: [],
  fields: [{ id: 'mass', name: 'Mass', kind: 'number', unit: 'kg', low: 5, high: 400, when: [] }],
}
const pack = smallPack(
  {
    items: [
      { id: 'box', name: 'Box', state: 'off', goesTo: 'floor' },
      { id: 'line', name: 'Line', state: 'open' },
      { id: 'rear-mount', name: 'Rear mount', state: 'off' },
      { id: 'rear-loose', name: 'Mount not at torque', state: 'slack' },
      { id: 'jack', name: 'Jack', state: 'propped' },
    ],
    facts: [{ id: 'low', name: 'Tail low', because: 'It leans.', kind: 'access', initially: false }],
    operations: [
      operation('line-open', {
        takesOff: { line: 1 },
        refit: { kind: 'mirror', override: { title: 'Close the line' } },
      }),
      operation('jack-under', { takesOff: { jack: 1 }, refit: { kind: 'mirror', override: { title: 'Jack away' } } }),
      operation('mount-off', {
        takesOff: { 'rear-mount': 1 },
        gives: ['low'],
        refit: { kind: 'mirror', override: { title: 'Mount on', takesOff: { 'rear-loose': 2 } } },
      }),
      operation('box-off', {
        takesOff: { box: 1 },
        needs: ['low'],
        refit: { kind: 'mirror', override: { title: 'Box on' } },
      }),
      operation('mounts-final', { phase: 'refit', putsBack: { 'rear-loose': 2 } }),
    ],
    links: [
      { before: 'line-open', after: 'jack-under', kind: 'access', because: 'In the way.', mirror: true, when: [] },
      { before: 'jack-under', after: 'mount-off', kind: 'safety', because: 'It falls.', mirror: true, when: [] },
      { before: 'mount-off', after: 'box-off', kind: 'physical', because: 'It holds it.', mirror: true, when: [] },
      {
        before: 'mount-off.refit',
        after: 'mounts-final',
        kind: 'physical',
        because: 'Started first.',
        mirror: false,
        when: [],
      },
    ],
  },
  { drawing, bench: { sheets: [weigh], orientations: [], oldParts: [], reachable: [] } },
)
const open = () => TestLog.open(pack)
const standsOf = (log: TestLog) =>
  Object.fromEntries(standingThings(log.state).map(({ thing: { id }, stand }) => [id, stand]))

describe('the drawing of a car', () => {
  it('shows how each thing stands, from the ledger; a jack only while it is there', () => {
    const log = open()
    expect(standsOf(log)).toEqual({ engine: 'whole', box: 'whole', 'front-mount': 'whole', 'rear-mount': 'whole' })
    log.done('line-open', 'jack-under')
    expect(standsOf(log)).toMatchObject({ box: 'open', jack: 'held' })
    log.done('mount-off', 'box-off')
    expect(standsOf(log)).toMatchObject({ box: 'off', 'rear-mount': 'off' })
    log.done('box-off.refit', 'mount-off.refit')
    expect(standsOf(log)['rear-mount']).toBe('loose')
  })
  it('tells of a thing when it came off, where it lies, and what goes back before it', () => {
    const log = open().done('line-open', 'jack-under', 'mount-off', 'box-off')
    const story = thingStory(log.state, 'box')!
    expect(story.entries.map(entry => [entry.item.id, entry.takenOff?.stepId, entry.putBack?.stepId])).toEqual([
      ['box', 'box-off', 'box-off.refit'],
      ['line', 'line-open', 'line-open.refit'],
    ])
    expect(story.entries[0]!.putBack!.first).toEqual([])
    expect(story.entries[1]!.putBack!.first.map(blocker => blocker.stepId)).toContain('jack-under.refit')
    expect(thingStory(log.state, 'roof')).toBeNull()
  })
  it('leans while its fact holds', () => {
    expect(leanOf(open().state)).toBeNull()
    expect(leanOf(open().done('line-open', 'jack-under', 'mount-off').state)).toMatchObject({ degrees: 4 })
  })
})

describe('what carries the weight', () => {
  const likely = (log: TestLog) =>
    Object.fromEntries(carryingNow(log.state)[0]!.loads.map(load => [load.thingId, load.kg[1] * load.pieces]))
  it('is what balance gives the mounts while nothing is off', () => {
    // 100 kg at 0 and 50 kg at 600 on supports at -100 and 900: moments about the front one give 10 + 35 = 45 kg behind.
    expect(likely(open())['rear-mount']).toBeCloseTo(45, 6)
    expect(likely(open())['front-mount']).toBeCloseTo(105, 6)
  })
  it('leaves a prop that only touches without load, and gives it what the mount held', () => {
    const log = open().done('line-open', 'jack-under')
    expect(likely(log).jack).toBeCloseTo(0, 6)
    log.done('mount-off')
    // Two supports left, at -100 and 600: (100 × 100 + 50 × 700) / 700.
    expect(likely(log).jack).toBeCloseTo((100 * 100 + 50 * 700) / 700, 6)
    expect(carryingNow(log.state)[0]!.swings).toBe(false)
  })
  it('says so when one support is left alone', () => {
    const [body] = carryingNow(open().done('line-open', 'jack-under', 'mount-off', 'box-off').state)
    expect(body!.loads.map(load => load.thingId)).toEqual(['front-mount'])
    expect(body!.swings).toBe(true)
  })
  it('bounds every load by the spread of the masses', () => {
    for (const {
      kg: [low, middle, high],
    } of carryingNow(open().state)[0]!.loads) {
      expect(low).toBeLessThan(middle)
      expect(high).toBeGreaterThan(middle)
    }
  })
  it('takes a mass as it was weighed, and no entry that cannot be right', () => {
    const weigh = (mass: number) =>
      open().add('sheet-read', {
        sheetId: 'weigh',
        values: { mass: { kind: 'number', entry: { entered: String(mass), value: mass } } },
        cleared: [],
      })
    const [body] = carryingNow(weigh(70).state)
    expect(body!.masses[1]).toMatchObject({ id: 'box', kg: [70, 70, 70], known: true })
    // 100 kg at 0 and 70 kg at 600, about the front support at -100.
    expect(body!.loads.find(load => load.thingId === 'rear-mount')!.kg[1]).toBeCloseTo((100 * 100 + 70 * 700) / 1000, 6)
    expect(carryingNow(weigh(7000).state)[0]!.masses[1]).toMatchObject({ kg: [40, 50, 60], known: false })
  })
  it('looks ahead to each step that changes it, and ends as it began', () => {
    const ahead = carryingAhead(open().state, 'whole')
    expect(ahead.map(row => row.stepId)).toEqual([
      'jack-under',
      'mount-off',
      'box-off',
      'box-off.refit',
      'mount-off.refit',
      'jack-under.refit',
    ])
    const loadOf = (stepId: string, thingId: string) =>
      ahead.find(row => row.stepId === stepId)!.carrying.loads.find(load => load.thingId === thingId)!.kg[1]
    // Back but not set: the jack still holds the box.
    expect(loadOf('mount-off.refit', 'rear-mount')).toBe(0)
    expect(loadOf('mount-off.refit', 'jack')).toBeCloseTo(loadOf('box-off.refit', 'jack'), 6)
    expect(ahead.at(-1)!.carrying.loads).toEqual(carryingNow(open().state)[0]!.loads)
    expect(carryingAhead(open().state, 'nothing')).toEqual([])
  })
})

describe('coming back after days', () => {
  it('tells what is loose, open and held, how long it stood, and what was done last', () => {
    const log = open().done('line-open', 'jack-under', 'mount-off')
    const found = returning(log.state, new Date(Date.parse(log.state.lastAt!) + 2 * 86_400_000).toISOString())
    expect(found).toMatchObject({ awayMinutes: 2880, lastStep: 'Do mount-off', offCount: 1, loose: [], mustNot: [] })
    expect(found.open.map(entry => entry.name)).toEqual(['Line'])
    expect(found.held.map(entry => entry.name)).toEqual(['Jack'])
  })
})
