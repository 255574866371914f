import { listPacks } from '../../garage-packs'

export default defineRoute('see-jobs', event => listPacks(useStore(garageOf(event)), useShelf()))
