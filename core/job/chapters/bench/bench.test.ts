import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { operation, smallPack } from '../../../../tests/support/small-pack'
import type { FieldValue } from '../../../bench'
import { summarise } from '../../views/summary'
import { partsAwaited } from '../orders/arrivals'

const pack = smallPack(
  {
    items: [{ id: 'disc', name: 'Disc', state: 'off' }],
    parts: [{ id: 'kit', name: 'Kit' }],
    operations: [
      operation('disc-off', {
        takesOff: { disc: 1 },
        refit: { kind: 'mirror', override: { title: 'Disc on', parts: { kit: 1 } } },
      }),
      operation('look', {
        phase: 'bench',
        readings: [
          { id: 'thickness', name: 'Thickness', kind: 'number', unit: 'mm', required: true, low: 2, high: 20 },
        ],
      }),
      operation('drive', { phase: 'prove' }),
    ],
  },
  {
    options: [
      {
        id: 'seal',
        sentence: 'The seal …',
        choices: [
          { id: 'left', label: 'left' },
          { id: 'new', label: 'new' },
        ],
        default: 'left',
        school: true,
      },
    ],
    bench: {
      sheets: [
        {
          id: 'disc',
          title: 'Disc',
          row: 'measure',
          drawing: 'disc',
          steps: ['look'],
          when: [],
          look: [],
          judges: [],
          schools: [],
          fields: [
            {
              id: 'thickness',
              name: 'Thickness',
              kind: 'points',
              unit: 'mm',
              low: 2,
              high: 20,
              atLeast: 2,
              when: [],
              reading: { step: 'look', id: 'thickness' },
            },
            {
              id: 'oil',
              name: 'Oil',
              kind: 'choice',
              when: [],
              answers: [
                { id: 'dry', label: 'Dry', says: 'good' },
                { id: 'oily', label: 'Oily', says: 'renew', because: 'It slips.' },
              ],
            },
          ],
        },
      ],
      orientations: [
        {
          id: 'disc',
          name: 'Disc',
          sides: ['printed side out', 'printed side in'],
          about: 'It meets the bolts.',
          off: ['disc-off'],
          back: ['disc-off.refit'],
        },
      ],
      oldParts: [{ id: 'disc', name: 'Old disc', because: 'It shows the side.', off: ['disc-off'], until: ['drive'] }],
      reachable: [
        {
          id: 'seal',
          name: 'Seal',
          part: 'seal',
          reachedBy: ['disc-off'],
          minutes: [1, 2, 3],
          chance: 0.1,
          because: 'It is behind.',
          sheets: [],
          schools: [],
        },
      ],
    },
  },
)
const open = () => TestLog.open(pack)
const points = (...values: number[]): FieldValue => ({
  kind: 'points',
  entries: values.map(value => ({ entered: String(value), value })),
})
const noted = { partId: 'disc', side: 'printed side out', mark: 'paint at 12', photo: null }
const order = (change: object = {}) => ({
  orderId: 'o1',
  partId: 'kit',
  name: 'Kit',
  count: 1,
  priceEach: 90,
  supplier: 'Counter',
  orderNo: 'P1',
  arrivesAt: '2026-03-03T10:00:00.000Z',
  ...change,
})

describe('sheets in the log', () => {
  it('keep what was entered field by field, and empty what is cleared', () => {
    const log = open().add('sheet-read', {
      sheetId: 'disc',
      values: { thickness: points(7, 6.8), oil: { kind: 'choice', answer: 'dry' } },
      cleared: [],
    })
    log.add('sheet-read', { sheetId: 'disc', values: { thickness: points(7, 6.8, 6.9) }, cleared: ['oil'] })
    expect(log.state.sheets.disc!.values).toEqual({ thickness: points(7, 6.8, 6.9) })
  })
  it('are the step’s reading too, the lowest of several, so that nobody is asked twice', () => {
    const log = open()
    expect(log.refusal('step-done', { stepId: 'look' })).toContain('Thickness')
    log.add('sheet-read', { sheetId: 'disc', values: { thickness: points(7, 6.8) }, cleared: [] })
    expect(log.refusal('step-done', { stepId: 'look' })).toBeNull()
    expect(log.state.readings.at(-1)).toMatchObject({ stepId: 'look', readingId: 'thickness', value: 6.8, unit: 'mm' })
  })
  it('refuse what they do not ask for', () => {
    const log = open()
    expect(
      log.refusal('sheet-read', { sheetId: 'box', values: { oil: { kind: 'text', text: 'x' } }, cleared: [] }),
    ).toContain('no sheet "box"')
    expect(
      log.refusal('sheet-read', { sheetId: 'disc', values: { color: { kind: 'text', text: 'red' } }, cleared: [] }),
    ).toContain('does not ask')
    expect(
      log.refusal('sheet-read', {
        sheetId: 'disc',
        values: { oil: { kind: 'choice', answer: 'soaked' } },
        cleared: [],
      }),
    ).toBe('One of: dry, oily.')
    expect(log.refusal('sheet-read', { sheetId: 'disc', values: { oil: points(3) }, cleared: [] })).toContain(
      'A value of choice is wanted',
    )
  })
})

describe('which way round, and old parts', () => {
  it('holds the refit until what was noted is confirmed, and not where nothing was', () => {
    const plain = open().done('disc-off')
    expect(plain.refusal('step-done', { stepId: 'disc-off.refit' })).toBeNull()
    const log = open().add('orientation-noted', noted).done('disc-off')
    expect(log.refusal('step-done', { stepId: 'disc-off.refit' })).toBe(
      'Which way does it go in? Disc: printed side out, paint at 12. Confirm it first.',
    )
    expect(log.refusal('orientation-confirmed', { partId: 'seal' })).toContain('no record')
    log.add('orientation-confirmed', { partId: 'disc' })
    expect(log.refusal('step-done', { stepId: 'disc-off.refit' })).toBeNull()
    log.add('orientation-noted', { ...noted, side: 'printed side in' })
    expect(log.state.orientations.disc!.confirmedAt).toBeNull()
  })
  it('lets an old part go only after the car has driven', () => {
    const log = open()
    const gone = { partId: 'disc', where: 'thrown away' }
    expect(log.refusal('old-part-gone', gone)).toContain('still on the car')
    log.done('disc-off')
    expect(log.refusal('old-part-gone', gone)).toBe('Not before the car has driven. It shows the side.')
    log
      .add('sheet-read', { sheetId: 'disc', values: { thickness: points(7, 6.8) }, cleared: [] })
      .done('look', 'disc-off.refit', 'drive')
    expect(log.refusal('old-part-gone', gone)).toBeNull()
    expect(log.add('old-part-gone', gone).refusal('old-part-gone', gone)).toContain('gone already')
  })
})

describe('decisions', () => {
  it('keep what was weighed when they are made, and know only parts in reach', () => {
    const log = open()
      .add('renewal-weighed', {
        partId: 'seal',
        partCost: 20,
        minutesNow: null,
        minutesLater: null,
        chance: 0.4,
        comebackCost: 0,
      })
      .add('renewal-decided', { decisions: [{ partId: 'seal', decision: 'renew' }], because: 'Taken.' })
    expect(log.state.renewals.seal).toMatchObject({
      weighed: { partCost: 20, chance: 0.4 },
      decision: 'renew',
      because: 'Taken.',
    })
    expect(
      log.refusal('renewal-decided', { decisions: [{ partId: 'roof', decision: 'renew' }], because: 'x' }),
    ).toContain('"roof"')
    expect(log.refusal('way-chosen', { option: 'roof', choice: 'new', because: 'x', ways: [] })).toContain('no option')
  })
})

describe('parts on order', () => {
  it('put their day into the plan, move it, and free it when they are here', () => {
    const log = open()
    const before = summarise(log.state)
    log.add('part-ordered', order())
    expect(log.state.circumstances.arrivals).toEqual([{ partId: 'kit', at: '2026-03-03T10:00:00.000Z' }])
    expect(partsAwaited(log.state)).toEqual([
      { partId: 'kit', name: 'Kit', at: '2026-03-03T10:00:00.000Z', stepId: 'disc-off.refit' },
    ])
    const waiting = log.state.plan!.steps.find(step => step.id === 'disc-off.refit')!
    expect(waiting.waitMinutes).toBeGreaterThan(20 * 60)
    log.add('part-moved', { orderId: 'o1', arrivesAt: '2026-03-04T10:00:00.000Z', because: 'Late.' })
    // The axis of the plan starts at the change, a minute later.
    expect(
      Math.abs(
        log.state.plan!.steps.find(step => step.id === 'disc-off.refit')!.startMinutes - waiting.startMinutes - 1440,
      ),
    ).toBeLessThanOrEqual(1)
    expect(log.state.orders[0]!.moves).toMatchObject([{ from: '2026-03-03T10:00:00.000Z', because: 'Late.' }])
    log.add('part-came', { orderId: 'o1' })
    expect(log.state.circumstances.arrivals).toEqual([])
    expect(summarise(log.state).minutesLeft).toBeCloseTo(before.minutesLeft, 6)
  })
  it('bring what is in the same box with them', () => {
    const log = open().add('part-ordered', order({ partId: null, covers: ['kit', 'moon'] }))
    expect(log.state.circumstances.arrivals).toEqual([{ partId: 'kit', at: '2026-03-03T10:00:00.000Z' }])
    expect(log.add('part-came', { orderId: 'o1' }).state.circumstances.arrivals).toEqual([])
  })
  it('are told on the Yard’s line: what is awaited, what follows it, and what the job waits for', () => {
    const log = open().add('part-ordered', order()).add('promised', { at: '2026-03-05T16:00:00.000Z' })
    const line = summarise(log.state)
    expect(line.dueParts).toMatchObject([{ name: 'Kit', at: '2026-03-03T10:00:00.000Z' }])
    expect(line.dueParts[0]!.minutesAfter).toBeLessThan(line.workLeft)
    expect(line.workLeft).toBeLessThan(60)
    expect(line.promisedAt).toBe('2026-03-05T16:00:00.000Z')
    expect(line.status).toBe('planned')
    log
      .add('sheet-read', { sheetId: 'disc', values: { thickness: points(7, 6.8) }, cleared: [] })
      .done(...log.state.plan!.order.slice(0, log.state.plan!.order.indexOf('disc-off.refit')))
    expect(summarise(log.state)).toMatchObject({
      status: 'waiting',
      waitsFor: 'Kit',
      waitsUntil: '2026-03-03T10:00:00.000Z',
    })
  })
  it('are used only when they are here, ordered once, and of this job', () => {
    const log = open().add('part-ordered', order()).done('disc-off')
    expect(log.refusal('step-done', { stepId: 'disc-off.refit' })).toBe(
      'Kit is still on its way. Say that it is here first.',
    )
    expect(log.refusal('part-ordered', order())).toContain('in the log already')
    expect(log.refusal('part-ordered', order({ orderId: 'o2' }))).toContain('on order already')
    expect(log.refusal('part-ordered', order({ orderId: 'o2', partId: 'roof' }))).toContain('no part "roof"')
    expect(log.refusal('part-moved', { orderId: 'o9', arrivesAt: '2026-03-04T10:00:00.000Z', because: 'x' })).toContain(
      'no such order',
    )
    log.add('part-came', { orderId: 'o1' })
    expect(log.refusal('part-came', { orderId: 'o1' })).toContain('here already')
    expect(log.refusal('step-done', { stepId: 'disc-off.refit' })).toBeNull()
  })
})
