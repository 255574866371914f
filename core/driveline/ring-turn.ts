import { within } from '../base/field-error'

/** A toothed ring, and the teeth it has to slip into. */
export interface RingTeeth {
  teethA: number
  teethB: number
  /** By how much the ring stands clockwise of where it would slip in, in degrees. */
  offsetDeg: number
}

export interface RingTurn {
  /** The short way to the next place where teeth meet gaps; above zero clockwise. */
  turnDeg: number
  direction: 'clockwise' | 'counter-clockwise' | 'none'
}

/** Closer than this the chamfers of the teeth find each other. Common practice, no source. */
const FINDS_DEG = 0.05

/**
 * How far and which way a sprung ring is turned so that its teeth slip into those of the shaft. Teeth of two counts meet again
 * after 360° / lcm(a, b), the vernier of the two; with equal counts that is one tooth.
 * @throws FieldError on the field at fault
 */
export function ringTurn({ teethA, teethB, offsetDeg }: RingTeeth): RingTurn {
  const [a, b] = [wholeTeeth('teethA', teethA), wholeTeeth('teethB', teethB)]
  within('offsetDeg', offsetDeg, -360, 360, 'The offset in degrees')
  const stepDeg = 360 / ((a / greatestDivisor(a, b)) * b)
  const turnDeg = Math.round(offsetDeg / stepDeg) * stepDeg - offsetDeg
  return {
    turnDeg: Math.abs(turnDeg) < 1e-9 ? 0 : turnDeg,
    direction: Math.abs(turnDeg) < FINDS_DEG ? 'none' : turnDeg > 0 ? 'clockwise' : 'counter-clockwise',
  }
}

function wholeTeeth(path: string, teeth: number): number {
  return Math.round(within(path, teeth, 3, 400, 'The number of teeth'))
}

const greatestDivisor = (a: number, b: number): number => (b === 0 ? a : greatestDivisor(b, a % b))
