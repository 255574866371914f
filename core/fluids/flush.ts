import { within } from '../base/field-error'

export interface Flush {
  /** How often what stands in lines and cooler was pumped through. */
  turnovers: number
  enough: boolean
}

/** So often it goes through before the cooler counts as clean. Common practice, no source. */
const TURNOVERS = 2

/** Fluid pumped through cooler and lines against what they hold. @throws FieldError on the field at fault */
export function flush({ lineMl, coolerMl, pumpedMl }: { lineMl: number; coolerMl: number; pumpedMl: number }): Flush {
  within('lineMl', lineMl, 0, 10_000, 'What the lines hold, in ml')
  within('coolerMl', coolerMl, 1, 20_000, 'What the cooler holds, in ml')
  within('pumpedMl', pumpedMl, 0, 200_000, 'What was pumped through, in ml')
  const turnovers = pumpedMl / (lineMl + coolerMl)
  return { turnovers, enough: turnovers >= TURNOVERS - 1e-9 }
}
