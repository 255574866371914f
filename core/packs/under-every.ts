import type { PackFault } from './check-pack'
import { combinationsOf, countCombinations } from './combinations'
import type { Pack } from '../pack/pack'

/** More combinations of options than this are not looked at one by one. */
const MOST_COMBINATIONS = 8192

/** Looks under every combination of the options that bear on something, and tells the first fault. */
export function underEvery(
  pack: Pack,
  relevant: Set<string>,
  path: string,
  look: (choices: Record<string, string>) => PackFault | null,
): PackFault[] {
  const count = countCombinations(pack, relevant)
  if (count > MOST_COMBINATIONS)
    return [
      { path, reason: `${count} combinations of options bear on this; at most ${MOST_COMBINATIONS} can be looked at` },
    ]
  for (const choices of combinationsOf(pack, relevant)) {
    const fault = look(choices)
    if (fault) return [{ path: fault.path, reason: fault.reason + label(choices, relevant) }]
  }
  return []
}

function label(choices: Record<string, string>, ids: Iterable<string>): string {
  const named = [...ids].filter(id => id in choices).map(id => `${id}=${choices[id]}`)
  return named.length > 0 ? ` (${named.join(' ')})` : ''
}
