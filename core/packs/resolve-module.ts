import { both } from './applies'
import { refitId } from './mirror'
import type { When } from '../pack/kinds'
import type { Load } from '../pack/loads'
import type { OperationSource } from '../pack/operations'
import type { PackModule } from '../pack/pack'
import { AssemblyError } from './shelf'
import type { Adjustments, ModuleSource, Shelf } from './shelf'

/**
 * A module with everything that it takes over from the one it is made from.
 * @throws AssemblyError on a parent that is none, a circle of parents, and changes to what the parent does not have
 */
export function resolveModule(source: ModuleSource, shelf: Pick<Shelf, 'modules'>, line: string[] = []): PackModule {
  const { from, adjust, ...own } = source
  if (from === undefined) return own
  if (line.includes(source.id))
    throw new AssemblyError(
      `modules[${source.id}].from`,
      `a module is not made from itself: ${[...line, source.id].join(' → ')}`,
    )
  const parent = shelf.modules.get(from)
  if (!parent) throw new AssemblyError(`modules[${source.id}].from`, `there is no module "${from}"`)
  const base = resolveModule(parent, shelf, [...line, source.id])
  wantKnown(source, base)
  const replaced = new Set(own.operations.map(operation => operation.id))
  return {
    id: own.id,
    title: own.title,
    assumes: { ...base.assumes, ...own.assumes },
    items: [...base.items.map(item => ({ ...item, ...adjust.items[item.id] })), ...own.items],
    facts: [...base.facts.map(fact => ({ ...fact, ...adjust.facts[fact.id] })), ...own.facts],
    groups: [...base.groups, ...own.groups],
    parts: [...base.parts, ...own.parts],
    ...(base.bodies || own.bodies ? { bodies: [...(base.bodies ?? []), ...(own.bodies ?? [])] } : {}),
    ...(base.loads || own.loads ? { loads: loadsOf(base, own) } : {}),
    ...(base.surfaces || own.surfaces ? { surfaces: [...(base.surfaces ?? []), ...(own.surfaces ?? [])] } : {}),
    operations: [
      ...base.operations.filter(operation => !replaced.has(operation.id)).map(operation => adjusted(operation, adjust)),
      ...own.operations,
    ],
    links: [...base.links, ...own.links],
  }
}

/** A module's own word on a load goes before what it takes over. */
function loadsOf(base: PackModule, own: Pick<PackModule, 'loads'>): Load[] {
  const known = new Set(own.loads?.map(({ id }) => id))
  return [...(base.loads ?? []).filter(({ id }) => !known.has(id)), ...(own.loads ?? [])]
}

/** Ids of the steps of a module, those of the refit by their own. */
export function stepIds({ operations }: Pick<PackModule, 'operations'>): string[] {
  return operations.flatMap(({ id, refit }) => (refit.kind === 'mirror' ? [id, refitId(id)] : [id]))
}

/** A module whose work and links apply only under `when`. */
export function moduleUnder(module: PackModule, when: When): PackModule {
  if (when.length === 0) return module
  return {
    ...module,
    operations: module.operations.map(operation => ({ ...operation, when: both(operation.when, when) })),
    links: module.links.map(link => ({ ...link, when: both(link.when, when) })),
  }
}

function wantKnown({ id, adjust }: ModuleSource, base: PackModule): void {
  const idsIn = (list: { id: string }[]) => list.map(entry => entry.id)
  for (const [kind, word, known] of [
    ['operations', 'operation', stepIds(base)],
    ['facts', 'fact', idsIn(base.facts)],
    ['items', 'item', idsIn(base.items)],
  ] as const) {
    const stranger = Object.keys(adjust[kind]).find(entry => !known.includes(entry))
    if (stranger !== undefined)
      throw new AssemblyError(`modules[${id}].adjust.${kind}`, `unknown ${word} "${stranger}"`)
  }
}

function adjusted(operation: OperationSource, { moves, operations }: Adjustments): OperationSource {
  const { refit } = operation
  return {
    ...operation,
    place: moves[operation.place] ?? operation.place,
    ...operations[operation.id],
    refit:
      refit.kind !== 'mirror'
        ? refit
        : {
            kind: 'mirror',
            override: {
              ...refit.override,
              ...(refit.override.place ? { place: moves[refit.override.place] ?? refit.override.place } : {}),
              ...operations[refitId(operation.id)],
            },
          },
  }
}
