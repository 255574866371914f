import type { VehicleAnswer } from '../../../contracts/answers'

export default defineRoute((): Promise<VehicleAnswer[]> => useStore(sessionGarage()).vehicles.list())
