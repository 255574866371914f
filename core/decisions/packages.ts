/** One part that may be renewed while it is open, priced. */
export interface RenewLine {
  id: string
  partCost: number
  minutesNow: number
  /** Found broken or asked for by a sheet: it is no question of chances. */
  must: boolean
  advice: 'renew' | 'leave'
}

export interface RenewPackage {
  id: 'must' | 'sensible' | 'everything'
  parts: string[]
  partCost: number
  minutes: number
  /** Parts and labour, in the garage's money. */
  total: number
}

/**
 * Three offers to the customer: what has to be, what pays on average too, and all that is in reach.
 * Each holds everything of the one before.
 */
export function renewPackages(lines: RenewLine[], labourPerHour: number): RenewPackage[] {
  const offer = (id: RenewPackage['id'], chosen: RenewLine[]): RenewPackage => {
    const partCost = chosen.reduce((sum, line) => sum + line.partCost, 0)
    const minutes = chosen.reduce((sum, line) => sum + line.minutesNow, 0)
    return {
      id,
      parts: chosen.map(line => line.id),
      partCost,
      minutes,
      total: partCost + (minutes / 60) * labourPerHour,
    }
  }
  return [
    offer(
      'must',
      lines.filter(line => line.must),
    ),
    offer(
      'sensible',
      lines.filter(line => line.must || line.advice === 'renew'),
    ),
    offer('everything', lines),
  ]
}
