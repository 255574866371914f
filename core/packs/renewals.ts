import type { When } from '../pack/kinds'
import type { PackOption } from '../pack/options'
import type { OperationSource } from '../pack/operations'
import type { PackModule } from '../pack/pack'
import type { ReachablePart } from '../pack/sheets'
import { moduleUnder } from './resolve-module'
import { AssemblyError, LEFT } from './shelf'
import type { RenewalSource } from './shelf'

/** A part's work with the option that puts it in. */
export interface Renewing {
  option: PackOption
  module: PackModule
  /** The part in reach, with its option. */
  part: ReachablePart
}

/**
 * What a layout can renew while it is open: every part of the shelf that one of its steps lays open, that the layout does not decide
 * itself, and that its work does not use up anyway.
 * @param operations of the layout, with no part's work put in
 * @param decided ids of the options that the layout asks or has fixed
 * @throws AssemblyError on work for a part that is not in reach of anything
 */
export function renewingOf(
  renewals: readonly RenewalSource[],
  reachable: readonly ReachablePart[],
  { operations, steps, decided }: { operations: OperationSource[]; steps: Set<string>; decided: Set<string> },
): Renewing[] {
  return renewals.flatMap((source): Renewing[] => {
    const part = reachable.find(entry => entry.id === source.id)
    if (!part) throw new AssemblyError(`renewals[${source.id}]`, `no part in reach is called "${source.id}"`)
    if (decided.has(source.id) || !part.reachedBy.some(step => steps.has(step))) return []
    if (operations.some(operation => operation.when.length === 0 && usesUp(operation, part.part))) return []
    return [renewing(source, part)]
  })
}

const usesUp = ({ parts, refit }: OperationSource, part: string) =>
  part in parts || (refit.kind === 'mirror' && part in (refit.override.parts ?? {}))

function renewing(source: RenewalSource, part: ReachablePart): Renewing {
  const { sentence, left, ways, goesWith, ...module } = source
  const when: When = [{ [source.id]: ways.map(({ id }) => id) }]
  const [choice, ...others] = ways.map(({ id }) => id) as [string, ...string[]]
  return {
    option: {
      id: source.id,
      sentence,
      choices: [{ id: LEFT, label: left }, ...ways],
      default: LEFT,
      school: false,
      renews: part.id,
    },
    module: { ...moduleUnder(module, when), id: `renew-${source.id}` },
    part: {
      ...part,
      option: {
        id: source.id,
        choice,
        left: LEFT,
        steps: module.operations.map(({ id }) => id),
        ...(others.length > 0 ? { others } : {}),
        ...(goesWith ? { goesWith } : {}),
      },
    },
  }
}
