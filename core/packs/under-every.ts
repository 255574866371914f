import { seededRandom } from '../base/random'
import type { PackOption } from '../pack/options'
import type { PackFault } from './check-pack'
import { combinationsOf, countCombinations } from './combinations'
import type { Pack } from '../pack/pack'

/** More combinations of options than this are not looked at one by one. */
const MOST_COMBINATIONS = 8192
/** So many are drawn where there are more. */
const DRAWN = 1024

/**
 * Looks under every combination of the options that bear on something, and tells the first fault. Where there are more than can be looked
 * at, that is a fault too, unless one is met among so many drawn of them.
 */
export function underEvery(
  pack: Pack,
  relevant: Set<string>,
  path: string,
  look: (choices: Record<string, string>) => PackFault | null,
): PackFault[] {
  const count = countCombinations(pack, relevant)
  const tooMany = count > MOST_COMBINATIONS
  for (const choices of tooMany ? drawnOf(pack, relevant) : combinationsOf(pack, relevant)) {
    const fault = look(choices)
    if (fault) return [{ path: fault.path, reason: fault.reason + choicesLabel(choices, relevant) }]
  }
  if (!tooMany) return []
  const reason = `${count} combinations of options bear on this; at most ${MOST_COMBINATIONS} can be looked at`
  return [{ path, reason }]
}

/** Some combinations of options, drawn. */
function* drawnOf(pack: Pack, relevant: Set<string>): Generator<Record<string, string>> {
  const random = seededRandom(1)
  const draw = ({ id, choices, default: usual }: PackOption): [string, string] => [
    id,
    relevant.has(id) ? choices[Math.floor(random() * choices.length)]!.id : usual,
  ]
  for (let at = 0; at < DRAWN; at++) yield Object.fromEntries(pack.options.map(draw))
}

/** Some choices in words for a fault. */
export function choicesLabel(choices: Record<string, string>, ids: Iterable<string>): string {
  const named = [...ids].filter(id => id in choices).map(id => `${id}=${choices[id]}`)
  return named.length > 0 ? ` (${named.join(' ')})` : ''
}
