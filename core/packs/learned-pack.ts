import type { LearnedMinutes } from '../sequence/learn-minutes'
import { refitId } from './mirror'
import type { ThreePoint } from '../pack/kinds'
import type { OperationSource } from '../pack/operations'
import type { Pack } from '../pack/pack'

/** What a pack estimates for every step of it, refit steps by their own id. */
export function packMinutes(pack: Pack): Map<string, ThreePoint> {
  return new Map(
    pack.modules
      .flatMap(module => module.operations)
      .flatMap((operation): [string, ThreePoint][] => {
        const { id, minutes, refit } = operation
        return refit.kind === 'mirror'
          ? [
              [id, minutes],
              [refitId(id), refit.override.minutes ?? minutes],
            ]
          : [[id, minutes]]
      }),
  )
}

/** A pack with a garage's own minutes in place of its estimates, strip and refit each by its own; what it estimated itself is kept beside them. */
export function withLearnedMinutes(pack: Pack, learned: Map<string, LearnedMinutes>): Pack {
  if (learned.size === 0) return pack
  const own = (id: string, from: ThreePoint) => {
    const found = learned.get(id)
    return found && found.used > 0
      ? { minutes: found.minutes, learned: { from, times: found.used } }
      : { minutes: from }
  }
  const taught = (operation: OperationSource): OperationSource => {
    const { id, minutes, refit } = operation
    const strip = { ...operation, ...own(id, minutes) }
    // A refit without an estimate of its own takes the pack's of the strip, and not what was learned of the strip.
    return refit.kind === 'mirror'
      ? {
          ...strip,
          refit: {
            kind: 'mirror',
            override: { ...refit.override, ...own(refitId(id), refit.override.minutes ?? minutes) },
          },
        }
      : strip
  }
  return { ...pack, modules: pack.modules.map(module => ({ ...module, operations: module.operations.map(taught) })) }
}
