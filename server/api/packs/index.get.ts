import { listPacks } from '../../garage-packs'

export default defineRoute(() => listPacks(useStore(sessionGarage()), useShelf()))
