import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../../tests/support/small-pack'
import { isOut, looseningPasses, tighteningPasses } from '../../../fasteners'
import { openBeforeHandover } from '../../views/before-handover'
import { openEntries } from '../../views/ledger'
import { earlierCurve, jobFigure, passLimitNm, siblingCurves } from '../tightening/runs'
import { unlikeSiblings } from '../tightening/unlike-siblings'

const places = [
  [0, 90],
  [78, 45],
  [78, -45],
  [0, -90],
  [-78, -45],
  [-78, 45],
].map(([x, y], index) => ({ id: `b${index + 1}`, x: x!, y: y!, ...(index < 4 ? { offWith: 'bolts-off' } : {}) }))
const pack = smallPack(
  {
    items: [{ id: 'bolt', name: 'Bolts', state: 'off', group: 'bell-bolts' }],
    groups: [
      {
        id: 'bell-bolts',
        name: 'Bell bolts',
        count: 6,
        part: 'vehicle',
        board: { outline: 'ring', clearFor: 'pull', places },
      },
    ],
    operations: [
      operation('bolts-off', {
        takesOff: { bolt: 4 },
        refit: { kind: 'mirror', override: { title: 'Bolts in', figure: 'bell-bolts' } },
      }),
      operation('pull', {}),
    ],
  },
  { outlines: [{ id: 'ring', name: 'Ring', circleMm: 100, marks: [] }] },
)
const open = () => TestLog.open(pack)
const group = 'bell-bolts'
const board = (log: TestLog) => log.state.boards[group]!
const figure = { group, torqueNm: 40, sourceKind: 'vehicle-book', reference: 'Book, page 3' } as const

describe('the bolt board', () => {
  it('is there as the layout draws it, and follows the steps', () => {
    const log = open()
    expect(board(log).bolts.map(isOut)).toEqual(Array(6).fill(false))
    log.add('bolts-out', { group, boltIds: ['b1'], condition: 'corroded' }).done('bolts-off')
    expect(board(log).bolts.map(isOut)).toEqual([true, true, true, true, false, false])
    expect(board(log).bolts[0]!.condition).toBe('corroded')
    expect(board(log).bolts[1]!.condition).toBeNull()
  })
  it('holds the step that wants every bolt out, and names those that are left', () => {
    const log = open().done('bolts-off')
    expect(log.refusal('step-done', { stepId: 'pull' })).toBe(
      'First: 2 of 6 are left. The board counts 6 bell bolts, 4 out. Still in: bolt 5 at 8 o’clock, bolt 6 at 10 o’clock.',
    )
    log.add('bolts-out', { group, boltIds: ['b5'], condition: 'good' })
    expect(log.refusal('step-done', { stepId: 'pull' })).toContain('One is left: bolt 6 at 10 o’clock')
    log.add('bolts-out', { group, boltIds: ['b6'], condition: 'good' })
    expect(log.refusal('step-done', { stepId: 'pull' })).toBeNull()
  })
  it('is not brought in by a part that goes back and came off with its bolts', () => {
    const coverAndPlate = smallPack(
      {
        items: [
          { id: 'bolt', name: 'Bolts', state: 'off', group: 'bell-bolts' },
          { id: 'plate', name: 'Plate', state: 'off' },
        ],
        groups: [
          {
            id: 'bell-bolts',
            name: 'Bell bolts',
            count: 6,
            part: 'vehicle',
            board: { outline: 'ring', places: places.map(place => ({ ...place, offWith: 'cover-off' })) },
          },
        ],
        operations: [
          operation('cover-off', { takesOff: { bolt: 6, plate: 1 }, refit: { kind: 'by', operation: 'cover-on' } }),
          operation('plate-on', { phase: 'refit', putsBack: { plate: 1 } }),
          operation('cover-on', { phase: 'refit', putsBack: { bolt: 6 }, figure: 'bell-bolts' }),
        ],
        links: [link('cover-off', 'plate-on'), link('plate-on', 'cover-on')],
      },
      { outlines: [{ id: 'ring', name: 'Ring', circleMm: 100, marks: [] }] },
    )
    const log = TestLog.open(coverAndPlate).done('cover-off').done('plate-on')
    expect(board(log).bolts.every(isOut)).toBe(true)
    expect(log.state.ledger).toEqual({ bolt: 6 })
    log.add('figure-named', figure).done('cover-on')
    expect([board(log).bolts.some(isOut), log.state.ledger]).toEqual([false, {}])
  })
  it('is set where it was slackened, and left alone where nobody touched it', () => {
    const oneOfTwo = smallPack({
      items: [{ id: 'slack', name: 'Hub nuts slack', state: 'slack', group: 'bell-bolts' }],
      groups: [{ id: 'bell-bolts', name: 'Hub nuts', count: 2, part: 'vehicle' }],
      operations: [
        operation('crack', { takesOff: { slack: 1 }, refit: { kind: 'by', operation: 'set' } }),
        operation('set', { phase: 'prove', putsBack: { slack: 1 }, figure: 'bell-bolts' }),
      ],
      links: [link('crack', 'set')],
    })
    const log = TestLog.open(oneOfTwo).done('crack')
    expect(board(log).bolts.map(({ stand }) => stand)).toEqual(['started', 'untouched'])
    log.add('figure-named', figure).done('set')
    expect(board(log).bolts.map(({ stand }) => stand)).toEqual(['figure', 'untouched'])
    expect(openBeforeHandover(log.state)).toEqual([])
  })
  it('is put right by hand: placed, moved, described, lifted', () => {
    const log = open()
      .add('bolt-placed', { group, boltId: 'x', xMm: 0, yMm: 0 })
      .add('bolt-placed', { group, boltId: 'x', xMm: 10, yMm: 4 })
    expect(board(log).bolts.at(-1)).toMatchObject({ id: 'x', xMm: 10, yMm: 4, stand: 'untouched' })
    expect(log.refusal('bolt-placed', { group, boltId: 'y', xMm: 10, yMm: 4.5 })).toContain('Another bolt stands there')
    expect(
      log.refusal('bolt-described', { group, boltId: 'x', details: { thread: 'M8x9' }, condition: null }),
    ).toContain('no pitch of 9 mm')
    log.add('bolt-described', { group, boltId: 'x', details: { thread: 'M8', lengthMm: 40 }, condition: 'stretched' })
    expect(board(log).bolts.at(-1)).toMatchObject({ thread: 'M8', lengthMm: 40, condition: 'stretched', xMm: 10 })
    expect(log.refusal('bolt-lifted', { group, boltId: 'nobody' })).toContain('no bolt "nobody"')
    expect(board(log.add('bolt-lifted', { group, boltId: 'x' })).bolts).toHaveLength(6)
  })
  it('keeps a bolt that somebody added and left out on the hand-over', () => {
    const log = open()
      .add('bolt-placed', { group, boltId: 'x', xMm: 0, yMm: 0 })
      .add('bolts-out', { group, boltIds: ['x'], condition: 'good' })
    expect(openBeforeHandover(log.state).find(entry => entry.kind === 'bolt')?.name).toBe(
      'Bell bolts, bolt 7 in the middle',
    )
    log.add('bolts-in', { group, boltIds: ['x'], stand: 'feel' })
    expect(openBeforeHandover(log.state).some(entry => entry.kind === 'bolt' || entry.kind === 'tight')).toBe(false)
  })
  it('and the ledger are one: a bolt told out on the board alone is a thing off, and its step does not count it twice', () => {
    const log = open().add('bolts-out', { group, boltIds: ['b1', 'b2'], condition: 'good' })
    expect(log.state.ledger).toEqual({ bolt: 2 })
    expect(openEntries(log.state)).toMatchObject([{ entry: 'item:bolt', count: 2 }])
    expect(log.done('bolts-off').state.ledger).toEqual({ bolt: 4 })
    log.add('bolts-in', { group, boltIds: ['b1'] })
    expect(log.state.ledger).toEqual({ bolt: 3 })
    expect(log.done('pull').refusal('called-off', { reason: 'x' })).toContain('still off')
    expect(log.done('bolts-off.refit').state).toMatchObject({ ledger: {}, everOff: { bolt: 4 } })
  })
  it('takes no sheared stub out with its step, does not wait for it, and counts what is off without it', () => {
    const log = open()
      .add('bolt-broken', {
        group,
        boltId: 'b2',
        how: 'sheared',
        wayOut: 'Insert',
        troubleId: 't',
        text: 'Bolt 2: sheared.',
        parts: [],
        waitsFor: null,
        until: null,
      })
      .done('bolts-off')
    expect(log.state.ledger).toEqual({ bolt: 3 })
    log.add('bolts-out', { group, boltIds: ['b5', 'b6'], condition: 'good' })
    expect(log.refusal('step-done', { stepId: 'pull' })).toBeNull()
    expect(log.refusal('step-done', { stepId: 'bolts-off.refit' })).toContain('new ones go in')
    log.add('entry-replaced', { itemId: 'bolt', by: 'New set' }).done('pull', 'bolts-off.refit')
    expect(board(log).bolts[1]).toMatchObject({ condition: null, suspect: false, stand: 'feel' })
  })
  it('knows how each bolt stands: snug is not tight, and by feel is not at its figure', () => {
    const log = open()
      .done('bolts-off')
      .add('bolts-in', { group, boltIds: ['b1'] })
    expect(board(log).bolts.map(bolt => bolt.stand)).toEqual(['snug', 'out', 'out', 'out', 'untouched', 'untouched'])
    expect(openBeforeHandover(log.state).find(entry => entry.kind === 'tight')).toMatchObject({
      entry: 'tight:bell-bolts',
      name: 'Bell bolts',
      count: 1,
    })
    expect(board(log.done('bolts-off.refit')).bolts[0]!.stand).toBe('feel')
    const named = open().done('bolts-off').add('figure-named', figure).done('bolts-off.refit')
    expect(board(named).bolts.map(bolt => bolt.stand)).toEqual([
      'figure',
      'figure',
      'figure',
      'figure',
      'untouched',
      'untouched',
    ])
    expect(openBeforeHandover(named.state)).toEqual([])
  })
  it('marks the others suspect when one shears, writes trouble and part, and lets no sheared bolt back in', () => {
    const log = open().add('bolts-out', { group, boltIds: ['b2'], condition: null })
    const broken = {
      group,
      boltId: 'b2',
      how: 'sheared',
      wayOut: 'Insert',
      troubleId: 't',
      text: 'Bell bolts, bolt 2: sheared.',
      parts: ['Insert M10'],
      waitsFor: null,
      until: null,
    } as const
    log.add('bolt-broken', { ...broken, parts: [...broken.parts] })
    expect(board(log).bolts.map(bolt => bolt.suspect)).toEqual([true, false, true, true, true, true])
    expect(log.state.troubles).toMatchObject([{ troubleId: 't', text: 'Bell bolts, bolt 2: sheared.' }])
    expect(log.state.addedParts).toMatchObject([{ name: 'Insert M10' }])
    expect(log.refusal('bolts-in', { group, boltIds: ['b2'] })).toContain('sheared bolt does not go back')
    expect(log.refusal('bolt-broken', { ...broken, parts: [] })).toContain('written down already')
  })
  it('does not take nonsense for what the bolts are', () => {
    expect(open().refusal('fastener-described', { group, fastener: { thread: 'M8', propertyClass: '9.1' } })).toContain(
      'not a property class',
    )
    expect(
      open().refusal('fastener-described', { group: 'nuts', fastener: { thread: 'M8', propertyClass: '8.8' } }),
    ).toContain('no fastener group')
    expect(open().refusal('board-outlined', { group, outline: 'moon' })).toContain('no outline "moon"')
  })
})

describe('runs of their own', () => {
  const positions = places.map(({ x, y }) => ({ x, y }))
  const boltIds = places.map(place => place.id)
  const tightening = {
    runId: 'r',
    stepId: null,
    group,
    boltCount: 6,
    figure,
    passes: tighteningPasses(positions, 40),
    positions,
    boltIds,
  }
  const reading = (runDeg: number, verdict: 'good' | 'early' = 'good') => ({
    verdict,
    peakNm: 12,
    angleDeg: runDeg + 30,
    curve: Array.from({ length: (runDeg + 30) / 5 + 1 }, (_, index): [number, number] => [
      index * 5,
      0.6 + Math.max(0, index * 5 - runDeg) * 0.4,
    ]),
  })

  it('belong to no step and bring the bolts of the board in as they go', () => {
    const log = open().add('bolts-out', { group, boltIds, condition: 'good' }).add('figure-named', figure)
    expect(log.refusal('run-started', { ...tightening, boltIds: ['b1', 'b2', 'b3', 'b4', 'b5', 'zz'] })).toContain(
      'no bolt "zz"',
    )
    log.add('run-started', tightening).add('bolt-turned', { runId: 'r', passIndex: 0, bolt: 0, feel: 'normal' })
    expect(board(log).bolts[0]!.stand).toBe('started')
    expect(log.refusal('run-started', { ...tightening, runId: 's' })).toContain('open already')
  })
  it('loosen without a figure, and take the bolts out in the last pass', () => {
    const log = open().add('run-started', {
      ...tightening,
      figure: null,
      loosens: true,
      passes: looseningPasses(positions),
    })
    for (const [passIndex, pass] of looseningPasses(positions).entries())
      for (const bolt of pass.order) log.add('bolt-turned', { runId: 'r', passIndex, bolt })
    expect(board(log).bolts.every(isOut)).toBe(true)
    expect(open().refusal('run-started', { ...tightening, figure: null })).toContain('named with its source')
  })
  it('stop at a bolt until somebody says what was done, and read it from its first turn again', () => {
    const log = open().add('figure-named', figure).add('run-started', tightening)
    log.add('bolt-turned', { runId: 'r', passIndex: 0, bolt: 0, reading: reading(600) })
    log.add('bolt-stopped', {
      runId: 'r',
      passIndex: 0,
      bolt: 3,
      verdict: 'early',
      because: 'Tight 200° early.',
      by: 'wrench',
      reading: reading(400, 'early'),
    })
    expect(log.refusal('bolt-turned', { runId: 'r', passIndex: 0, bolt: 3 })).toContain(
      'Bolt 4 stopped the run: Tight 200° early.',
    )
    expect(siblingCurves(log.state.runs[0]!, 0, 3)).toHaveLength(1)
    log.add('stop-cleared', { runId: 'r', how: 'Right length put in' })
    expect(log.refusal('stop-cleared', { runId: 'r', how: 'again' })).toContain('Nothing holds')
    log.add('bolt-turned', { runId: 'r', passIndex: 0, bolt: 3, reading: reading(600) })
    expect(earlierCurve(log.state.runs[0]!, 1, 3)).toHaveLength(127)
    expect(earlierCurve(log.state.runs[0]!, 0, 3)).toEqual([])
  })
  it('end a pass at its setting, contact at a share of the figure, an angle at none', () => {
    const log = open()
      .add('figure-named', figure)
      .add('run-started', {
        ...tightening,
        passes: [...tightening.passes, { kind: 'angle', torqueNm: null, angleDeg: 90, order: [0, 1, 2, 3, 4, 5] }],
      })
    const [run] = log.state.runs
    expect([0, 1, 2, 3, 4].map(pass => passLimitNm(run!, pass))).toEqual([12, 20, 40, 40, null])
  })
  it('find the first bolt out of line once the others are known', () => {
    const log = open().add('figure-named', figure).add('run-started', tightening)
    for (const [index, bolt] of tightening.passes[0]!.order.entries())
      log.add('bolt-turned', { runId: 'r', passIndex: 0, bolt, reading: reading(index === 0 ? 300 : 600 + index) })
    expect(unlikeSiblings(log.state.runs[0]!, 0)).toMatchObject([{ bolt: 0, reading: { verdict: 'early' } }])
  })
  it('take the figure of the best source', () => {
    const log = open()
      .add('figure-named', { ...figure, sourceKind: 'trade-practice', torqueNm: 50 })
      .add('figure-named', figure)
    expect(jobFigure(log.state, group)).toMatchObject({
      figure: { torqueNm: 40, personId: 'p' },
      others: [{ torqueNm: 50 }],
    })
  })
})
