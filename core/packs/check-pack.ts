import { checkAnswers } from './check-answers'
import { checkFasteners } from './check-fasteners'
import { checkIds } from './check-ids'
import { checkPhysics } from './check-physics'
import { checkSense } from './check-sense'
import { checkTools } from './check-tools'
import { unknownTokens } from '../say/terms'
import type { TermTable } from '../say/terms'
import type { Pack } from '../pack/pack'

/** Something wrong in a pack: where it stands and why it cannot stay. Entries of a list are named by their id. */
export interface PackFault {
  path: string
  reason: string
}

/**
 * Everything wrong with a pack: unknown or repeated ids, tokens the term table lacks, an option that is not there; and
 * where those are in order, cycles, facts needed but never given, things taken off for no reason, and a ledger
 * that does not come back to zero under some combination of options; bad answers without a consequence, texts and tools that do not
 * agree, fasteners that nobody sets.
 */
export function checkPack(pack: Pack, terms: TermTable): PackFault[] {
  const faults = [...checkIds(pack), ...badTokens(pack, terms)]
  if (faults.length > 0) return faults
  const senseless = [...checkAnswers(pack), ...checkTools(pack), ...checkFasteners(pack), ...checkSense(pack)]
  // Work whose links form a cycle has no order to be worked off in.
  return senseless.length > 0 ? senseless : checkPhysics(pack)
}

function badTokens(pack: Pack, terms: TermTable): PackFault[] {
  const faults: PackFault[] = []
  const walk = (path: string, value: unknown) => {
    if (typeof value === 'string') {
      for (const token of unknownTokens(value, terms))
        faults.push({ path, reason: `the term table has no "{${token}}"` })
    } else if (Array.isArray(value)) value.forEach((entry, index) => walk(`${path}[${entry?.id ?? index}]`, entry))
    else if (value && typeof value === 'object') {
      for (const [key, entry] of Object.entries(value)) walk(path ? `${path}.${key}` : key, entry)
    }
  }
  walk('', pack)
  return faults
}
