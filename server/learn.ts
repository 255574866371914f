import { learnMinutes, ownPace } from '../core/sequence'
import type { LearnedMinutes } from '../core/sequence'
import { packMinutes, withLearnedMinutes } from '../core/packs/learned-pack'
import type { Pack, ThreePoint } from '../core/packs'
import type { GarageStore } from './db/for-garage'
import type { WorkedRow } from './db/queries/learned'

/** Rows of worked minutes by operation, each learned from against the estimate it is to replace. */
export function learnedFrom(
  rows: WorkedRow[],
  priorOf: (operationId: string) => ThreePoint | undefined,
): Map<string, LearnedMinutes> {
  const byOperation = new Map<string, WorkedRow[]>()
  for (const row of rows) byOperation.set(row.operationId, [...(byOperation.get(row.operationId) ?? []), row])
  return new Map(
    [...byOperation].flatMap(([id, list]) => {
      const prior = priorOf(id)
      return prior ? [[id, learnMinutes(prior, list)] as const] : []
    }),
  )
}

/** A pack as this garage works it: its own minutes and its own pace where it has any. */
export async function learnedPack(store: GarageStore, pack: Pack): Promise<Pack> {
  const priors = packMinutes(pack)
  const [rows, jobs] = await Promise.all([store.learned.minutes([...priors.keys()]), store.learned.jobs()])
  const taught = withLearnedMinutes(
    pack,
    learnedFrom(rows, id => priors.get(id)),
  )
  const pace = ownPace(jobs)
  return pace.n > 0 ? { ...taught, pace } : taught
}
