import { springRate } from '../fasteners/spring-rate'
import { quantity } from '../say/quantity'
import { matchSprings } from './match-springs'
import type { SpringFacts } from './match-springs'

/** How a spring stands against the one that its pocket wants. */
export interface SpringVerdict {
  verdict: 'same' | 'softer' | 'stiffer' | 'shorter' | 'other-pocket' | 'unknown'
  /** In N/mm, where wire, coil and turns are known; `null` where they are not. */
  rateNmm: number | null
  wantedNmm: number | null
  /** The pocket it belongs to more likely, where that is another one. */
  pocket: string | null
  because: string
}

/** Springs of one kind differ by so much in rate, as they are made and measured. Common practice, no source. */
const SAME_SHARE = 0.1
/** A spring that has set is shorter by more than this, in mm. Common practice, no source. */
const SET_MM = 1
/** From so sure on a spring is said to be another pocket's. */
const SURE = 0.8

/**
 * A spring measured against what its pocket wants: k = G d⁴ / (8 D³ n), free length, and which pocket it fits best.
 * @param own the pocket's own spring
 * @param pockets all springs of the body, its own among them
 * @throws FieldError on a measure that is none
 */
export function springVerdict(own: SpringFacts, measured: SpringFacts, pockets: SpringFacts[]): SpringVerdict {
  const [rateNmm, wantedNmm] = [rateOf(measured), rateOf(own)]
  const [match] = matchSprings(pockets, [measured])
  if (match!.pocket !== null && match!.pocket !== own.id && match!.share >= SURE)
    return {
      verdict: 'other-pocket',
      rateNmm,
      wantedNmm,
      pocket: match!.pocket,
      because: `It fits another pocket better, ${Math.round(match!.share * 100)} in 100.`,
    }
  const base = { rateNmm, wantedNmm, pocket: null }
  if (rateNmm !== null && wantedNmm !== null && Math.abs(rateNmm / wantedNmm - 1) > SAME_SHARE)
    return {
      ...base,
      verdict: rateNmm < wantedNmm ? 'softer' : 'stiffer',
      because: `${Math.abs(Math.round((rateNmm / wantedNmm - 1) * 100))} in 100 ${rateNmm < wantedNmm ? 'softer' : 'stiffer'} than its pocket wants.`,
    }
  if (
    measured.freeLengthMm !== undefined &&
    own.freeLengthMm !== undefined &&
    own.freeLengthMm - measured.freeLengthMm > SET_MM
  )
    return {
      ...base,
      verdict: 'shorter',
      because: `It has set: ${mm(own.freeLengthMm - measured.freeLengthMm)} shorter than its sheet.`,
    }
  return isCompared(own, measured)
    ? { ...base, verdict: 'same', because: 'It is the spring of its pocket, as far as it was measured.' }
    : { ...base, verdict: 'unknown', because: 'Nothing was measured that its sheet knows.' }
}

const measures = ['wireMm', 'coilDiameterMm', 'activeCoils', 'freeLengthMm'] as const
const isCompared = (own: SpringFacts, measured: SpringFacts) =>
  measures.some(key => own[key] !== undefined && measured[key] !== undefined)

function rateOf({ wireMm, coilDiameterMm, activeCoils }: SpringFacts): number | null {
  return wireMm === undefined || coilDiameterMm === undefined || activeCoils === undefined
    ? null
    : springRate({ wireMm, coilDiameterMm, activeCoils })
}

const mm = (value: number) => quantity(value, 'mm', 1)
