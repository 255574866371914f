import type { OperationSource } from '../pack/operations'
import type { PackModule } from '../pack/pack'
import { AssemblyError } from './shelf'

const loadIds = (modules: Iterable<PackModule | { loads?: PackModule['loads'] }>) =>
  new Set([...modules].flatMap(({ loads = [] }) => loads.map(({ id }) => id)))

/**
 * Leaves out of what a step settles the loads that only other layouts have.
 * @throws AssemblyError on a load that no module has
 */
export function settlesHere(
  module: PackModule,
  modules: PackModule[],
  everywhere: Iterable<{ loads?: PackModule['loads'] }>,
): OperationSource[] {
  const [here, known] = [loadIds(modules), loadIds(everywhere)]
  return module.operations.map(operation => {
    const { settles, ...rest } = operation
    if (!settles) return operation
    const stranger = settles.find(id => !known.has(id))
    if (stranger !== undefined)
      throw new AssemblyError(`modules[${module.id}].operations[${operation.id}].settles`, `unknown load "${stranger}"`)
    const mine = settles.filter(id => here.has(id))
    return mine.length > 0 ? { ...rest, settles: mine } : rest
  })
}
