import type { CausesAnswer } from '../../../contracts/answers'

export default defineRoute(async (): Promise<CausesAnswer> => ({
  tables: useShelf().causes,
  cases: await useStore(sessionGarage()).learned.causes(),
}))
