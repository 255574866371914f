import { judgeSheet } from '../bench/judge-sheet'
import { minutesLater } from '../decisions/minutes-later'
import { renewPackages } from '../decisions/packages'
import type { RenewLine, RenewPackage } from '../decisions/packages'
import { renewNow } from '../decisions/renew-now'
import type { Rates } from './costs'
import type { JobState } from './state'

/** The three offers of an estimate, over what is in reach and priced; and what nobody priced yet. */
export function jobPackages(state: JobState, rates: Rates): { packages: (RenewPackage & { names: string[] })[], unpriced: string[] } {
  const procedure = state.procedure
  if (!procedure) return { packages: [], unpriced: [] }
  const bad = new Set(procedure.bench.sheets.flatMap(sheet => judgeSheet(sheet, state.sheets[sheet.id]?.values ?? {}).renews))
  const unpriced: string[] = []
  const lines = procedure.bench.reachable.filter(part => !procedure.parts.some(entry => entry.id === part.part)).flatMap((part): RenewLine[] => {
    const weighed = state.renewals[part.id]?.weighed
    const partCost = weighed?.partCost ?? state.orders.findLast(order => order.partId === part.part)?.priceEach ?? null
    if (partCost === null) {
      unpriced.push(part.name)
      return []
    }
    const cost = partCost * (1 + rates.partsMarginPercent / 100)
    const minutesNow = weighed?.minutesNow ?? part.minutes[1]
    const later = weighed?.minutesLater ?? minutesLater(procedure, part.reachedBy)?.minutes ?? 0
    const { advice } = renewNow({ partCost: cost, minutesNow, minutesLater: later, labourPerHour: rates.labourPerHour, chance: weighed?.chance ?? part.chance, comebackCost: weighed?.comebackCost ?? 0 })
    return [{ id: part.id, partCost: cost, minutesNow, must: bad.has(part.part) || state.renewals[part.id]?.decision === 'renew', advice }]
  })
  const nameOf = (id: string) => procedure.bench.reachable.find(part => part.id === id)!.name
  return { packages: renewPackages(lines, rates.labourPerHour).map(offer => ({ ...offer, names: offer.parts.map(nameOf) })), unpriced }
}
