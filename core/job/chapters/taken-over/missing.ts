import type { Procedure } from '../../../pack/pack'
import type { JobState } from '../../chapters'

const PREFIX = 'missing.'

/** The part that is got for a thing that is missing. */
export const missingPartId = (itemId: string) => `${PREFIX}${itemId}`

/** The procedure with a part for every thing that is missing, used by the step that puts the thing back. */
export function withMissing(procedure: Procedure, told: JobState['told']): Procedure {
  const missing = new Map(
    Object.entries(told).flatMap(([id, thing]) => (thing.missing > 0 ? [[id, thing.missing]] : [])),
  )
  const own = ([id]: [string, number]) => !id.startsWith(PREFIX)
  const wanted = procedure.items.filter(({ id }) => missing.has(id))
  return {
    ...procedure,
    parts: [
      ...procedure.parts.filter(({ id }) => !id.startsWith(PREFIX)),
      ...wanted.map(({ id, name }) => ({ id: missingPartId(id), name, about: 'It did not come with the car.' })),
    ],
    operations: procedure.operations.map(operation => {
      const back = wanted.filter(({ id }) => (operation.putsBack[id] ?? 0) > 0)
      if (back.length === 0 && !Object.keys(operation.parts).some(id => id.startsWith(PREFIX))) return operation
      return {
        ...operation,
        parts: {
          ...Object.fromEntries(Object.entries(operation.parts).filter(own)),
          ...Object.fromEntries(back.map(({ id }) => [missingPartId(id), missing.get(id)!])),
        },
      }
    }),
  }
}

/** How much of a thing nobody has seen: none where a new one goes in its place. */
export const unseenNow = (state: JobState, itemId: string): number =>
  state.replaced[itemId] ? 0 : (state.told[itemId]?.unknown ?? 0)

/** How much of a thing is missing now: what was told, until its part has come, or a new one goes in its place. */
export function missingNow(state: JobState, itemId: string): number {
  const told = state.told[itemId]
  if (!told?.missing || state.replaced[itemId]) return 0
  const partId = missingPartId(itemId)
  const ordered = state.orders.findLast(order => order.partId === partId)
  if (ordered) return ordered.cameAt ? 0 : told.missing
  const awaited = state.circumstances.arrivals.some(arrival => arrival.partId === partId)
  return told.until !== null && !awaited ? 0 : told.missing
}
