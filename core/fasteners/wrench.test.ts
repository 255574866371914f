import { describe, expect, it } from 'vitest'
import { blowLeft } from './impact-stack'
import { calibratedRange, calibrationOverdue, chooseWrench, wrenchSetting } from './wrench'
import type { TorqueWrench } from './wrench'

const small: TorqueWrench = {
  id: 'a',
  name: 'Small',
  minNm: 2,
  maxNm: 25,
  drive: '1/4',
  lengthMm: 270,
  calibratedOn: '2026-05-04',
}
const middle: TorqueWrench = {
  id: 'b',
  name: 'Middle',
  minNm: 10,
  maxNm: 100,
  drive: '3/8',
  lengthMm: 380,
  calibratedOn: '2026-05-04',
}
const large: TorqueWrench = {
  id: 'c',
  name: 'Large',
  minNm: 40,
  maxNm: 210,
  drive: '1/2',
  lengthMm: 530,
  calibratedOn: '2024-02-01',
}
const choose = (torqueNm: number, wrenches = [large, middle, small]) =>
  chooseWrench(wrenches, () => torqueNm, '2026-11-25')

describe('chooseWrench', () => {
  it('takes the finest that covers the torque', () => {
    expect(choose(21)?.wrench.name).toBe('Small')
    expect(choose(60)?.wrench.name).toBe('Middle')
  })
  it('does not reach below a fifth of the range, where no calibration covers it', () => {
    expect(calibratedRange(middle)).toEqual({ fromNm: 20, toNm: 100 })
    expect(choose(15, [middle])).toBeNull()
    expect(calibratedRange({ minNm: 40, maxNm: 100 }).fromNm).toBe(40)
  })
  it('flags a calibration that has run out, and takes it only when no other covers the torque', () => {
    expect(choose(60)?.overdue).toBe(false)
    expect(choose(150)).toMatchObject({ overdue: true, wrench: { name: 'Large' } })
  })
})

describe('calibrationOverdue', () => {
  it('holds twelve months', () => {
    expect(calibrationOverdue({ calibratedOn: '2025-11-26' }, '2026-11-25')).toBe(false)
    expect(calibrationOverdue({ calibratedOn: '2025-11-25' }, '2026-11-25')).toBe(true)
    expect(calibrationOverdue({ calibratedOn: null }, '2026-11-25')).toBe(true)
  })
})

describe('wrenchSetting', () => {
  it('is less straight out, the same square to it, more pointing back', () => {
    const at = (adapterAngleDeg: number) =>
      wrenchSetting({ targetNm: 50, wrenchLengthMm: 400, adapterLengthMm: 50, adapterAngleDeg }).settingNm
    expect(at(0)).toBeLessThan(at(45))
    expect(at(90)).toBeCloseTo(50, 9)
    expect(at(180)).toBeGreaterThan(50)
  })
  it('refuses an adapter that eats up the wrench, and numbers that are none', () => {
    expect(() =>
      wrenchSetting({ targetNm: 50, wrenchLengthMm: 200, adapterLengthMm: 190, adapterAngleDeg: 180 }),
    ).toThrow('Turn it')
    expect(() => wrenchSetting({ targetNm: -1, wrenchLengthMm: 200, adapterLengthMm: 0, adapterAngleDeg: 0 })).toThrow(
      'targetNm',
    )
    expect(() =>
      wrenchSetting({ targetNm: 10, wrenchLengthMm: Number.NaN, adapterLengthMm: 0, adapterAngleDeg: 0 }),
    ).toThrow('wrenchLengthMm')
  })
})

describe('blowLeft', () => {
  const socket = { kind: 'socket', lengthMm: 40, diameterMm: 24 } as const
  const long = { kind: 'extension', lengthMm: 250, diameterMm: 12.7 } as const
  it('leaves the whole blow to the socket alone and ever less behind a longer stack', () => {
    expect(blowLeft(socket, []).share).toBe(1)
    expect(blowLeft(socket, [long]).share).toBeLessThan(1)
    expect(blowLeft(socket, [long, long]).share).toBeLessThan(blowLeft(socket, [long]).share)
  })
  it('loses more in a bent joint than in a straight one', () => {
    const joint = (angleDeg: number) => blowLeft(socket, [long, { kind: 'wobble', diameterMm: 16, angleDeg }]).share
    expect(joint(30)).toBeLessThan(joint(5))
    expect(() => joint(80)).toThrow('angleDeg')
  })
  it('wants a socket at the end', () => {
    expect(() => blowLeft(long, [])).toThrow('socket')
  })
})
