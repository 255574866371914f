import { describe, expect, it } from 'vitest'
import { findingOf } from '../../../tests/support/one-judge'

describe('weight and room', () => {
  const lift = { horizontal: 500, vertical: 350, travel: 350, turn: 30 }
  it('says who lifts: one, two, or the jack', () => {
    expect(findingOf('hands-or-jack', { ...lift, mass: 5 })).toMatchObject({ level: 'good' })
    expect(findingOf('hands-or-jack', { ...lift, mass: 12 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('Two people'),
    })
    expect(findingOf('hands-or-jack', { ...lift, mass: 42 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('The jack carries it'),
    })
  })
  const car = {
    car: 1400,
    front: 60,
    wheelbase: 2600,
    track: 1500,
    standFromAxle: 400,
    standApart: 1100,
    part: 45,
    partFromAxle: -100,
    partAside: -300,
  }
  it('loads stands against their plates', () => {
    expect(findingOf('stand-loads', { ...car, rating: 2000 }).level).toBe('good')
    expect(findingOf('stand-loads', { ...car, rating: 300 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('more than it is rated for'),
    })
  })
  it('judges a weight that is not known by the heaviest it may be', () => {
    const close = { horizontal: 300, vertical: 750, travel: 250, turn: 0 }
    expect(findingOf('hands-or-jack', { ...close, mass: 14, spread: 0 }).level).toBe('good')
    const unsure = findingOf('hands-or-jack', { ...close, mass: 14, spread: 8 })
    expect(unsure).toMatchObject({ level: 'watch', sentence: expect.stringContaining('{6 kg} to {22 kg}') })
  })
  it('says what a support carries with the box and without it, against its plate', () => {
    const held = { engine: 140, box: 45, engineAside: 110, boxAside: 340, mountAside: 440 }
    // Moments about the mount: engine 140 × 330, box 45 × 780, over 440.
    const found = findingOf('support-share', { ...held, rating: 500 })
    expect(found.figures[0]!.value).toBeCloseTo((140 * 330 + 45 * 780) / 440, 6)
    expect(found).toMatchObject({ level: 'good', sentence: expect.stringContaining('{105 kg} once it is out') })
    expect(findingOf('support-share', { ...held, rating: 250 }).level).toBe('watch')
    expect(findingOf('support-share', { ...held, rating: 150 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('more than it is rated for'),
    })
  })
  it('finds stands that are too low, and a tail that cannot go down far enough', () => {
    const room = {
      box: 380,
      saddle: 140,
      edge: 240,
      edgeFromAxle: 3300,
      liftFromAxle: 2200,
      rises: 0,
      lowest: 280,
      point: 200,
    }
    expect(findingOf('room-under', { ...room, highest: 420 }).level).toBe('good')
    expect(findingOf('room-under', { ...room, highest: 380 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('Taller stands'),
    })
    const tilt = { tail: 1000, boltsBehind: 350, boltsAbove: 250, wanted: 30, topBehind: 150, topAbove: 400 }
    expect(findingOf('engine-tilt', { ...tilt, room: 80 }).level).toBe('good')
    const fan = {
      ...tilt,
      room: 80,
      fanAhead: 300,
      fanAbove: 50,
      hoseBehind: 100,
      hoseAbove: 300,
      intakeBehind: 50,
      intakeAbove: 450,
    }
    expect(findingOf('engine-tilt', { ...fan, fanRoom: 60, hoseRoom: 60, intakeRoom: 90 }).level).toBe('good')
    expect(findingOf('engine-tilt', { ...fan, fanRoom: 12, hoseRoom: 60, intakeRoom: 90 }).sentence).toContain(
      'the fan touches',
    )
    expect(findingOf('engine-tilt', { ...tilt, room: 10 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('Free it first'),
    })
  })
  it('says how far the box end of an engine across the car may go down, and what touches first', () => {
    // By hand: 500 mm from the mount the support goes down 40 mm, by 4.59°; at 550 mm that is 44 mm.
    const end = { support: 500, bellAlong: 550, bellAbove: 0, wanted: 44 }
    expect(findingOf('engine-end', end)).toMatchObject({ level: 'good', sentence: expect.stringContaining('{40 mm}') })
    // A downpipe 350 mm along comes down 28 mm with it; a pulley 300 mm below the mount swings out by 24 mm.
    expect(findingOf('engine-end', { ...end, pipeAlong: 350, pipeRoom: 33 }).level).toBe('watch')
    expect(findingOf('engine-end', { ...end, pipeAlong: 350, pipeRoom: 27 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('the downpipe touches'),
    })
    const far = { farAlong: 0, farAbove: -300 }
    expect(findingOf('engine-end', { ...end, ...far, farRoom: 40 }).level).toBe('good')
    expect(findingOf('engine-end', { ...end, ...far, farRoom: 23 }).sentence).toContain('the far side touches')
    expect(findingOf('engine-end', { ...end, wanted: 2000 }).sentence).toContain('No lowering')
  })
})

describe('driveline and oil', () => {
  const straight = {
    boxAside: 0,
    shaftAside: 0,
    axleAside: 0,
    mount: 800,
    tail: 950,
    length: 1400,
    road: 100,
    ratio: 3.7,
    tyre: 1950,
  }
  it('lets parallel ends pass and offers a shim where they are not', () => {
    expect(findingOf('drive-angles', { ...straight, box: 2, shaft: 4.5, axle: 2 }).level).toBe('good')
    expect(findingOf('drive-angles', { ...straight, box: 4, shaft: 6, axle: 2 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('under the rear mount lifts the tail'),
    })
  })
  it('follows a shaft in two pieces through three joints', () => {
    const found = findingOf('drive-angles', { ...straight, box: 2, shaft: 2.3, rear: 5.3, rearAside: 0, axle: 2.3 })
    expect(found.working.filter(line => line.startsWith('joint'))).toHaveLength(3)
    expect(found.level).toBe('good')
  })
  it('a center bearing sits forward of free by what the book says (a quarter inch on some cars, common practice)', () => {
    expect(findingOf('bearing-forward', { free: 420, fitted: 413.65, forward: 6.35 })).toMatchObject({
      level: 'good',
      sentence: expect.stringContaining('as wanted'),
    })
    expect(findingOf('bearing-forward', { free: 420, fitted: 418, forward: 6.35 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('{4.3 mm} forward'),
    })
    expect(findingOf('bearing-forward', { free: 420, fitted: 424, forward: 0 })).toMatchObject({
      sentence: expect.stringContaining('behind of its free position: move it {4.0 mm} forward'),
    })
  })
  it('buys whole bottles and says when the box ran low', () => {
    const oil = { capacity: 1900, bottle: 1000, shelf: 0, stroke: 500 }
    expect(findingOf('filling', oil)).toMatchObject({
      level: 'good',
      sentence: expect.stringContaining('2 bottles to buy, {100 ml} left over, 4 strokes'),
    })
    expect(findingOf('filling', { ...oil, share: 70, bottleTwo: 500, shelfTwo: 0 })).toMatchObject({
      sentence: expect.stringContaining('the second kind'),
    })
    expect(findingOf('filling', { ...oil, out: 1200 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('Only 63 in 100'),
    })
  })
})

describe('a disc without a pilot', () => {
  it('is moved toward the widest gap, unless the gaps belong to no round rim', () => {
    const gaps = (...values: number[]) => findingOf('rim-gaps', { gaps: values, limit: 0.25 })
    expect(gaps(2, 2.1, 2, 1.9).level).toBe('good')
    expect(gaps(3, 2, 1, 2)).toMatchObject({ level: 'renew', sentence: expect.stringContaining("toward 12 o'clock") })
    expect(gaps(3, 1, 3, 1)).toMatchObject({ level: 'watch', sentence: expect.stringContaining('one round rim') })
  })
})
