import { pairsOfChoices } from '../../core/packs'
import type { Pack } from '../../core/packs'

/** Combinations of options in which every choice of every option stands at least once. */
export function everyChoice({ options }: Pack): { options: Record<string, string> }[] {
  const most = Math.max(1, ...options.map(({ choices }) => choices.length))
  return Array.from({ length: most }, (_, row) => ({
    options: Object.fromEntries(
      options.map(({ id, choices }, column) => [id, choices[(row + column) % choices.length]!.id]),
    ),
  }))
}

/** Combinations of options in which every pair of choices of every two options stands together at least once. */
export const pairwise = (pack: Pack): { options: Record<string, string> }[] =>
  pairsOfChoices(pack).map(options => ({ options }))
