import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { countsToMark, reservoirStand } from './reservoir'

const pack = smallPack({
  operations: [
    operation('bleed', {
      phase: 'fill',
      activity: { kind: 'bleed', strokesPerRound: 25, restMinutes: 60, deliveredShare: 1 },
    }),
  ],
})
// 19 mm bore, 20 mm stroke: 5.67 ml a stroke.
const known = {
  stepId: 'bleed',
  reservoirMl: 150,
  lowMl: 130,
  masterBoreMm: 19,
  strokeMm: 20,
  lineMl: 22,
  deliveredShare: 1,
}
const open = () => TestLog.open(pack).add('bleed-opened', { stepId: 'bleed', strokesPerRound: 25, restMinutes: 60 })

describe('reservoir guard', () => {
  it('counts fluid out and in, and how much of the line is fresh', () => {
    const log = open()
      .add('reservoir-set', known)
      .add('stroke-counted', { stepId: 'bleed' })
      .add('stroke-counted', { stepId: 'bleed' })
    const stand = reservoirStand(log.state.reservoirs.bleed)!
    const each = ((Math.PI / 4) * 19 ** 2 * 20) / 1000
    expect(stand.sentMl).toBeCloseTo(2 * each, 9)
    expect(stand.leftMl).toBeCloseTo(150 - 2 * each, 9)
    expect(stand.throughShare).toBeCloseTo((2 * each) / 22, 9)
    expect(countsToMark(log.state.reservoirs.bleed!, { counts: 'strokes', strokeShare: 1, portionMl: 0 })).toBe(1)
  })
  it('never lets the log run it dry: the stroke below the mark is refused until fluid is poured in', () => {
    const log = open().add('reservoir-set', known)
    for (let stroke = 0; stroke < 3; stroke++) log.add('stroke-counted', { stepId: 'bleed' })
    expect(log.refusal('stroke-counted', { stepId: 'bleed' })).toContain('low mark')
    log.add('reservoir-topped', { stepId: 'bleed', ml: 100 })
    expect(log.refusal('stroke-counted', { stepId: 'bleed' })).toBeNull()
    expect(reservoirStand(log.state.reservoirs.bleed)!.addedMl).toBe(100)
  })
  it('draws nothing with the bleeder shut, and takes no reservoir that is none', () => {
    const shut = smallPack({
      operations: [
        operation('bleed', { phase: 'fill', activity: { kind: 'bleed', strokesPerRound: 25, restMinutes: 60 } }),
      ],
    })
    const log = TestLog.open(shut)
      .add('bleed-opened', { stepId: 'bleed', strokesPerRound: 25, restMinutes: 60 })
      .add('reservoir-set', known)
      .add('stroke-counted', { stepId: 'bleed' })
    expect(reservoirStand(log.state.reservoirs.bleed)).toMatchObject({ leftMl: 150, sentMl: 0 })
    expect(countsToMark(log.state.reservoirs.bleed!, { counts: 'strokes', strokeShare: 0, portionMl: 0 })).toBe(
      Infinity,
    )
    expect(log.refusal('reservoir-set', { ...known, lowMl: 200 })).toContain('below its low mark')
    expect(log.refusal('reservoir-topped', { stepId: 'nowhere', ml: 10 })).toContain('Nothing is known')
    expect(TestLog.open(pack).refusal('reservoir-set', known)).toContain('not been opened')
    expect(reservoirStand(undefined)).toBeNull()
  })
})
