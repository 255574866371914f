import type { LearnedLine } from '../../../contracts/answers'
import { learnedFrom } from '../../learn'

/** What the garage learned of every piece of work, against the estimate it was worked under last. */
export default defineRoute('see-jobs', async (event): Promise<LearnedLine[]> => {
  const store = useStore(garageOf(event))
  const rows = await store.learned.minutes()
  const priors = new Map(rows.map(row => [row.operationId, row.prior]))
  const titles = new Map(
    [...useShelf().packs.values()].flatMap(pack =>
      pack.modules.flatMap(module =>
        module.operations.flatMap(operation => [
          [operation.id, operation.title] as const,
          ...(operation.refit.kind === 'mirror'
            ? [[`${operation.id}.refit`, operation.refit.override.title] as const]
            : []),
        ]),
      ),
    ),
  )
  return [...learnedFrom(rows, id => priors.get(id))]
    .map(([operationId, learned]) => ({
      operationId,
      title: titles.get(operationId) ?? operationId,
      from: priors.get(operationId)!,
      learned,
    }))
    .sort((a, b) => Math.abs(Math.log(b.learned.factor)) - Math.abs(Math.log(a.learned.factor)))
})
