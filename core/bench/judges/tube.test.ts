import { describe, expect, it } from 'vitest'
import { findingOf } from '../../../tests/support/one-judge'

describe('a tube behind the engine', () => {
  const drop = { tail: 1600, plugBehind: 1800, wanted: 60, topBehind: 100, topAbove: 400, room: 30 }
  it('goes down until the plug can be reached and before the engine touches', () => {
    const found = findingOf('tube-drop', drop)
    expect(found.level).toBe('good')
    // Small angles, by hand: the plug wants 60/1800 rad, at the strap 1600 × that = 53 mm; the top has 30/400 rad, 120 mm.
    expect(found.figures[0]!.value).toBeGreaterThan(52)
    expect(found.figures[0]!.value).toBeLessThan(55)
    expect(found.figures[1]!.value).toBeGreaterThan(110)
    expect(findingOf('tube-drop', { ...drop, room: 8 }).level).toBe('renew')
    expect(findingOf('tube-drop', { ...drop, hoseRoom: 6, hoseBehind: 50, hoseAbove: 300 }).sentence).toContain('hose')
  })
  it('hangs in a strap that is strong enough, its timber as thick as what is left', () => {
    const hung = { mass: 180, balance: 400, strap: 1600, span: 600, hang: 360, drop: 40, brace: 800, braceGap: 70 }
    expect(findingOf('tube-strap', { ...hung, rating: 250 })).toMatchObject({ level: 'good' })
    expect(findingOf('tube-strap', hung).level).toBe('watch')
    expect(findingOf('tube-strap', { ...hung, rating: 20 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('another strap'),
    })
    expect(findingOf('tube-strap', { ...hung, drop: 160, rating: 250 }).level).toBe('renew')
  })
  it('its ring is turned the short way to the next tooth', () => {
    // 30 and 30 teeth: every 12°. 5° clockwise of a gap: back by 5°.
    expect(findingOf('ring-turn', { ring: 30, tube: 30, offset: 5 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('5.0° counter-clockwise'),
    })
    expect(findingOf('ring-turn', { ring: 30, tube: 30, offset: 7 }).sentence).toContain('5.0° clockwise')
    expect(findingOf('ring-turn', { ring: 30, tube: 30, offset: 12 }).level).toBe('good')
  })
})
