import type { PackFault } from './check-pack'
import type { CarDrawing } from '../pack/drawing'

/**
 * What is wrong with a car drawing: ids that stand twice, things that are carried or carry and are not drawn.
 * Entries of the ledger, groups, facts and sheets it names may belong to other layouts that share it.
 */
export function checkDrawing({ things, carried, leans, parted }: CarDrawing): PackFault[] {
  const faults: PackFault[] = []
  const known = new Set(things.map(thing => thing.id))
  for (const [index, { id }] of things.entries())
    if (things.findIndex(other => other.id === id) < index)
      faults.push({ path: `drawing.things[${id}]`, reason: `the id "${id}" stands twice` })
  const want = (path: string, id: string) => {
    if (!known.has(id)) faults.push({ path, reason: `there is no thing "${id}" on the drawing` })
  }
  for (const body of carried) {
    for (const { thing, under } of body.supports) {
      want(`drawing.carried[${body.id}].supports`, thing)
      if (under !== undefined && !body.masses.some(mass => mass.id === under))
        faults.push({ path: `drawing.carried[${body.id}].supports`, reason: `there is no mass "${under}"` })
    }
  }
  for (const id of leans?.things ?? []) want('drawing.leans.things', id)
  for (const id of parted?.things ?? []) want('drawing.parted.things', id)
  return faults
}
