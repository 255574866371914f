import { within } from '../base/field-error'

/** A length with how far it may be off to either side, in mm. */
export interface Toleranced {
  mm: number
  plusMinusMm: number
}

/** The lengths that decide how far the tip of the input shaft goes into its pilot. Every length in mm. */
export interface PilotStack {
  /** From the bell's face back to the tip: how far the shaft stands out of the bell. Shaft length less bell depth where it is not measured at once. */
  shaftStandsOut: Toleranced
  /** From the engine's bell face rearward to the face that the pilot's depth is measured from; negative where that face lies deeper in the engine. */
  faceToBellFace: Toleranced
  /** A plate between engine and bell that keeps them apart. */
  spacer?: Toleranced
  /** From that face down to the near edge of the pilot. */
  pilotDepth: Toleranced
  /** How long the pilot is. */
  pilotLength: Toleranced
  /** From that face to the bottom of the hole behind the pilot. */
  holeDepth: Toleranced
  /** How long the thin tip of the shaft is, up to its shoulder. */
  tipLength: Toleranced
}

export type PilotVerdict = 'too-shallow' | 'right' | 'too-deep'

export interface PilotFit {
  verdict: PilotVerdict
  /** How much of the pilot is filled by the tip, in mm: nominal, and the range at worst and by chance. */
  engagementMm: number
  worstMm: [low: number, high: number]
  statisticalMm: [low: number, high: number]
  /** Room before the shaft's shoulder or its end meets something, in mm; negative where the box will not come up. */
  roomMm: number
  roomWorstMm: number
  because: string
}

/** The tip has to fill this share of the pilot. Common practice, no source. */
const ENOUGH_SHARE = 0.6
const NONE: Toleranced = { mm: 0, plusMinusMm: 0 }

/**
 * How far the tip of the input shaft reaches into the pilot, from the lengths that add up to it.
 *
 * At worst every length is off its full amount the wrong way; by chance the deviations add as squares (root sum square),
 * each taken as three standard deviations.
 * A pilot that is too shallow keeps the box from coming up; one that is too deep holds the tip by its end only.
 * @throws FieldError on a length that cannot be
 */
export function pilotDepth(stack: PilotStack): PilotFit {
  for (const [name, value] of Object.entries(stack) as [string, Toleranced][]) {
    within(`${name}.mm`, value.mm, -200, 1000, 'The length in mm')
    within(`${name}.plusMinusMm`, value.plusMinusMm, 0, 20, 'The tolerance in mm')
  }
  const { shaftStandsOut, faceToBellFace, pilotDepth: depth, pilotLength, holeDepth, tipLength } = stack
  const spacer = stack.spacer ?? NONE
  /** How far the tip lies below the face. */
  const reach = shaftStandsOut.mm + faceToBellFace.mm - spacer.mm
  const reachParts = [shaftStandsOut, faceToBellFace, spacer]
  const engaged = (tip: number, near: number, long = pilotLength.mm) => Math.max(0, Math.min(tip - near, long))

  const engagementMm = engaged(reach, depth.mm)
  const [worst, chance] = spreads([...reachParts, depth])
  const length = pilotLength.plusMinusMm
  const range = (by: number): [number, number] => [
    engaged(reach - by, depth.mm, pilotLength.mm - length),
    engaged(reach + by, depth.mm, pilotLength.mm + length),
  ]
  const toShoulder = depth.mm - (reach - tipLength.mm)
  const toBottom = holeDepth.mm - reach
  const roomMm = Math.min(toShoulder, toBottom)
  const roomWorstMm = Math.min(
    toShoulder - spreads([...reachParts, depth, tipLength])[0],
    toBottom - spreads([...reachParts, holeDepth])[0],
  )

  const wanted = ENOUGH_SHARE * pilotLength.mm
  const fit = { engagementMm, worstMm: range(worst), statisticalMm: range(chance), roomMm, roomWorstMm }
  if (roomMm <= 0) {
    return {
      ...fit,
      verdict: 'too-shallow',
      because: `The ${toShoulder < toBottom ? 'shoulder of the shaft meets the pilot' : 'end of the shaft meets the bottom of the hole'} {${Math.abs(roomMm).toFixed(1)} mm} before the bell is home: the box would not come up.`,
    }
  }
  if (engagementMm < wanted) {
    return {
      ...fit,
      verdict: 'too-deep',
      because: `Only {${engagementMm.toFixed(1)} mm} of the tip are held, of a pilot {${pilotLength.mm.toFixed(1)} mm} long: the shaft would wobble on its end.`,
    }
  }
  const doubt =
    fit.worstMm[0] < wanted
      ? ` At worst {${fit.worstMm[0].toFixed(1)} mm} are held.`
      : roomWorstMm <= 0
        ? ' At worst the shaft meets something before the bell is home; push the box up by hand and feel.'
        : ''
  return {
    ...fit,
    verdict: 'right',
    because: `{${engagementMm.toFixed(1)} mm} of the tip are held, and {${roomMm.toFixed(1)} mm} are left before it meets anything.${doubt}`,
  }
}

/** How far a sum of lengths can be off: at worst, and by chance. */
function spreads(parts: Toleranced[]): [worst: number, chance: number] {
  return [
    parts.reduce((sum, part) => sum + part.plusMinusMm, 0),
    Math.sqrt(parts.reduce((sum, part) => sum + part.plusMinusMm ** 2, 0)),
  ]
}
