import { EITHER_POSITION } from '../pack/kinds'
import type { Load } from '../pack/loads'
import type { Link, Operation } from '../pack/operations'
import type { Pack } from '../pack/pack'
import type { Surface } from '../pack/surfaces'
import type { LedgerItem } from '../pack/things'
import { heightLinks } from './height-links'

/** What links follow from by themselves. */
export interface PhysicalThings {
  items: LedgerItem[]
  loads?: Load[]
  surfaces?: Surface[]
}

/** The links that follow from what stands on the floor, what has to hang by itself, what has to be clean and what may not stand open. */
export function physicsLinks(
  { items, loads = [], surfaces = [] }: PhysicalThings,
  operations: Operation[],
  writtenBefore: (step: string) => Set<string>,
): Link[] {
  return [
    ...items.flatMap(item => propLinks(item, operations, writtenBefore)),
    ...settleLinks(loads, operations),
    ...surfaces.flatMap(surface => surfaceLinks(surface, operations)),
    ...items.flatMap(item => openingLinks(item, items, operations, writtenBefore)),
  ]
}

/** All that a pack says of them, whatever is chosen. */
export const physicalThings = ({ items, modules }: Pick<Pack, 'items' | 'modules'>): PhysicalThings => ({
  items: [...items, ...modules.flatMap(module => module.items)],
  loads: modules.flatMap(module => module.loads ?? []),
  surfaces: modules.flatMap(module => module.surfaces ?? []),
})

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

/** A surface is washed when all that soils it is done, and before what wants it clean. */
function surfaceLinks({ id, because }: Surface, operations: Operation[]): Link[] {
  const link = (before: Operation, after: Operation): Link => ({
    before: before.id,
    after: after.id,
    kind: 'clean',
    because,
    waitMinutes: 0,
  })
  const does = (what: 'soils' | 'washes' | 'wantsClean') =>
    operations.filter(operation => operation[what]?.includes(id))
  const wants = does('wantsClean')
  return does('washes').flatMap(washer => [
    ...does('soils').map(soiler => link(soiler, washer)),
    ...wants.map(wanter => link(washer, wanter)),
  ])
}

/** From when to when an opening gapes: until it is covered, and from where its cover goes until it is shut. */
function gapsOf(opening: LedgerItem, items: LedgerItem[], operations: Operation[]) {
  const covers = items.filter(item => item.covers === opening.id)
  const puts = ({ takesOff }: Operation) => covers.some(({ id }) => takesOff[id])
  const closers = endersOf(opening.id, operations)
  const coverers = operations.filter(puts)
  return [
    {
      begins: operations.filter(operation => operation.takesOff[opening.id] && !puts(operation)),
      ends: coverers.length > 0 ? coverers : closers,
    },
    {
      begins: covers.flatMap(({ id }) => endersOf(id, operations)).filter(operation => !closers.includes(operation)),
      ends: closers,
    },
  ]
}

/** What makes something fly is done before an opening gapes, or when it is shut again. */
function openingLinks(
  opening: LedgerItem,
  items: LedgerItem[],
  operations: Operation[],
  writtenBefore: (step: string) => Set<string>,
): Link[] {
  const flying = operations.filter(({ wantsShut }) => wantsShut?.includes(opening.id))
  if (flying.length === 0) return []
  const link = (before: Operation, after: Operation): Link => ({
    before: before.id,
    after: after.id,
    kind: 'clean',
    because: `${opening.name}: what flies falls in, and is not got out again.`,
    waitMinutes: 0,
  })
  return gapsOf(opening, items, operations).flatMap(({ begins, ends }) =>
    flying.flatMap(step =>
      begins.some(({ id }) => writtenBefore(step.id).has(id))
        ? ends.map(end => link(end, step))
        : begins.map(begin => link(step, begin)),
    ),
  )
}
