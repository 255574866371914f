import type { Chance } from '../chance'

/** What the plunger runs on. */
export const surfaces = [
  'true',
  'dirt-behind',
  'warped',
  'saddle',
  'heat-spot',
  'off-centre',
  'slipping-stand',
  'knocked',
] as const
export type Surface = (typeof surfaces)[number]

const rad = Math.PI / 180
const DIAL_MM = 0.01

/** A face or bore that a dial gauge is carried round: its shape, and how well the gauge is held. */
export class SimulatedSurface {
  private zeroMm = 0
  private turnedDeg = 0
  private readonly at: number
  private readonly size: number
  private readonly second: number

  constructor(
    readonly surface: Surface,
    private readonly chance: Chance,
  ) {
    this.at = chance.between(0, 360)
    this.size = chance.between(0.85, 1.15)
    this.second = chance.between(0, 180)
  }

  /** The shape alone, in mm. */
  heightMm(angleDeg: number): number {
    const tilt = (mm: number) => mm * this.size * Math.cos((angleDeg - this.at) * rad)
    const saddle = (mm: number) => mm * this.size * Math.cos(2 * (angleDeg - this.second) * rad)
    const own = 0.008 * Math.cos((angleDeg - this.second) * rad)
    switch (this.surface) {
      case 'true':
        return own
      case 'dirt-behind':
        return own + tilt(0.14)
      case 'warped':
        return own + tilt(0.03) + saddle(0.13)
      case 'saddle':
        return own + saddle(0.09)
      case 'heat-spot':
        return own + 0.16 * this.size * Math.exp(-((((angleDeg - this.at + 540) % 360) - 180) ** 2) / 800)
      case 'off-centre':
        return own + tilt(0.22)
      case 'slipping-stand':
        return own + tilt(0.02) + this.turnedDeg * 0.0004
      case 'knocked':
        return own + tilt(0.02) + saddle(0.015)
    }
  }

  /** The crank is turned on to a place. */
  turnTo(angleDeg: number): void {
    this.turnedDeg += Math.abs(angleDeg - (this.turnedDeg % 360))
  }

  /** What the dial shows there, to its division. */
  read(angleDeg: number, knock = false): number {
    const shake = this.chance.normal() * 0.003 + (knock ? 0.9 : 0)
    return Math.round((this.heightMm(angleDeg) - this.zeroMm + shake) / DIAL_MM) * DIAL_MM
  }

  zero(angleDeg: number): void {
    this.zeroMm = this.heightMm(angleDeg)
  }
}
