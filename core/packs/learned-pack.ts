import type { LearnedMinutes } from '../sequence/learn-minutes'
import type { Pack } from './types'

/** A pack with a garage's own minutes in place of its estimates; what it estimated itself is kept beside them. */
export function withLearnedMinutes(pack: Pack, learned: Map<string, LearnedMinutes>): Pack {
  if (learned.size === 0) return pack
  return {
    ...pack,
    modules: pack.modules.map(module => ({
      ...module,
      operations: module.operations.map((operation) => {
        const own = learned.get(operation.id)
        return own && own.used > 0 ? { ...operation, minutes: own.minutes, learned: { from: operation.minutes, times: own.used } } : operation
      }),
    })),
  }
}
