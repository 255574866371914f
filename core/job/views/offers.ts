import type { RenewPackage } from '../../decisions/packages'
import type { JobState } from '../chapters'
import type { Rates } from './rates'
import type { Reach } from './reach'
import { renewalLines, renewalPackages } from './renewal-lines'

/** The three offers of an estimate, over what is in reach and priced; and what nobody priced yet. */
export function jobPackages(
  state: JobState,
  rates: Rates,
  reach: Record<string, Reach>,
): { packages: (RenewPackage & { names: string[] })[]; unpriced: string[] } {
  const lines = renewalLines(state, rates, reach)
  const names = new Map(lines.map(line => [line.part.id, line.part.name]))
  return {
    packages: renewalPackages(lines, rates).map(offer => ({ ...offer, names: offer.parts.map(id => names.get(id)!) })),
    unpriced: lines.filter(line => !line.planned && line.partCost === null).map(line => line.part.name),
  }
}
