import { describe, expect, it } from 'vitest'
import { findingOf as one } from '../../../tests/support/one-judge'

describe('a clutch without a pedal', () => {
  // 11 mm taught, levers 4.2 × 1.5 = 6.3: each millimetre of lining moves the slave 6.3 mm. Worked by hand.
  const travel = { taughtNew: 11, fingers: 4.2, fork: 1.5, grows: 'grows', newDisc: 8.2, uncertainty: 0.63 }
  it('tells before the box is out what its disc has left', () => {
    expect(one('wear-by-travel', { ...travel, travel: 20.45, least: 6.9 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('the box comes out for it'),
      figures: [expect.objectContaining({ value: expect.closeTo(6.7, 9) }), expect.anything()],
    })
    expect(one('wear-by-travel', { ...travel, travel: 13.52, least: 6.9 }).level).toBe('good')
    expect(one('wear-by-travel', { ...travel, travel: 19.19, least: 6.9 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('no travel can tell'),
    })
    expect(
      one('wear-by-travel', { ...travel, grows: 'shrinks', travel: 4.7, least: 7.1 }).figures[1]!.value,
    ).toBeCloseTo(1, 9)
  })
  it('holds the disc in the hand against it, and ranks what explains the difference', () => {
    const worn = { ...travel, travel: 17.3 }
    expect(one('wear-confirmed', { ...worn, measured: 7.2 })).toMatchObject({
      level: 'good',
      sentence: expect.stringContaining('they agree'),
    })
    expect(one('wear-confirmed', { ...worn, measured: 6.7 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('Likeliest: a release bearing'),
    })
    expect(one('wear-confirmed', { ...worn, measured: 7.65 }).sentence).toContain('a face of flywheel or plate')
    expect(one('wear-confirmed', { ...worn, measured: 5.2 }).sentence).toContain('Likeliest: the sensor')
    expect(one('wear-confirmed', { ...worn, measured: 7.2, stroke: 9, strokeWanted: 17 }).sentence).toContain(
      'Likeliest: air',
    )
  })
  it('forecasts what is taught with the disc that goes in', () => {
    const next = { taughtNew: 11, fingers: 4.2, fork: 1.5, grows: 'grows', newDisc: 8.2, low: 8, high: 24 }
    expect(one('travel-forecast', { ...next, replacement: 8 }).figures[0]!.value).toBeCloseTo(12.26, 9)
    expect(one('travel-forecast', { ...next, replacement: 8.9 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('the controller refuses it'),
    })
  })
})
