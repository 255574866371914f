import { FieldError, within } from '../base/field-error'

/** What is known of the spring of a pocket, or measured of one that lies loose. What is not known is left out. */
export interface SpringFacts {
  id: string
  wireMm?: number
  coilDiameterMm?: number
  activeCoils?: number
  freeLengthMm?: number
  colour?: string
}

export interface SpringMatch {
  /** The loose spring. */
  found: string
  /** Where it belongs most likely; `null` where more likely nowhere. */
  pocket: string | null
  /** How sure that is, 0 to 1, with every other spring put somewhere too. */
  share: number
  /** Every pocket with its share, the likeliest first. */
  shares: { pocket: string; share: number }[]
}

/** How far a caliper and a used spring are off, one standard deviation, in mm and turns. Common practice, no source. */
const SPREAD = { wireMm: 0.03, coilDiameterMm: 0.15, activeCoils: 0.3, freeLengthMm: 0.7 } as const
/** A mark of paint is misread or worn off once in so many times. From memory of the trade. */
const MISREAD = 0.1
/** A spring that belongs to no pocket: as far off as this many standard deviations in each measure. */
const STRANGER = 4
/** Subsets of pockets are looked at one by one. */
const MOST = 14

/**
 * Which loose spring belongs in which pocket. Each measure is a normal error about the pocket's own; a pocket takes one spring, so the
 * shares are those over every way of putting all of them away (a sum over subsets, exact).
 * @returns one entry a loose spring, in their order
 * @throws FieldError on no pocket, too many, or a measure that is none
 */
export function matchSprings(pockets: SpringFacts[], found: SpringFacts[]): SpringMatch[] {
  if (pockets.length === 0) throw new FieldError('pockets', 'At least one pocket is wanted.')
  if (pockets.length > MOST) throw new FieldError('pockets', `At most ${MOST} pockets can be told apart at once.`)
  for (const [name, list] of [
    ['pockets', pockets],
    ['found', found],
  ] as const)
    for (const [index, spring] of list.entries())
      for (const key of measures)
        if (spring[key] !== undefined) within(`${name}[${index}].${key}`, spring[key], 0.01, 500, 'The measure')
  const likely = found.map(spring => pockets.map(pocket => likelihood(pocket, spring)))
  const nowhere = found.map(stranger)
  const shares = sharesOf(likely, nowhere)
  return found.map((spring, index): SpringMatch => {
    const own = pockets
      .map(({ id }, at) => ({ pocket: id, share: shares[index]![at]! }))
      .sort((a, b) => b.share - a.share)
    const none = 1 - own.reduce((sum, { share }) => sum + share, 0)
    const [best] = own
    return best!.share >= none
      ? { found: spring.id, pocket: best!.pocket, share: best!.share, shares: own }
      : { found: spring.id, pocket: null, share: none, shares: own }
  })
}

const measures = ['wireMm', 'coilDiameterMm', 'activeCoils', 'freeLengthMm'] as const

function likelihood(pocket: SpringFacts, spring: SpringFacts): number {
  const measured = measures.reduce((product, key) => {
    const [one, other] = [pocket[key], spring[key]]
    return one === undefined || other === undefined
      ? product
      : product * Math.exp(-(((other - one) / SPREAD[key]) ** 2) / 2)
  }, 1)
  if (!pocket.colour || !spring.colour) return measured
  return measured * (pocket.colour === spring.colour ? 1 - MISREAD : MISREAD)
}

/** How likely what was measured is where the spring belongs to none of them. */
function stranger(spring: SpringFacts): number {
  const measured = measures.filter(key => spring[key] !== undefined).length
  return Math.exp(-(STRANGER ** 2) / 2) ** Math.max(1, measured / 2)
}

/**
 * Share of each loose spring in each pocket, over all ways to put the springs into pockets, one in each, or nowhere.
 * Forward and backward sums over the set of pockets taken.
 */
function sharesOf(likely: number[][], nowhere: number[]): number[][] {
  const pockets = likely[0]?.length ?? 0
  const sets = 1 << pockets
  const forward: Float64Array[] = [new Float64Array(sets)]
  forward[0]![0] = 1
  for (const [index, row] of likely.entries()) {
    const [from, to] = [forward[index]!, new Float64Array(sets)]
    for (let taken = 0; taken < sets; taken++) {
      if (from[taken] === 0) continue
      to[taken]! += from[taken]! * nowhere[index]!
      for (let pocket = 0; pocket < pockets; pocket++)
        if (!(taken & (1 << pocket))) to[taken | (1 << pocket)]! += from[taken]! * row[pocket]!
    }
    forward.push(to)
  }
  const shares = likely.map(() => Array.from({ length: pockets }, () => 0))
  let backward = new Float64Array(sets).fill(1)
  const total = forward.at(-1)!.reduce((sum, value) => sum + value, 0)
  for (let index = likely.length - 1; index >= 0; index--) {
    const [row, from, before] = [likely[index]!, forward[index]!, new Float64Array(sets)]
    for (let taken = 0; taken < sets; taken++) {
      before[taken]! += backward[taken]! * nowhere[index]!
      for (let pocket = 0; pocket < pockets; pocket++) {
        const next = taken | (1 << pocket)
        if (next === taken) continue
        before[taken]! += backward[next]! * row[pocket]!
        if (total > 0) shares[index]![pocket]! += (from[taken]! * row[pocket]! * backward[next]!) / total
      }
    }
    backward = before
  }
  return shares
}
