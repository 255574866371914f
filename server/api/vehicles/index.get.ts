import type { VehicleAnswer } from '../../../contracts/answers'

export default defineRoute('see-customers', (event): Promise<VehicleAnswer[]> =>
  useStore(garageOf(event)).vehicles.list(),
)
