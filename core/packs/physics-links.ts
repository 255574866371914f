import { EITHER_POSITION } from '../pack/kinds'
import type { Load } from '../pack/loads'
import type { Link, Operation } from '../pack/operations'
import type { Pack } from '../pack/pack'
import type { LedgerItem } from '../pack/things'
import { heightLinks } from './height-links'

/** The links that follow from what stands on the floor and from what has to hang by itself. */
export function physicsLinks(
  pack: Pack,
  operations: Operation[],
  writtenBefore: (step: string) => Set<string>,
): Link[] {
  const items = [...pack.items, ...pack.modules.flatMap(module => module.items)]
  const loads = pack.modules.flatMap(module => module.loads ?? [])
  return [...items.flatMap(item => propLinks(item, operations, writtenBefore)), ...settleLinks(loads, operations)]
}

const endersOf = (item: string, operations: Operation[]) => operations.filter(({ putsBack }) => putsBack[item])

/** A prop with its foot on the floor fixes the height of the car as long as it stands. */
function propLinks(prop: LedgerItem, operations: Operation[], writtenBefore: (step: string) => Set<string>): Link[] {
  if (prop.foot !== 'floor') return []
  const givers = operations.filter(operation => operation.takesOff[prop.id])
  const enders = endersOf(prop.id, operations)
  const stance = givers.map(({ car }) => car).find(car => car !== EITHER_POSITION)
  if (stance === undefined) return []
  const because = `${prop.name} stands on the floor: the car keeps its height as long as it does.`
  return heightLinks({ stance, because, givers, enders }, operations, writtenBefore)
}

/** What has to hang by itself while a step settles it has no prop any more. */
function settleLinks(loads: Load[], operations: Operation[]): Link[] {
  return operations
    .filter(({ settles }) => settles)
    .flatMap(settling =>
      loads
        .filter(({ id }) => settling.settles!.includes(id))
        .flatMap(({ name, heldBy }) =>
          heldBy
            .flatMap(({ prop }) => (prop === undefined ? [] : endersOf(prop, operations)))
            .map((ender): Link => ({
              before: ender.id,
              after: settling.id,
              kind: 'physical',
              because: `${name} has to hang by itself and settle; tightened while something carries it, it stays twisted.`,
              waitMinutes: 0,
            })),
        ),
    )
}
