import type { Cleanliness } from '../pack/surfaces'
import type { OperationSource, RefitOverride } from '../pack/operations'
import type { PackModule } from '../pack/pack'
import { AssemblyError } from './shelf'

/** Which of a module's things each list of a step names, and what one of them is called. */
const lists = {
  settles: ['loads', 'load'],
  soils: ['surfaces', 'surface'],
  washes: ['surfaces', 'surface'],
  wantsClean: ['surfaces', 'surface'],
  wantsShut: ['items', 'item'],
} as const satisfies Record<'settles' | keyof Cleanliness, [keyof PackModule, string]>
type ListName = keyof typeof lists
type Things = Partial<Pick<PackModule, (typeof lists)[ListName][0]>>

function idsOf(modules: Iterable<Things>): Record<(typeof lists)[ListName][0], Set<string>> {
  const all = [...modules]
  const ids = (kind: keyof Things) => new Set(all.flatMap(module => (module[kind] ?? []).map(({ id }) => id)))
  return { loads: ids('loads'), surfaces: ids('surfaces'), items: ids('items') }
}

/**
 * Leaves out of what a step settles, soils, washes and wants the things that only other layouts have.
 * @throws AssemblyError on one that no module has
 */
export function namedHere(module: PackModule, modules: PackModule[], everywhere: Iterable<Things>): OperationSource[] {
  const [here, known] = [idsOf(modules), idsOf(everywhere)]
  const left = <T extends Partial<Pick<OperationSource, ListName>>>(id: string, work: T): T => {
    const kept = { ...work }
    for (const list of Object.keys(lists) as ListName[]) {
      const [kind, word] = lists[list]
      const named = work[list]
      if (!named) continue
      const stranger = named.find(name => !known[kind].has(name))
      if (stranger !== undefined)
        throw new AssemblyError(`modules[${module.id}].operations[${id}].${list}`, `unknown ${word} "${stranger}"`)
      const mine = named.filter(name => here[kind].has(name))
      if (mine.length > 0) kept[list] = mine
      else delete kept[list]
    }
    return kept
  }
  return module.operations.map(operation => {
    const step = left(operation.id, operation)
    if (step.refit.kind !== 'mirror') return step
    return { ...step, refit: { kind: 'mirror', override: left<RefitOverride>(operation.id, step.refit.override) } }
  })
}
