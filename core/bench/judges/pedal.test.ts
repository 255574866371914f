import { describe, expect, it } from 'vitest'
import { findingOf as one } from '../../../tests/support/one-judge'

describe('from the foot to the plate', () => {
  const chain = {
    travel: 145,
    ratio: 6,
    free: 6,
    lost: 0,
    master: 19,
    slave: 22,
    fork: 2,
    fingers: 3.2,
    faces: 2,
    lift: 0.75,
    most: 11,
    load: 1800,
  }
  it('writes the chain out, and tells a kit that does not fit', () => {
    const found = one('release-chain', chain)
    expect(found).toMatchObject({ level: 'good', sentence: expect.stringContaining('to spare') })
    expect(found.working.join(' ')).toContain('{17.3 mm} at the slave')
    expect(one('release-chain', { ...chain, slave: 31 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('it drags'),
    })
    expect(one('release-chain', { ...chain, faces: 4 }).sentence).toContain('Each of 4 faces')
    expect(one('release-chain', { ...chain, wear: 4 }).sentence).toContain('{4.0 mm} are left')
  })
  it('takes cable and rods, and the window of an actuator', () => {
    const { lost: _lost, master: _master, slave: _slave, ...common } = chain
    expect(one('release-cable', { ...common, lever: 1.2, stretch: 1 }).level).toBe('good')
    expect(one('actuator-window', { reported: 22, low: 8, high: 21 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('worn'),
    })
    expect(one('actuator-window', { reported: 20.5, low: 8, high: 21 }).level).toBe('watch')
  })
})

describe('air and the pumped pedal', () => {
  const air = { ratio: 6, master: 19, pressure: 20, swelling: 0.2, allowed: 10 }
  it('tells how much is left and how many rounds that is', () => {
    expect(one('trapped-air', { ...air, lost: 60, gone: 1 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringMatching(/have to go until reverse goes in, about \d more rounds like the last/),
    })
    expect(one('trapped-air', { ...air, lost: 8 })).toMatchObject({ level: 'good' })
    expect(one('trapped-air', { ...air, lost: 2 }).sentence).toContain('hardly any air')
  })
  it('ranks what a pumped pedal means', () => {
    expect(one('pumped-pedal', { rises: 30, strokes: 18, sinks: 25, wet: 'wet' })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('a seal that leaks past'),
    })
    expect(one('pumped-pedal', { rises: 30, strokes: 18, falls: 90, sinks: 0, wet: 'dry' })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('Likeliest: air in the line'),
    })
    expect(one('pumped-pedal', { rises: 0, strokes: 18, sinks: 0, wet: 'dry', bite: 40 }).level).toBe('good')
  })
})

describe('the release test', () => {
  const pedal = { free: 6, freeFrom: 3, freeTo: 12, bite: 60, travel: 145, seconds: 2, sinks: 0 }
  it('passes a pedal that releases, and names everything that is wrong', () => {
    expect(one('pedal-proof', pedal)).toMatchObject({
      level: 'good',
      sentence: expect.stringContaining('reverse goes in after 2 s'),
    })
    expect(one('pedal-proof', { ...pedal, seconds: 9 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('it drags'),
    })
    const { sentence } = one('pedal-proof', { ...pedal, free: 1, bite: 12, sinks: 9 })
    for (const part of ['Free play of {1 mm} is too little', '{12 mm} above the floor', 'sinks {9 mm}'])
      expect(sentence).toContain(part)
  })
})
