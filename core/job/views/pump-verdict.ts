import type { PumpResult } from '../chapters/opening'

/**
 * What the pumped-pedal test says before anything is dismantled: a pedal that gets higher or firmer
 * with each stroke is air or a failing cylinder, not the clutch.
 *
 * Source: common practice, no source.
 */
export function pumpVerdict(result: PumpResult, strokes: number | null): { clear: boolean; text: string } {
  if (result === 'not-done')
    return {
      clear: false,
      text: 'Pump the pedal 15 to 20 times before you plan a day of work: if it rises or firms up, the clutch may be innocent.',
    }
  if (strokes !== null && strokes < 15)
    return { clear: false, text: `${strokes} strokes tell little. Go on to 15 or 20 and feel again.` }
  return result === 'rises'
    ? {
        clear: true,
        text: 'It rises: that is air or a failing cylinder, not the clutch. Prove the hydraulics before the box comes out.',
      }
    : { clear: true, text: 'No change: the hydraulics hold. The fault is more likely inside the bell.' }
}
