/** A fluid as far as bubbles are concerned. */
export interface LineFluid {
  densityKgM3: number
  /** Dynamic viscosity, in mPa·s. */
  viscosityMPas: number
  /** Surface tension, in mN/m. */
  surfaceMNm: number
}

/** Glycol-ether brake fluid at 20 °C. From memory, of the order that data sheets give. */
export const brakeFluid: LineFluid = { densityKgM3: 1050, viscosityMPas: 15, surfaceMNm: 34 }

export const GRAVITY = 9.80665
