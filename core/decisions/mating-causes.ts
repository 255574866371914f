import type { Mating, MatingSign } from '../pack/sheets'

/** How the gap lies: even all round, or open to one side. */
export type GapPattern = 'even' | 'tilted' | 'unknown'

export interface MatingCauseRank {
  id: string
  title: string
  /** 0 to 1; all of them add up to 1. */
  probability: number
  /** What the log knows that speaks for or against it. */
  because: string[]
  todo: string
}

/**
 * Ranks why a box does not go home: how often each cause is the one, changed by how the gap lies and by what the log knows.
 * A small Bayesian model whose weights are data; signs are taken as independent.
 * @param holds whether a sign is seen in this job
 */
export function matingCauses(
  mating: Mating,
  pattern: GapPattern,
  holds: (sign: MatingSign) => boolean,
): MatingCauseRank[] {
  const weighed = mating.causes.map(cause => {
    const signs = cause.signs.filter(holds)
    const shape = pattern === 'unknown' ? 1 : cause[pattern]
    return { cause, signs, weight: signs.reduce((product, sign) => product * sign.factor, cause.prior * shape) }
  })
  const total = weighed.reduce((sum, entry) => sum + entry.weight, 0)
  return weighed
    .map(({ cause, signs, weight }) => ({
      id: cause.id,
      title: cause.title,
      probability: total > 0 ? weight / total : 0,
      because: signs.map(sign => sign.because),
      todo: cause.todo,
    }))
    .sort((a, b) => b.probability - a.probability)
}
