import type { CausesAnswer } from '../../../contracts/answers'

export default defineRoute('see-jobs', async (event): Promise<CausesAnswer> => ({
  tables: useShelf().causes,
  cases: await useStore(garageOf(event)).learned.causes(),
}))
